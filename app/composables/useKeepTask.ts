import { v4 as uuid } from 'uuid'
import type { Pipe } from '#core/catalogue'
import { cutterFor } from '#core/cutting'
import { findWays, type Method } from '#core/joints'
import { kitOf, usualStock, type JobRecord } from '#core/record'
import type { GuideAnswer } from '#core/run'
import { formatLength, unitSystemOf } from '#core/units'

/** What was kept of a task: its joints, and the sheet its pieces are cut on. */
export interface KeptTask {
  joints: { id: string; number: number }[]
  cut: { id: string; number: number } | null
}
type Kept = NonNullable<GuideAnswer['keep']>

/** Keeps a task on the job: a joint for each coupling without a stop, its pieces on the open sheet of their pipe. */
export function useKeepTask(job: Ref<JobRecord>) {
  const store = useJobStore()

  /** The way of two ends with a coupling without a stop, by a method; null where none stands. */
  function slipWay(pipe: Pipe, method: Method, gap: number): string | null {
    const conditions = { play: { a: { along: 0 } }, gap }
    const { region, policy } = job.value
    const end = { pipe: pipe.id }
    const answer = findWays({ region, a: end, b: end, conditions, policy, kit: kitOf(job.value) })
    const way = answer.ok
      ? answer.value.ways.find(
          ({ parts, joints }) =>
            parts.some(({ kind }) => kind === 'slip') && joints.every((joint) => joint.method === method),
        )
      : undefined
    return way?.id ?? null
  }

  function keepJoints(place: string, pipe: Pipe, method: Method, { length, gap, count }: Kept['slips']) {
    const end = { pipe: pipe.id }
    return Array.from({ length: count }, (_, i) =>
      store.begin(job.value.slug, 'joint/begin', {
        place: count > 1 ? `${place}, slip coupling ${i + 1}` : `${place}, slip coupling`,
        ...{ a: end, b: end, conditions: { play: { a: { along: 0 } }, gap } },
        ...{ slip: { length, on: 'b' as const }, wayId: slipWay(pipe, method, gap) },
      }),
    ).flatMap((made) => (made.ok ? [made.value] : []))
  }

  function keepPieces(pipe: Pipe, { name, length, count }: Kept['pieces']) {
    const { cuts, slug, region } = job.value
    const extra = { id: uuid(), name, length: formatLength(length, unitSystemOf(region)), quantity: count }
    const open = cuts.findLast((one) => one.pipe === pipe.id && one.result === null)
    if (open) {
      const made = store.do(slug, 'cut/change', open.id, { extras: [...open.extras, extra] })
      return made.ok ? open : null
    }
    const made = store.begin(slug, 'cut/begin', {
      pipe: pipe.id,
      cutter: cutterFor(pipe),
      extras: [extra],
      stock: usualStock(job.value, pipe.id, uuid),
    })
    return made.ok ? made.value : null
  }

  function keepTask(place: string, pipe: Pipe, method: Method, { slips, pieces }: Kept): KeptTask {
    const joints = keepJoints(place, pipe, method, slips)
    const cut = keepPieces(pipe, pieces)
    return { joints, cut }
  }
  return keepTask
}
