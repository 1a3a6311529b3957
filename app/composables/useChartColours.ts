/** The page's own colours for a chart, read anew when light and cellar change. */
export function useChartColours() {
  const { theme } = useTheme()
  return computed(() => {
    void theme.value
    const style = getComputedStyle(document.documentElement)
    const colour = (name: string) => style.getPropertyValue(`--${name}`).trim()
    return {
      ink: colour('ink'),
      ink2: colour('ink2'),
      hair: colour('hair'),
      paper: colour('paper'),
      copper: colour('copper'),
    }
  })
}

/** What every chart of the app has alike: its face, its colours, patterns beside them, no motion. */
export const chartBase = ({ ink, paper }: { ink: string; paper: string }) => ({
  animation: false,
  textStyle: { fontFamily: 'Atkinson Hyperlegible Next Variable, sans-serif', color: ink },
  aria: { enabled: true, decal: { show: true } },
  legend: { bottom: 0, textStyle: { color: ink }, itemWidth: 28 },
  tooltip: {
    trigger: 'axis' as const,
    axisPointer: { type: 'shadow' as const },
    backgroundColor: paper,
    borderColor: ink,
    textStyle: { color: ink },
  },
})
