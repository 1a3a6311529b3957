import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import type { End } from '#core/joints'
import type { FindRecord, JobRecord, JointRecord } from '#core/record'
import { acting } from '../acts'
import { ownBed } from '../bed'
import { App } from './pages/app'

// What Find learnt of a pipe is used on Joint and Make, is seen there, and is changed there.
let app: App
let yard: JobRecord
const { act, begin, newJob, job: jobOf } = acting()

async function found(pipe: string, answers: FindRecord['answers'], typed = ''): Promise<FindRecord> {
  const find = await begin('find/begin', yard, { place: 'stub', typed, answers })
  return act('find/change', await jobOf(yard.slug), find.id, { pipe })
}
const joining = (find: FindRecord, b: End, conditions: object = {}): Promise<JointRecord> =>
  begin('joint/begin', yard, { a: { pipe: find.pipe! }, findA: find.id, b, conditions })
const joint = (one: JointRecord) => app.go(`/jobs/${yard.slug}/joint?joint=${one.id}`)

beforeAll(async () => {
  yard = await newJob('Oven room', 'gb', 'what was found')
  await act('kit/change', yard, yard.id, { tools: null })
  app = await App.open(ownBed().baseUrl)
})
afterAll(() => app.close())

describe('what Find learnt', () => {
  it('stands under the end with what told it, refuses what it refuses, and is changed at the joint', async () => {
    const find = await found('cu-en-x-22', { colour: 'copper', flex: 'soft', surface: 'painted', traced: 'water' })
    const made = await joining(find, { pipe: 'cu-en-x-22' })
    await joint(made)
    await app.waitForText('[data-facts="a"]', /soft[\s\S]*painted[\s\S]*how it flexes; looked at/)
    await app.waitForText('[data-end="a"]', /from Find \d/)
    await app.find('[data-refused="push-fit-a"]')
    await app.find('[data-note="surface"]')
    await app.click('[data-facts="a"] [data-fact="temper"]')
    await app.click('[data-detail="temper:hard"]')
    await app.waitForText('[data-facts="a"]', /hard[\s\S]*said here/)
    await app.waitForCount('[data-refused="push-fit-a"]', 0)
    await app.saved()
    const kept = (await jobOf(yard.slug)).joints.find(({ id }) => id === made.id)!
    expect(kept.a).toEqual({ pipe: 'cu-en-x-22', temper: 'hard' })
    expect(await app.axe()).toEqual([])
  })

  it('is asked once where nobody knows it, and the answer frees the ways', async () => {
    const find = await found('cu-en-x-22', { colour: 'copper', traced: 'water' })
    await joint(await joining(find, { pipe: 'cu-en-x-15' }))
    await app.waitForText('[data-facts="a"]', /not known/)
    await app.waitForText('[data-ask="unknown-temper"]', /All \d+ ways hang on one fact\.[\s\S]*Flex it/)
    await app.waitForCount('[data-ask]', 1)
    await app.click('[data-answer="unknown-temper:hard"]')
    await app.waitForCount('[data-ask]', 0)
    await app.waitForText('[data-facts="a"]', /hard/)
  })

  it('takes the letter and the listing of the print to an expansion fitting', async () => {
    const us = await newJob('Boat shed', 'us', 'the letter')
    await act('kit/change', us, us.id, { tools: null })
    const find = await begin('find/begin', us, { typed: '7/8', answers: { print: 'PEX-A 3/4 F1960 ASTM F876' } })
    await act('find/change', await jobOf(us.slug), find.id, { pipe: 'pex-cts-3_4' })
    await app.go(`/jobs/${us.slug}/joint?from=${find.id}`)
    await app.waitForText('[data-facts="a"]', /letter\s*a\s*listed\s*F1960[\s\S]*its print/)
    await app.click('[data-end="b"]')
    await app.click('[data-series="cu-l"]')
    await app.click('[data-pipe="cu-l-3_4"]')
    await app.find('[data-way*="expansion.cts:3_4"]')
    await app.waitForCount('[data-refused="expansion-a"]', 0)
    await app.find('[data-refused="crimp-a"]')
  })
})

describe('water in a found pipe', () => {
  it('holds the cut on Make until it is answered; what stays wet takes no solder', async () => {
    const find = await found('cu-en-x-22', { colour: 'copper', flex: 'rigid', traced: 'water', water: 'live' })
    const made = await joining(find, { pipe: 'cu-en-x-22' })
    await joint(made)
    await app.find('[data-way^="solder"]')
    await app.waitForText('[data-suspect="a:live"]', /it is live/)
    await app.click('[data-test="drips"]')
    await app.waitForText('[data-suspect="a:wet"]', /does it still drip\?/)
    await app.click('[data-test="stays-wet"]')
    await app.waitForCount('[data-suspect]', 0)
    await app.find('[data-refused="solder-a"]')
    await app.click('[data-way^="press.en:22"]')
    await app.click('[data-test="take-way"]')
    await app.find('[data-step="cut"]')
    await app.saved()
    const job = await jobOf(yard.slug)
    expect(job.finds.find(({ id }) => id === find.id)!.answers.water).toBe('drips')
    const again = await act('find/change', job, find.id, { answers: { ...find.answers, water: 'live' } })
    expect(again.answers.water).toBe('live')
    await app.waitForText('[data-suspect="a:live"]', /Until then its cut is held/)
    expect(await (await app.find('[data-step="cut"] .tick')).isEnabled()).toBe(false)
    await app.click('[data-test="drained"]')
    await app.waitForCount('[data-suspect]', 0)
    expect(await (await app.find('[data-step="cut"] .tick')).isEnabled()).toBe(true)
  })
})

describe('gas, on a phone', () => {
  it('is asked before anything else, under the thumb; then the earth clamp, before the joint', async () => {
    const find = await begin('find/begin', yard, { typed: '22', answers: { colour: 'copper' } })
    await app.setSize(390, 844)
    await app.go(`/jobs/${yard.slug}/find?find=${find.id}`)
    await app.waitForText('[data-caution="gas"]', /Could it be gas\?/)
    await app.waitForText('[data-test="thumb"]', /It is water, I traced it\s*Not sure\s*Gas: stop/)
    await app.click('[data-test="traced-gas"]')
    await app.waitForText('[data-test="gas-stop"]', /It is gas: stop/)
    await app.waitForCount('[data-test="thumb"]', 0)
    await app.click('[data-back="traced"]')
    await app.click('[data-test="traced-water"]')
    await app.click('[data-keep="cu-en-x-22"]')
    await app.click('[data-test="no-clamp"]')
    await app.find('[data-test="to-joint"]')
    await app.saved()
    const { finds } = await jobOf(yard.slug)
    expect(finds.find(({ id }) => id === find.id)!.answers).toMatchObject({ traced: 'water', earth: 'none' })
    await app.setSize(1280, 800)
    expect(await app.errors()).toEqual([])
  })
})
