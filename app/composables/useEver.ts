/** Whether something was ever so on this page: what is brought for it then stays. */
export function useEver(isSo: () => boolean): Readonly<Ref<boolean>> {
  const was = ref(isSo())
  watch(isSo, (is) => {
    if (is) was.value = true
  })
  return was
}
