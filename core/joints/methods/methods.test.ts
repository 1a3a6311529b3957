import { readdirSync, readFileSync } from 'node:fs'
import path from 'node:path'
import { describe, expect, it } from 'vitest'
import { SOCKET_METHODS, STANDARD_METHODS } from '#core/catalogue'
import { ALL_METHODS, JOINT_METHODS, METHODS, STEP_CODES } from '#core/joints'

const ROOT = path.resolve(import.meta.dirname, '../../..')
const sources = ['core', 'app', 'server'].flatMap((folder) =>
  readdirSync(path.join(ROOT, folder), { recursive: true, encoding: 'utf8' })
    .map((file) => `${folder}/${file}`)
    .filter((file) => /\.(ts|vue)$/.test(file) && !file.endsWith('.test.ts')),
)

/**
 * Where the id of a method may stand beside its own file: lists of ids, their words, the standards, the frozen old
 * places.
 */
const MAY_NAME = [
  'core/joints/types.ts',
  'core/joints/methods/index.ts',
  'core/catalogue/types.ts',
  'core/catalogue/tables/',
  'core/making/numbered.ts',
  // Fittings that the counter sells between two systems.
  'core/joints/fittings.ts',
  'core/joints/reducing-fittings.ts',
  'app/wording/en.ts',
  // The demo's tools and joints.
  'server/demo/',
]

describe('a method of joining', () => {
  it('is listed where the others are', () => {
    expect(Object.keys(JOINT_METHODS)).toEqual([...SOCKET_METHODS])
    expect(Object.keys(ALL_METHODS).sort()).toEqual([...METHODS].sort())
    for (const [id, method] of Object.entries(ALL_METHODS)) expect(method.id).toBe(id)
  })
  it('has sockets in a standard', () => {
    expect([...STANDARD_METHODS].sort()).toEqual([...SOCKET_METHODS].sort())
  })
  it('has a place of its own in the order of making, and a name nobody else is called by', () => {
    const methods = Object.values(ALL_METHODS)
    expect(methods.map(({ order }) => order).sort((a, b) => a - b)).toEqual(methods.map((_, i) => i))
    const names = methods.flatMap(({ spoken }) => spoken)
    expect(new Set(names).size).toBe(names.length)
  })
  it('has a remedy for steps that its card can have, and never an empty one', () => {
    for (const { remedies } of Object.values(ALL_METHODS)) {
      expect(Object.keys(remedies).length).toBeGreaterThan(0)
      for (const [code, { do: words }] of Object.entries(remedies)) {
        expect(STEP_CODES).toContain(code)
        expect(words.length).toBeGreaterThan(10)
      }
    }
  })
  it('comes apart by steps that begin with the pipe empty, and is used again only once it was looked at', () => {
    for (const { id, weeps, apart } of Object.values(ALL_METHODS)) {
      expect([id, apart.moves[0]!.do]).toEqual([id, expect.stringMatching(/Shut off/)])
      expect([id, apart.scrap.length > 5, weeps.then.length > 10]).toEqual([id, true, true])
      if (apart.again) expect([id, apart.again.look.length > 10]).toEqual([id, true])
      // The screen puts the full stop.
      for (const words of [apart.scrap, apart.again?.look ?? '', ...apart.moves.map((move) => move.do)])
        expect(words).not.toMatch(/\.$/)
      // What is cut out is not nipped first.
      if (apart.takesPipe && weeps.once) expect(JOINT_METHODS[id as keyof typeof JOINT_METHODS].comesApart).toBe(true)
    }
  })
  it('costs and takes something', () => {
    for (const { minutes, price, looks } of Object.values(ALL_METHODS)) {
      expect(minutes.work).toBeGreaterThan(0)
      expect(price.high).toBeGreaterThan(price.low)
      expect(looks.length).toBeGreaterThan(0)
    }
  })
  // Rings are the example: what goes for them is said in their files, so that another ring needs only its own.
  it.each(['crimp', 'clamp', 'sliding-sleeve', 'pe-compression', 'ml-press', 'ml-compression'])(
    '%s is named in no other file',
    (id) => {
      const named = sources.filter(
        (file) =>
          readFileSync(path.join(ROOT, file), 'utf8').includes(`'${id}'`) &&
          file !== `core/joints/methods/${id}.ts` &&
          !MAY_NAME.some((place) => file.startsWith(place)),
      )
      expect(named).toEqual([])
    },
  )
})
