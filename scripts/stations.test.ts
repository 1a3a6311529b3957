import { readdirSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { STATIONS } from './stations.mjs'

const filesIn = (folder: string): string[] =>
  readdirSync(folder, { recursive: true, encoding: 'utf8' })
    .filter((file) => file.endsWith('.test.ts'))
    .map((file) => `${folder}/${file}`)
const unit = ['core', 'app', 'server', 'tests/agree'].flatMap(filesIn)
const server = ['tests/api', 'tests/faults', 'tests/e2e'].flatMap(filesIn)
const stations = Object.entries(STATIONS)
/** The parts of a path that name a station, as the runner matches them. */
const isOf = (parts: readonly string[], file: string) => parts.some((part) => file.includes(part))

/** What a browser walks through all stations, or what belongs to none. */
const OF_ALL = ['first-joint', 'look', 'phone', 'two-hands', 'words']

describe('the tests of one station', () => {
  it.each(stations)('of %s are some, and few of all', (_, parts) => {
    const own = [...unit, ...server].filter((file) => isOf(parts, file))
    expect(own.length).toBeGreaterThan(0)
    expect(own.length).toBeLessThan((unit.length + server.length) / 3)
  })
  it.each(stations)('of %s: every part names a file', (_, parts) => {
    for (const part of parts)
      expect(
        [...unit, ...server].some((file) => file.includes(part)),
        part,
      ).toBe(true)
  })
  it('leave no browser test to the whole run alone', () => {
    const lost = filesIn('tests/e2e').filter(
      (file) => !stations.some(([, parts]) => isOf(parts, file)) && !isOf(OF_ALL, file),
    )
    expect(lost).toEqual([])
  })
  it('leave no folder of core that computes for a station to the whole run alone', () => {
    const shared = ['acts', 'base', 'units', 'speech', 'catalogue', 'contract', 'record', 'rulebook']
    const folders = readdirSync('core', { withFileTypes: true }).filter((entry) => entry.isDirectory())
    const lost = folders
      .map(({ name }) => `core/${name}/`)
      .filter((folder) => !shared.some((name) => folder === `core/${name}/`))
      .filter((folder) => !stations.some(([, parts]) => parts.some((part) => folder.startsWith(`${part}/`))))
    expect(lost).toEqual([])
  })
})
