<script setup lang="ts">
import { LineChart } from 'echarts/charts'
import { AriaComponent, GridComponent, LegendComponent, MarkLineComponent, TooltipComponent } from 'echarts/components'
import { use } from 'echarts/core'
import { SVGRenderer } from 'echarts/renderers'
import VChart from 'vue-echarts'
import type { LineFlow } from '#core/flow'
import { BAR_PER_PSI, MM_PER_FOOT } from '#core/speech'
import { formatDecimal, MM_PER_INCH, type UnitSystem } from '#core/units'
import { unitName } from '~/reading/format'

/**
 * Speed and pressure lost along the line: speed solid with its spikes in inserts, pressure dotted, the limit dashed.
 */
const props = defineProps<{ flow: LineFlow; system: UnitSystem }>()
use([LineChart, GridComponent, LegendComponent, MarkLineComponent, TooltipComponent, AriaComponent, SVGRenderer])
const colours = useChartColours()
const isInch = computed(() => props.system === 'inch')
const speedOf = (ms: number) => (isInch.value ? (ms * 1000) / MM_PER_FOOT : ms)
const pressureOf = (bar: number) => (isInch.value ? bar / BAR_PER_PSI : bar)
const names = computed(() => ({ speed: unitName('speed', props.system), pressure: unitName('pressure', props.system) }))
const along = (mm: number) => Math.round(100 * (isInch.value ? mm / MM_PER_INCH / 12 : mm / 1000)) / 100
const option = computed(() => {
  const { ink, ink2, hair, copper } = colours.value
  const axis = {
    type: 'value' as const,
    axisLine: { show: true, lineStyle: { color: ink } },
    axisLabel: { color: ink2, fontSize: 13 },
    splitLine: { show: false },
    nameTextStyle: { color: ink2 },
    nameLocation: 'middle' as const,
  }
  const base = chartBase(colours.value)
  const speed = props.flow.legs.flatMap(({ from, to, answer }) => {
    const spikes = props.flow.inserts.filter(({ at }) => at >= from && at < to)
    const width = (to - from) * 0.012
    return [
      [along(from), speedOf(answer.velocity)],
      ...spikes.flatMap(({ at, velocity }) => [
        [along(at), speedOf(answer.velocity)],
        [along(at), speedOf(velocity)],
        [along(at + width), speedOf(velocity)],
        [along(at + width), speedOf(answer.velocity)],
      ]),
      [along(to), speedOf(answer.velocity)],
    ]
  })
  const limit = speedOf(Math.min(...props.flow.legs.map(({ answer }) => answer.limit)))
  const most = Math.max(
    limit,
    ...props.flow.legs.map(({ answer }) => speedOf(answer.velocity)),
    ...props.flow.inserts.map(({ velocity }) => speedOf(velocity)),
  )
  return {
    ...base,
    legend: { ...base.legend, data: [`speed, ${names.value.speed}`, `pressure lost, ${names.value.pressure}`] },
    tooltip: {
      ...base.tooltip,
      axisPointer: { type: 'line' as const },
      valueFormatter: (value: unknown) => String(Math.round(Number(value) * 1000) / 1000),
    },
    grid: { left: 48, right: 52, top: 12, bottom: 58 },
    xAxis: {
      ...axis,
      name: `${isInch.value ? 'ft' : 'm'} along the line`,
      nameGap: 22,
      max: along(props.flow.legs.at(-1)?.to ?? 1),
      splitLine: { show: true, lineStyle: { color: hair } },
    },
    yAxis: [
      { ...axis, name: names.value.speed, nameGap: 30, max: Math.ceil(most * 11) / 10, min: 0 },
      { ...axis, name: names.value.pressure, nameGap: 36, min: 0 },
    ],
    series: [
      {
        name: `speed, ${names.value.speed}`,
        type: 'line' as const,
        showSymbol: false,
        yAxisIndex: 0,
        lineStyle: { width: 2.5, color: copper },
        itemStyle: { color: copper },
        data: speed,
        markLine: {
          silent: true,
          symbol: 'none',
          lineStyle: { color: ink, type: 'dashed' as const, width: 1.5 },
          label: {
            color: ink,
            formatter: `limit ${formatDecimal(limit, 2)} ${names.value.speed}`,
            position: 'insideEndTop' as const,
          },
          data: [{ yAxis: limit }],
        },
      },
      {
        name: `pressure lost, ${names.value.pressure}`,
        type: 'line' as const,
        showSymbol: false,
        yAxisIndex: 1,
        lineStyle: { width: 2, color: ink, type: 'dotted' as const },
        itemStyle: { color: ink },
        data: props.flow.lost.map(({ at, bar }) => [along(at), pressureOf(bar)]),
      },
    ],
  }
})
</script>

<template>
  <VChart :option="option" style="height: 176px" class="w-full" autoresize data-test="flow-chart" />
</template>
