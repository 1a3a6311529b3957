<script setup lang="ts">
import { LineChart } from 'echarts/charts'
import { AriaComponent, GridComponent, LegendComponent, MarkLineComponent, TooltipComponent } from 'echarts/components'
import { use } from 'echarts/core'
import { SVGRenderer } from 'echarts/renderers'
import VChart from 'vue-echarts'
import type { HeatCourse } from '#core/heat'
import { MM_PER_INCH, type UnitSystem } from '#core/units'
import { degreesOf } from '~/reading/air'

/**
 * Temperature along the tube at its highest, and in time at the target and at the joint, with the limit across both.
 */
const props = defineProps<{ course: HeatCourse; distance: number; seconds: number; system: UnitSystem }>()
use([LineChart, GridComponent, LegendComponent, MarkLineComponent, TooltipComponent, AriaComponent, SVGRenderer])

const colours = useChartColours()
const unit = computed(() => (props.system === 'inch' ? 'in' : 'mm'))
const length = (mm: number) => Math.round(10 * (props.system === 'inch' ? mm / MM_PER_INCH : mm)) / 10
const degrees = (celsius: number) => Math.round(props.system === 'inch' ? celsius * 1.8 + 32 : celsius)
const option = computed(() => {
  const { ink, ink2, hair, copper } = colours.value
  const axis = {
    type: 'value' as const,
    axisLine: { lineStyle: { color: ink } },
    axisLabel: { color: ink2, fontSize: 13 },
    splitLine: { lineStyle: { color: hair } },
    nameTextStyle: { color: ink2 },
    nameLocation: 'middle' as const,
  }
  const limit = {
    silent: true,
    symbol: 'none',
    lineStyle: { color: ink, type: 'dashed' as const, width: 1.5 },
    label: {
      color: ink,
      formatter: `limit ${degrees(props.course.limit)} ${degreesOf(props.system)}`,
      position: 'insideEndTop' as const,
    },
    data: [{ yAxis: degrees(props.course.limit) }],
  }
  const here = (at: number, words: string) => ({
    xAxis: at,
    lineStyle: { color: copper, type: 'solid' as const, width: 2 },
    label: { color: copper, formatter: words, position: 'insideStartTop' as const, rotate: 0 },
  })
  const line = {
    type: 'line' as const,
    showSymbol: false,
    lineStyle: { width: 2.5, color: copper },
    itemStyle: { color: copper },
  }
  const base = chartBase(colours.value)
  return {
    ...base,
    legend: { ...base.legend, data: ['at it', 'at the joint'] },
    tooltip: {
      ...base.tooltip,
      axisPointer: { type: 'line' as const },
      valueFormatter: (value: unknown) => `${Math.round(Number(value))} ${degreesOf(props.system)}`,
    },
    grid: [
      { left: 46, right: 16, top: 12, height: 150 },
      { left: 46, right: 16, top: 218, height: 140 },
    ],
    xAxis: [
      {
        ...axis,
        gridIndex: 0,
        name: `${unit.value} from the fitting's face`,
        nameGap: 24,
        max:
          Math.ceil(length(props.course.along.at(-1)?.at ?? 100) / (props.system === 'inch' ? 2 : 50)) *
          (props.system === 'inch' ? 2 : 50),
      },
      { ...axis, gridIndex: 1, name: 'minutes after heat was put on', nameGap: 24 },
    ],
    yAxis: [
      { ...axis, gridIndex: 0, name: `${degreesOf(props.system)}, highest`, nameGap: 32 },
      { ...axis, gridIndex: 1, name: degreesOf(props.system), nameGap: 32 },
    ],
    series: [
      {
        ...line,
        name: 'highest',
        xAxisIndex: 0,
        yAxisIndex: 0,
        data: props.course.along.map(({ at, peak }) => [length(at), degrees(peak)]),
        markLine: { ...limit, data: [...limit.data, here(length(props.distance), 'here')] },
      },
      {
        ...line,
        name: 'at it',
        xAxisIndex: 1,
        yAxisIndex: 1,
        data: props.course.byTime.map(({ at, target }) => [at / 60, degrees(target)]),
        markLine: { ...limit, data: [...limit.data, here(props.seconds / 60, 'flame off')] },
      },
      {
        ...line,
        name: 'at the joint',
        xAxisIndex: 1,
        yAxisIndex: 1,
        lineStyle: { width: 1.5, color: ink, type: 'dotted' as const },
        itemStyle: { color: ink },
        data: props.course.byTime.map(({ at, joint }) => [at / 60, degrees(joint)]),
      },
    ],
  }
})
</script>

<template>
  <VChart :option="option" style="height: 430px" class="w-full" autoresize data-test="heat-chart" />
</template>
