<script setup lang="ts">
import { BarChart } from 'echarts/charts'
import { AriaComponent, GridComponent, LegendComponent, TooltipComponent } from 'echarts/components'
import { use } from 'echarts/core'
import { SVGRenderer } from 'echarts/renderers'
import VChart from 'vue-echarts'
import type { Way } from '#core/joints'
import { CURRENCY } from '~/wording/en'
import { wayTitle } from '~/wording/way'
import type { Region } from '#core/units'

/** The first ways beside each other: minutes of work with the wait apart, and what the parts cost. */
const props = defineProps<{ ways: readonly Way[]; region: Region }>()
use([BarChart, GridComponent, LegendComponent, TooltipComponent, AriaComponent, SVGRenderer])

const colours = useChartColours()
const narrow = useNarrow()
/** A row has room for a title of three lines; on a phone its number stands for it, as in the list above. */
const ROW = computed(() => (narrow.value ? 34 : 50))
const titleWidth = computed(() => (narrow.value ? 16 : 280))
const height = computed(() => props.ways.length * ROW.value + 110)
const option = computed(() => {
  const { ink, ink2, hair, paper, copper } = colours.value
  const names = props.ways.map((way, i) => (narrow.value ? `${i + 1}` : `${i + 1}  ${wayTitle(way, props.region)}`))
  const axis = {
    axisLine: { lineStyle: { color: ink } },
    axisLabel: { color: ink2, fontSize: 13 },
    splitNumber: narrow.value ? 2 : 5,
    splitLine: { lineStyle: { color: hair } },
  }
  const rows = {
    type: 'category' as const,
    data: names,
    inverse: true,
    axisTick: { show: false },
    axisLine: { lineStyle: { color: ink } },
  }
  return {
    ...chartBase(colours.value),
    grid: [
      { left: titleWidth.value + 20, right: '34%', top: 34, bottom: 62 },
      { left: '70%', right: 24, top: 34, bottom: 62 },
    ],
    xAxis: [
      {
        type: 'value',
        name: 'minutes, ours',
        nameLocation: 'middle',
        nameGap: 26,
        nameTextStyle: { color: ink2 },
        gridIndex: 0,
        ...axis,
      },
      {
        type: 'value',
        name: `${CURRENCY[props.region]}, ours`,
        nameLocation: 'middle',
        nameGap: 26,
        nameTextStyle: { color: ink2 },
        gridIndex: 1,
        ...axis,
      },
    ],
    yAxis: [
      {
        ...rows,
        gridIndex: 0,
        axisLabel: {
          color: ink,
          fontSize: 13,
          lineHeight: 15,
          width: titleWidth.value,
          overflow: 'break',
          interval: 0,
        },
      },
      { ...rows, gridIndex: 1, axisLabel: { show: false } },
    ],
    series: [
      {
        name: 'hands on',
        type: 'bar',
        stack: 'minutes',
        barWidth: 14,
        itemStyle: { color: copper, borderColor: ink, borderWidth: 1 },
        data: props.ways.map(({ minutes }) => Number(minutes.work.toFixed(1))),
      },
      {
        name: 'waiting',
        type: 'bar',
        stack: 'minutes',
        itemStyle: { color: paper, borderColor: ink, borderWidth: 1 },
        data: props.ways.map(({ minutes }) => minutes.wait),
      },
      {
        name: 'least cost',
        type: 'bar',
        stack: 'cost',
        xAxisIndex: 1,
        yAxisIndex: 1,
        barWidth: 14,
        itemStyle: { color: ink2, borderColor: ink, borderWidth: 1 },
        data: props.ways.map(({ cost }) => Number(cost.low.toFixed(1))),
      },
      {
        name: 'to at most',
        type: 'bar',
        stack: 'cost',
        xAxisIndex: 1,
        yAxisIndex: 1,
        itemStyle: { color: paper, borderColor: ink, borderWidth: 1 },
        data: props.ways.map(({ cost }) => Number((cost.high - cost.low).toFixed(1))),
      },
    ],
  }
})
</script>

<template>
  <VChart :option="option" :style="`height: ${height}px`" class="chart" autoresize data-test="ways-chart" />
</template>

<style scoped>
.chart {
  width: 100%;
  padding: 8px 18px;
}
@media (max-width: 899px) {
  .chart {
    padding: 8px 6px;
  }
}
</style>
