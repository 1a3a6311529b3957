import { compareText } from '#core/base'
import { findPipe } from '#core/catalogue'
import type { MakeCard } from '#core/making'
import type { EndMinutes, JointRecord } from './record'
import { stepsOf } from './steps'

/** A pause longer than this was no work on the joint, s. Ours. */
const BROKEN_OFF_SECONDS = 15 * 60
/** Steps ticked nearer to each other than this were not done one by one, s. Ours. */
export const QUICK_SECONDS = 5
/** Fewer gaps between steps of one end tell nothing, ours. */
const LEAST_GAPS = 3

const tenth = (seconds: number): number => Math.round(seconds / 6) / 10

function sizeOf({ joint: { pipe, thread } }: MakeCard): string | null {
  if (thread) return thread.size
  const found = pipe === null ? null : findPipe(pipe, 'pipe')
  return found?.ok ? found.value.nominal : null
}

/**
 * Minutes of each end of a joint by the times of its ticks: what lies before a tick went into its step. The first step
 * has no time before it and counts as the middle of the others. An end is left out where the work was broken off, where
 * steps were ticked in one go, or where there are too few to tell.
 */
export function endMinutesOf(joint: Pick<JointRecord, 'ticks'>, cards: readonly MakeCard[]): EndMinutes[] {
  const ticks = [...joint.ticks].sort((x, y) => compareText(x.at, y.at))
  const gaps = ticks.map((tick, i) => ({
    tick,
    seconds: i === 0 ? null : (Date.parse(tick.at) - Date.parse(ticks[i - 1]!.at)) / 1000,
  }))
  return cards.flatMap((card) => {
    const waits = new Set(stepsOf(card).flatMap(({ id, seconds }) => (seconds === undefined ? [] : [id])))
    const own = gaps.filter(({ tick }) => tick.entry === card.entry)
    const worked = own.flatMap(({ tick, seconds }) => (waits.has(tick.step) || seconds === null ? [] : [seconds]))
    const waited = own.flatMap(({ tick, seconds }) => (waits.has(tick.step) ? [seconds ?? 0] : []))
    const nominal = sizeOf(card)
    const tells = worked.every((gap) => gap >= QUICK_SECONDS && gap <= BROKEN_OFF_SECONDS)
    if (nominal === null || worked.length < LEAST_GAPS || !tells) return []
    const sum = worked.reduce((total, gap) => total + gap, 0)
    const hasFirst = own.some(({ seconds }) => seconds === null)
    return [
      {
        entry: card.entry,
        method: card.joint.method,
        nominal,
        work: tenth(sum + (hasFirst ? sum / worked.length : 0)),
        wait: tenth(waited.reduce((total, gap) => total + gap, 0)),
      },
    ]
  })
}
