import { applyToJob, type Act, type ActName } from '#core/acts'
import { findWays } from '#core/joints'
import { cutQuestion, planCuts, takeAnswer } from '#core/cutting'
import { bentPieces, cardsOf, piecesFor, rackFor, readSheet, type JobRecord } from '#core/record'
import { aCut, aFind, aJob, aJoint, aLine, anOffcut } from './records'

/* One of every act, with a job that it can be done to; the compiler asks for one that is added. */

const ends = { a: { pipe: 'cu-en-x-22' }, b: { pipe: 'cu-en-x-22' } }
const found = findWays({ region: 'gb', ...ends })
/** A way of one method from 22 to 22. */
export const wayBy = (method: string) =>
  found.ok ? found.value.ways.find(({ joints }) => joints.every((one) => one.method === method))! : null!
const way = wayBy('compression')
export const HAND = { at: '2026-11-26T09:00:00.000Z', by: 'Wyn' }

const bare = aJob({
  finds: [aFind({ id: 'find-0001', pipe: 'cu-en-x-22', answers: { traced: 'water' } })],
  lines: [aLine({ id: 'line-0001', corners: 'bends', legs: ['e 4000', 'u 2000'] })],
  joints: [aJoint({ id: 'joint-0001', ...ends, wayId: way.id, way })],
  cuts: [aCut({ extras: [{ id: 'x', name: 'flow', length: '1200', quantity: 2 }] })],
  rack: [anOffcut({ job: 'job-1' })],
})
const sheet = bare.cuts[0]!
const settings = readSheet(bare, sheet)
if (!settings.ok) throw new Error(settings.error.message)
const { stock, ...by } = settings.value
const { pieces } = piecesFor(bare, sheet, [])
const answer = planCuts(cutQuestion(pieces, stock, rackFor(bare, sheet), null, [], by))
if (!answer.ok) throw new Error(answer.error.message)
export const PLAN = takeAnswer('plan-0001', answer.value, pieces, stock, rackFor(bare, sheet), null, [], by)
const bent = bentPieces(bare)[0]!
const bar = PLAN.bars[0]!

/** A job once acts were done to it, each by a key of its own. */
export function after(job: JobRecord, ...acts: readonly [Act, string, string?][]): JobRecord {
  return acts.reduce((now, [act, record, key], i) => {
    const next = applyToJob(now, act, record, { key: key ?? `key-${act.name}-${i}`, ...HAND })
    if (!next.ok) throw new Error(`${act.name}: ${next.error.message}`)
    if (!next.value) throw new Error(`${act.name}: the job is gone`)
    return next.value
  }, job)
}
const place = { entry: 0, step: 'cut' }
const TICK: Act = { name: 'joint/tick', body: place }
const TAKE: Act = { name: 'cut/plan', body: PLAN }
const ENTER: Act = { name: 'cut/enter', body: { id: 'done-0001', bar: bar.id, piece: bar.pieces[0]!, length: 1200 } }
const BEND: Act = { name: 'line/bend-step', body: { piece: bent.piece.id, step: 1, marks: bent.card.marks } }
const counted = after(bare, [{ name: 'kit/count', body: { item: 'olive 22', out: 10, back: null } }, bare.id])
const planned = after(bare, [TAKE, 'cut-0001'])
const begun = after(planned, [ENTER, 'cut-0001'])
const aside = after(
  bare,
  [TICK, 'joint-0001'],
  [{ name: 'joint/change', body: { wayId: wayBy('press').id } }, 'joint-0001'],
)
/** Every step of the joint ticked. */
const ticked = after(
  bare,
  ...cardsOf(bare, bare.joints[0]!).flatMap(({ entry, answer: card }) =>
    card.ok
      ? card.value.steps.map(({ id }): [Act, string] => [
          { name: 'joint/tick', body: { entry, step: id } },
          'joint-0001',
        ])
      : [],
  ),
)
const signed = after(ticked, [{ name: 'joint/sign', body: { initials: 'OL' } }, 'joint-0001', 'sign-0001'])

interface Sample<N extends ActName> {
  act: Extract<Act, { name: N }>
  record: string
  /** The job it is done to. */
  job: JobRecord
  /** What is said of it. */
  words: RegExp
}
export const SAMPLES: { readonly [N in ActName]: Sample<N> } = {
  'job/begin': {
    act: { name: 'job/begin', body: { name: 'Mill', place: '', region: 'gb' } },
    record: 'job-1',
    job: bare,
    words: /job begun/,
  },
  'job/change': {
    act: { name: 'job/change', body: { name: 'Mill yard', waits: { for: 'the plasterer', until: '2026-12-03' } } },
    record: 'job-1',
    job: bare,
    words: /changed: name, waits/,
  },
  'job/archive': { act: { name: 'job/archive', body: {} }, record: 'job-1', job: bare, words: /to the archive/ },
  'job/unarchive': {
    act: { name: 'job/unarchive', body: {} },
    record: 'job-1',
    job: after(bare, [{ name: 'job/archive', body: {} }, 'job-1']),
    words: /back from the archive/,
  },
  'job/drop': { act: { name: 'job/drop', body: { name: 'Yard' } }, record: 'job-1', job: bare, words: /deleted: Yard/ },
  'job/settle': {
    act: {
      name: 'job/settle',
      body: {
        kind: 'joints',
        record: 'joint-0001',
        kept: 'mine',
        fields: [
          { path: 'place', mine: { by: 'Wyn', at: '', value: 'a' }, theirs: { by: 'Ola', at: '', value: { b: [1] } } },
        ],
      },
    },
    record: 'job-1',
    job: bare,
    words: /two entries settled/,
  },
  'kit/change': {
    act: { name: 'kit/change', body: { policy: { threadSeal: 'tape' } } },
    record: 'job-1',
    job: bare,
    words: /policy/,
  },
  'kit/count': {
    act: { name: 'kit/count', body: { item: 'olive 22', out: 10, back: 8 } },
    record: 'job-1',
    job: bare,
    words: /olive 22: 10 out, 8 back/,
  },
  'kit/found': {
    act: { name: 'kit/found', body: { item: 'olive 22', joint: 'joint-0001' } },
    record: 'job-1',
    job: counted,
    words: /olive 22 is there/,
  },
  'find/begin': { act: { name: 'find/begin', body: aFindBody() }, record: 'find-0002', job: bare, words: /found/ },
  'find/change': {
    act: { name: 'find/change', body: { typed: '22' } },
    record: 'find-0001',
    job: bare,
    words: /typed/,
  },
  'find/photo': {
    act: { name: 'find/photo', body: { name: 'a.jpg', digest: 'd'.repeat(64), width: 4, height: 3 } },
    record: 'find-0001',
    job: bare,
    words: /photo taken$/,
  },
  'find/drop-photo': {
    act: { name: 'find/drop-photo', body: { photo: 'photo-0001' } },
    record: 'find-0001',
    job: after(bare, [
      { name: 'find/photo', body: { name: 'a.jpg', digest: 'd'.repeat(64), width: 4, height: 3 } },
      'find-0001',
      'photo-0001',
    ]),
    words: /photo taken off/,
  },
  'find/drop': { act: { name: 'find/drop', body: {} }, record: 'find-0001', job: bare, words: /find taken out/ },
  'line/begin': { act: { name: 'line/begin', body: lineBody() }, record: 'line-0002', job: bare, words: /line begun/ },
  'line/change': { act: { name: 'line/change', body: { name: 'hot' } }, record: 'line-0001', job: bare, words: /name/ },
  'line/drop': { act: { name: 'line/drop', body: {} }, record: 'line-0001', job: bare, words: /line taken out/ },
  'line/move-support': {
    act: { name: 'line/move-support', body: { support: '0:1', mm: 900 } },
    record: 'line-0001',
    job: bare,
    words: /support 2 of leg 1 moved/,
  },
  'line/move-supports': {
    act: { name: 'line/move-supports', body: { supports: [{ support: '0:1', mm: 900 }] } },
    record: 'line-0001',
    job: bare,
    words: /1 support moved/,
  },
  'line/fix-support': {
    act: { name: 'line/fix-support', body: { support: '0:1', mm: 900 } },
    record: 'line-0001',
    job: bare,
    words: /support 2 of leg 1 fixed/,
  },
  'line/free-support': {
    act: { name: 'line/free-support', body: { support: '0:1' } },
    record: 'line-0001',
    job: after(bare, [{ name: 'line/fix-support', body: { support: '0:1', mm: 900 } }, 'line-0001']),
    words: /not fixed/,
  },
  'line/bend-step': { act: BEND, record: 'line-0001', job: bare, words: /p1 step 1 done/ },
  'line/unbend-step': {
    act: { name: 'line/unbend-step', body: { piece: bent.piece.id, step: 1 } },
    record: 'line-0001',
    job: after(bare, [BEND, 'line-0001']),
    words: /step 1 not done/,
  },
  'line/fail-bend': {
    act: { name: 'line/fail-bend', body: { piece: bent.piece.id, step: 1 } },
    record: 'line-0001',
    job: after(bare, [BEND, 'line-0001']),
    words: /check of p1 step 1 failed/,
  },
  'joint/begin': { act: { name: 'joint/begin', body: jointBody() }, record: 'joint-0002', job: bare, words: /begun/ },
  'joint/change': {
    act: { name: 'joint/change', body: { place: 'riser' } },
    record: 'joint-0001',
    job: bare,
    words: /place/,
  },
  'joint/tick': { act: TICK, record: 'joint-0001', job: bare, words: /step "cut" done/ },
  'joint/untick': {
    act: { name: 'joint/untick', body: place },
    record: 'joint-0001',
    job: after(bare, [TICK, 'joint-0001']),
    words: /step "cut" not done/,
  },
  'joint/fail': {
    act: { name: 'joint/fail', body: place },
    record: 'joint-0001',
    job: bare,
    words: /check of step "cut" failed/,
  },
  'joint/break-off': {
    act: { name: 'joint/break-off', body: { closed: 'capped' } },
    record: 'joint-0001',
    job: after(bare, [{ name: 'joint/tick', body: place }, 'joint-0001']),
    words: /broken off/,
  },
  'joint/weep': {
    act: { name: 'joint/weep', body: { entry: 0 } },
    record: 'joint-0001',
    job: bare,
    words: /end 1 weeps/,
  },
  'joint/apart': {
    act: { name: 'joint/apart', body: { entry: 0, reused: false } },
    record: 'joint-0001',
    job: bare,
    words: /taken apart/,
  },
  'joint/wait': {
    act: { name: 'joint/wait', body: { entry: 1, step: 'wait' } },
    record: 'joint-0001',
    job: { ...bare, joints: [aJoint({ id: 'joint-0001', ...ends, wayId: wayBy('solder').id, way: wayBy('solder') })] },
    words: /wait begun/,
  },
  'joint/stop-wait': {
    act: { name: 'joint/stop-wait', body: { entry: 1, step: 'wait' } },
    record: 'joint-0001',
    job: after(
      { ...bare, joints: [aJoint({ id: 'joint-0001', ...ends, wayId: wayBy('solder').id, way: wayBy('solder') })] },
      [{ name: 'joint/wait', body: { entry: 1, step: 'wait' } }, 'joint-0001'],
    ),
    words: /wait stopped/,
  },
  'joint/bring-back': {
    act: { name: 'joint/bring-back', body: {} },
    record: 'joint-0001',
    job: aside,
    words: /brought back/,
  },
  'joint/drop': { act: { name: 'joint/drop', body: {} }, record: 'joint-0001', job: bare, words: /joint taken out/ },
  'joint/reopen': {
    act: { name: 'joint/reopen', body: { signoff: 'sign-0001', reason: 'it weeps' } },
    record: 'joint-0001',
    job: signed,
    words: /opened again: it weeps/,
  },
  'joint/sign': {
    act: { name: 'joint/sign', body: { initials: 'OL' } },
    record: 'joint-0001',
    job: ticked,
    words: /signed OL/,
  },
  'cut/begin': { act: { name: 'cut/begin', body: cutBody() }, record: 'cut-0002', job: bare, words: /cut sheet begun/ },
  'cut/change': { act: { name: 'cut/change', body: { name: 'rack' } }, record: 'cut-0001', job: bare, words: /name/ },
  'cut/drop': { act: { name: 'cut/drop', body: {} }, record: 'cut-0001', job: bare, words: /taken out/ },
  'cut/plan': { act: TAKE, record: 'cut-0001', job: bare, words: /planned, 2 pieces/ },
  'cut/enter': { act: ENTER, record: 'cut-0001', job: planned, words: /cut at 1200 mm/ },
  'cut/take-back': {
    act: { name: 'cut/take-back', body: { id: 'done-0001' } },
    record: 'cut-0001',
    job: begun,
    words: /cut taken back/,
  },
  'cut/finish': {
    act: { name: 'cut/finish', body: { kept: [] } },
    record: 'cut-0001',
    job: begun,
    words: /rests to the rack/,
  },
  'rack/put': {
    act: { name: 'rack/put', body: { pipe: 'cu-en-x-22', length: 740, place: 'van' } },
    record: 'offcut-2',
    job: bare,
    words: /offcut 740 mm, 22 × 0\.9 copper/,
  },
  'rack/change': {
    act: { name: 'rack/change', body: { pipe: 'cu-en-x-22', length: 740, place: 'van' } },
    record: 'offcut-1',
    job: bare,
    words: /offcut 740 mm/,
  },
  'rack/drop': { act: { name: 'rack/drop', body: {} }, record: 'offcut-1', job: bare, words: /offcut taken off/ },
  'look/keep': {
    act: {
      name: 'look/keep',
      body: { place: 'under the sink', method: 'crimp', pipe: 'pex-cts-1_2', seen: { gauge: 'fails' } },
    },
    record: 'look-0001',
    job: bare,
    words: /joint looked at: under the sink/,
  },
}

function aFindBody() {
  const { id: _, photos: __, verdicts: ___, version: ____, updatedAt: _____, updatedBy: ______, ...body } = aFind()
  return body
}
function lineBody() {
  const {
    id: _,
    number: __,
    clips: ___,
    pulled: ____,
    version: _____,
    updatedAt: ______,
    updatedBy: _7,
    ...body
  } = aLine()
  return body
}
function jointBody() {
  const joint = aJoint(ends)
  const { place: at, a, b, findA, findB, conditions, orientation, ambient, torch, wayId, comeBack, depths } = joint
  const { flex, onFirst, slip, fixture, valve, comeBackFor, look } = joint
  const room = { a, b, findA, findB, conditions, flex, onFirst, slip, fixture, valve, comeBackFor, look }
  return { place: at, ...room, orientation, ambient, torch, wayId, comeBack, depths }
}
function cutBody() {
  const { name, pipe, sources, extras, cutter, kerf, printed, keep, spare, prefer, stock: lengths, leave } = aCut()
  return { name, pipe, sources, extras, cutter, kerf, printed, keep, spare, prefer, stock: lengths, leave }
}
