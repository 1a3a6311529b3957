import { mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { Key, Origin } from 'selenium-webdriver'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { acting } from '../acts'
import { ownBed } from '../bed'
import type { JobRecord } from '#core/record'
import { App } from './pages/app'

// A run drawn as it is said on site, by keys, by dragging, from a task, from a file; its cuts, marks and ways out.
let app: App
let folder: string
const base = () => ownBed().baseUrl
const slug = 'tallow-house'
const job = async (): Promise<JobRecord> => (await (await fetch(`${base()}/api/jobs/${slug}`)).json()) as JobRecord
const legs = async (number: number) => (await job()).lines.find((line) => line.number === number)!.legs
const add = async (text: string) => {
  await app.type('[data-test="new-leg"]', text)
  await app.press(Key.ENTER)
}
beforeAll(async () => {
  folder = mkdtempSync(path.join(tmpdir(), 'jolvet-legs-'))
  await acting().newJob('Tallow house', 'gb', 'washing bay')
  app = await App.open(base())
})
afterAll(async () => {
  await app.close()
  rmSync(folder, { recursive: true, force: true })
})

describe('a line by keyboard alone', () => {
  it('is drawn leg by leg, with its branches, and comes to cuts', async () => {
    await app.go(`/jobs/${slug}/line`)
    await app.find('[data-test="first-line"]')
    // Tab to the one button there is, then keys only.
    await app.driver.executeScript('document.querySelector("[data-test=first-line]").focus()')
    await app.press(Key.ENTER)
    await app.find('[data-test="new-leg"]')
    // What is to be typed is seen: words, letters, and which way each goes.
    await app.waitForText('[data-test="first-words"]', /right 640, or short e 640/)
    await app.waitForText('[data-test="rose"]', /u up[\s\S]*n away[\s\S]*e right/)
    await app.press('n')
    for (const leg of [
      'e 640',
      'u 900',
      'e 1140 offset s 65 @ 45 at 420',
      'd 820 on 15 stop = sink 1',
      'from d e 900',
      'd 820 on 15 stop = sink 2',
    ])
      await app.press(leg, Key.ENTER)
    await app.waitForText('[data-leg="5"]', /F G\s*d 820 on 15 stop = sink 2/)
    await app.press(Key.ESCAPE)
    for (let i = 0; i < 6; i++) await app.press('k')
    // A to B: 640 from a free end, less the elbow's 13.5 (typical).
    await app.waitForText('[data-test="cut"]', /627/)
    await app.press('j')
    await app.waitForText('section[aria-label="Working"]', /Working of p2, B to C/)
    await app.press('j')
    await app.waitForText(
      'section[aria-label="Working"]',
      /travel[\s\S]*91\.9[\s\S]*hook edge[\s\S]*back the other way/,
    )
    await app.saved()
    expect(await legs(1)).toHaveLength(6)
  })
  it('is undone and done again, changed in place, and asked of its other end and school', async () => {
    await app.press('u')
    await app.waitForText('.rows', /^(?![\s\S]*sink 2)/)
    await app.press('U')
    await app.waitForText('[data-leg="5"]', /sink 2/)
    await app.press('k', 'k', 'k', 'k', 'k', Key.ENTER)
    await app.waitForValue('input[data-edit]', 'e 640')
    await app.type('input[data-edit]', 'e 700')
    await app.press(Key.ENTER)
    await app.waitForText('[data-test="cut"]', /687/)
    await app.press('j', 'j', 'r')
    await app.waitForText('.strip', /from the other end/)
    await app.press('g')
    await app.waitForText('section[aria-label="Working"]', /corner sighted across the former with an offcut\. In use/)
    await app.saved()
    expect((await job()).policy.bendMark).toBe('corner')
    expect(await app.errors()).toEqual([])
  })
})

describe('what cannot be made', () => {
  it('stays as typed with the reason at its row; the rest is drawn', async () => {
    await add('e 20 zz')
    await app.waitForText('[data-issue="6"]', /"zz" is not understood after "e 20"/)
    await app.press(Key.ESCAPE)
    await app.press(Key.DELETE)
    await app.waitForText('.rows', /^(?![\s\S]*zz)/)
    await add('u 50')
    await app.waitForText('[data-issue="6"]', /leg 5 ends|nothing goes on there|ends stop/i)
    await app.press(Key.ESCAPE)
    await app.press(Key.DELETE)
    await app.waitForText('.rows', /^(?![\s\S]*u 50)/)
  })
  it('shows the clash as a sum, with ways out that are tried; one is taken', async () => {
    await app.click('[data-test="add-line"]')
    await add('e 900 offset s 40 @ 45')
    await app.waitForText('[data-test="impossible"]', /The bends overlap by 7\.2/)
    await app.waitForText('section[aria-label="Working"]', /straight between\s*−7\.2/)
    await app.click('[data-test="way-out"] button')
    await app.waitForText('section[aria-label="Working"]', /straight between the bends/)
    await app.saved()
    expect(await legs(2)).toEqual(['e 900 offset s 40 @ 30'])
    expect(await app.axe()).toEqual([])
  })
})

describe('with the pointer', () => {
  const drag = async (css: string, dx: number, dy: number) => {
    const grip = await app.find(css)
    await app.driver
      .actions()
      .move({ origin: grip, x: 0, y: 0 })
      .press()
      .move({ origin: Origin.POINTER, x: Math.round(dx / 2), y: Math.round(dy / 2) })
      .move({ origin: Origin.POINTER, x: dx - Math.round(dx / 2), y: dy - Math.round(dy / 2) })
      .release()
      .perform()
  }
  it('a leg is pulled out of a point and stretched; text and drawing stay in step', async () => {
    await app.click('[data-test="add-line"]')
    await app.waitForText('.sheet', /No legs yet/)
    await drag('[data-grip="pull"]', 0, -120)
    await app.waitForText('[data-leg="0"]', /A B\s*u \d+/)
    await app.saved()
    const first = Number((await legs(3))[0]!.split(' ')[1])
    await drag('[data-grip="stretch"]', 0, 60)
    await app.saved()
    const second = Number((await legs(3))[0]!.split(' ')[1])
    expect(second).toBeLessThan(first)
    await drag('[data-grip="pull"]', 100, 58)
    await app.waitForText('[data-leg="1"]', /B C\s*e \d+/)
    // Larger and back to fit.
    const scale = async () => (await app.text('.iso')).match(/1 mm drawn [\d.]+/)![0]
    const before = await scale()
    await app.press('+')
    expect(await scale()).not.toBe(before)
    await app.press('f')
    expect(await scale()).toBe(before)
    expect(await app.errors()).toEqual([])
  })
})

describe('what a line is of', () => {
  it('a change of method or pipe changes its cuts at once', async () => {
    await app.click('[data-line="1"]')
    await app.click('[data-leg="0"] button')
    await app.waitForText('[data-test="cut"]', /687/)
    await app.click('[data-panel="line"]')
    await app.click('[data-method="press"]')
    await app.click('[data-panel="working"]')
    // 700 less the press elbow's 27.5.
    await app.waitForText('[data-test="cut"]', /673/)
    await app.click('[data-panel="line"]')
    await app.waitForText('section[aria-label="What the line is of"]', /press tee 22 x 22 x 15/)
    await app.click('[data-test="corners-bends"]')
    await app.click('[data-panel="working"]')
    await app.waitForText('section[aria-label="Working"]', /bend gain/)
    await app.saved()
    expect((await job()).lines[0]).toMatchObject({ method: 'press', corners: 'bends' })
  })
})

describe('an end of the line', () => {
  it('goes to the joint engine with its pipe', async () => {
    await app.go(`/jobs/${slug}/line?line=${(await job()).lines[0]!.id}`)
    await app.click('[data-leg="5"] button')
    await app.click('[data-join="G"]')
    await app.waitForText('[data-end="a"]', /15 × 0\.7 copper/)
    await app.saved()
    expect((await job()).joints).toMatchObject([{ a: { pipe: 'cu-en-x-15' }, place: 'sink 2, L1' }])
    await app.go(`/jobs/${slug}/line?line=${(await job()).lines[0]!.id}`)
    await app.find('[data-leg]')
  })
})

describe('from a task, from a file', () => {
  it('a guide asks, answers and draws its line', async () => {
    await app.click('[data-panel="guides"]')
    await app.waitForText('section[aria-label="Start from a task"]', /cut out/)
    await app.type('[data-guide-field="along"]', 'some')
    await app.waitForText('#guide-wrong', /draw apart by.*"some" is not a length/)
    await app.type('[data-guide-field="along"]', '60')
    await app.waitForText('section[aria-label="Start from a task"]', /Push the tee left, home to the mark/)
    await app.click('[data-test="guide-begin"]')
    await app.waitForText('[aria-label="Lines"]', /L4 branch from the new tee/)
    // Its length is nobody's measure: dashed, until one is typed.
    await app.waitForText('[data-leg="0"]', /d ~500/)
    await app.waitForCount('[data-guess]', 1)
    await app.waitForText('svg[aria-label^="The run"]', /~500/)
    await app.click('[data-leg="0"] .leg')
    await app.type('input[data-edit]', 'd 480')
    await app.press(Key.ENTER)
    await app.waitForCount('[data-guess]', 0)
    await app.press(Key.ESCAPE)
    // It is not wanted after all: asked once more, then gone here and there.
    await app.click('[data-panel="line"]')
    await app.click('[data-test="drop-line"]')
    await app.waitForText('section[aria-label="What the line is of"]', /L4 with its 1 leg goes for good/)
    await app.click('[data-test="drop-line-yes"]')
    await app.waitForText('[aria-label="Lines"]', /^(?![\s\S]*L4)/)
    await app.saved()
    expect((await job()).lines.map(({ number }) => number)).toEqual([1, 2, 3])
  })
  it('an import says what it will do, names its bad rows, and keeps them to be put right', async () => {
    const file = path.join(folder, 'legs.csv')
    writeFileSync(file, 'leg\ne 640\nx 20\nn 300\n')
    await app.click('[data-panel="files"]')
    await (await app.find('[data-test="import-file"]')).sendKeys(file)
    await app.waitForText('[data-test="import-preview"]', /3 legs from CSV[\s\S]*row 3 x 20/)
    await app.click('[data-test="import-begin"]')
    await app.waitForText('[data-leg="1"]', /x 20/)
    await app.saved()
    expect(await legs(4)).toEqual(['e 640', 'x 20', 'n 300'])
    writeFileSync(file, '{"format":"jolvet-line","version":9}')
    await app.click('[data-panel="files"]')
    await (await app.find('[data-test="import-file"]')).sendKeys(file)
    await app.waitForText('[data-test="import-problem"]', /version 9, from a newer Jolvet/)
  })
})

describe('a test bend', () => {
  it('calibrates the bender, says the error it leaves, and the line uses it', async () => {
    await app.go(`/jobs/${slug}/kit`)
    await app.type('[data-test="bender-a"]', '200')
    await app.type('[data-test="bender-b"]', '200')
    await app.waitForText('section[aria-label="Benders"]', /a bend gains/)
    await app.type('[data-test="bender-a"]', '227.3')
    await app.type('[data-test="bender-b"]', '205.7')
    await app.type('[data-test="bender-pulled"]', '93')
    await app.waitForText('[data-test="bender-result"]', /76\.9[\s\S]*77\.3[\s\S]*3°/)
    await app.click('[data-test="bender-keep"]')
    await app.waitForText('[data-test="bender"]', /R 76\.9/)
    expect(await app.axe()).toEqual([])
    await app.saved()
    await app.go(`/jobs/${slug}/line?line=${(await job()).lines[1]!.id}`)
    await app.waitForText('section[aria-label="Working"]', /your test bend[\s\S]*pull 31/)
  })
})

describe('a task that is kept', () => {
  it('leaves its slip joint to be made, and its stub to be cut', async () => {
    await app.go(`/jobs/${slug}/line?line=${(await job()).lines[0]!.id}`)
    await app.click('[data-panel="guides"]')
    await app.type('[data-guide-field="slip"]', '90')
    await app.waitForText('section[aria-label="Start from a task"]', /stub piece/)
    await app.click('[data-test="keep-task"]')
    await app.waitForText('[data-test="task-kept"]', /J\d+[\s\S]*its pieces on C\d+/)
    await app.saved()
    const { joints, cuts } = await job()
    expect(joints.at(-1)).toMatchObject({
      place: 'A tee into a fixed line, slip coupling',
      slip: { length: 90, on: 'b' },
    })
    expect(joints.at(-1)!.wayId).not.toBeNull()
    expect(cuts.at(-1)!.extras.at(-1)).toMatchObject({ name: 'stub of the tee', quantity: 1 })
  })
})

describe('on the phone', () => {
  it('shows the cut large, both ends of the strip, the working from below; legs are typed and changed', async () => {
    await app.setSize(390, 844)
    await app.go(`/jobs/${slug}/line?line=${(await job()).lines[1]!.id}`)
    await app.waitForText('.phone-figure', /\d{3}/)
    await add('n 300')
    await app.waitForText('[data-leg="1"]', /n 300/)
    await app.click('[data-test="next-piece"]')
    await app.click('[data-test="open-working"]')
    await app.waitForText('[role="dialog"]', /Working of p/)
    expect(await app.axe()).toEqual([])
    await app.press(Key.ESCAPE)
    await app.errors()
  })
  it('takes a line begun without a network, and sends it when there is one', async () => {
    await app.setOffline(true)
    await app.click('[data-test="add-line"]')
    await add('e 250')
    await app.waitForText('[data-leg="0"]', /e 250/)
    await app.setOffline(false)
    await app.saved()
    expect((await job()).lines.at(-1)).toMatchObject({ legs: ['e 250'] })
    await app.setSize(1280, 800)
  })
})
