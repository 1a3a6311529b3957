/** The page's own colours for a chart, read anew when light and cellar change. */
export function useChartColours() {
  const { theme } = useTheme()
  return computed(() => {
    void theme.value
    const style = getComputedStyle(document.documentElement)
    const colour = (name: string) => style.getPropertyValue(`--${name}`).trim()
    return { ink: colour('ink'), ink2: colour('ink2'), hair: colour('hair'), paper: colour('paper'), copper: colour('copper') }
  })
}
