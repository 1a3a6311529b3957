import * as Comlink from 'comlink'
import { watchDebounced } from '@vueuse/core'
import type { Beside, JobRecord, LineRecord } from '#core/record'
import { plain } from '~/reading/plain'
import type { besideWork } from '~/workers/beside.worker'

let work: Comlink.Remote<typeof besideWork> | undefined
const worker = () =>
  (work ??= Comlink.wrap<typeof besideWork>(
    new Worker(new URL('../workers/beside.worker.ts', import.meta.url), { type: 'module' }),
  ))

/** How a line stands to the one beside it, asked again as either changes; null while it runs beside none. */
export function useBeside(job: Ref<JobRecord>, line: Ref<LineRecord>) {
  const stands = shallowRef<Beside | null>(null)
  let run = 0
  watchDebounced(
    [() => line.value, () => job.value.lines],
    async () => {
      const own = ++run
      const { fix } = line.value
      const other = fix.beside && job.value.lines.find(({ id }) => id === fix.beside!.line)
      if (!other) {
        stands.value = null
        return
      }
      const { region, policy, tools, fittings, benders } = job.value
      const asked = plain({ region, policy, tools, fittings, benders, lines: [other, line.value] })
      const found = await worker().stand(asked, asked.lines[1]!)
      // A later question is under way.
      if (own === run) stands.value = found
    },
    { debounce: 120, immediate: true },
  )
  return stands
}
