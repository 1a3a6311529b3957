<script setup lang="ts">
import { BarChart } from 'echarts/charts'
import { AriaComponent, GridComponent, LegendComponent, TooltipComponent } from 'echarts/components'
import { use } from 'echarts/core'
import { SVGRenderer } from 'echarts/renderers'
import VChart from 'vue-echarts'

/** Scrap of the last sheets as planned and as it came out, in 100 of the stock taken. */
const props = defineProps<{ sheets: readonly { name: string; planned: number; actual: number | null }[] }>()
use([BarChart, GridComponent, LegendComponent, TooltipComponent, AriaComponent, SVGRenderer])

const colours = useChartColours()
const height = computed(() => props.sheets.length * 46 + 92)
const option = computed(() => {
  const { ink, ink2, hair, paper, copper } = colours.value
  const bar = { type: 'bar' as const, barWidth: 13, barGap: '20%' }
  return {
    ...chartBase(colours.value),
    grid: { left: 124, right: 30, top: 6, bottom: 62 },
    xAxis: {
      type: 'value',
      name: 'scrap in 100 of stock taken',
      nameLocation: 'middle',
      nameGap: 24,
      nameTextStyle: { color: ink2 },
      axisLine: { lineStyle: { color: ink } },
      axisLabel: { color: ink2, fontSize: 13 },
      splitLine: { lineStyle: { color: hair } },
    },
    yAxis: {
      type: 'category',
      inverse: true,
      data: props.sheets.map(({ name }) => name),
      axisTick: { show: false },
      axisLine: { lineStyle: { color: ink } },
      axisLabel: { color: ink, fontSize: 13, width: 112, overflow: 'break', interval: 0 },
    },
    series: [
      {
        ...bar,
        name: 'as planned',
        itemStyle: { color: paper, borderColor: ink, borderWidth: 1 },
        data: props.sheets.map(({ planned }) => planned),
      },
      {
        ...bar,
        name: 'as it came out',
        itemStyle: { color: copper, borderColor: ink, borderWidth: 1 },
        data: props.sheets.map(({ actual }) => actual),
      },
    ],
  }
})
</script>

<template>
  <VChart :option="option" :style="`height: ${height}px`" class="w-full" autoresize data-test="waste-chart" />
</template>
