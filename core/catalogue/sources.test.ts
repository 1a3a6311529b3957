import { describe, expect, it } from 'vitest'
import {
  aboutSource,
  findSocket,
  getPipe,
  pipeRatings,
  PIPES,
  ringGaugeSource,
  SOCKET_METHODS,
  SOURCES,
  socketDepth,
  sourcesNamed,
  spacingOf,
  SUPPORT_CODES,
} from '#core/catalogue'

const names = (text: string) => sourcesNamed(text).map(({ standard }) => standard)

describe('sources', () => {
  it('are one for each table, none twice', () => {
    expect(SOURCES).toHaveLength(58)
    expect(new Set(SOURCES.map(({ id }) => id)).size).toBe(SOURCES.length)
  })
  it('claim an edition or a clause only where the checked figures state one', () => {
    expect(SOURCES.filter(({ edition }) => edition === undefined)).toHaveLength(58)
    expect(SOURCES.flatMap(({ clause }) => clause ?? [])).toEqual(['Table 308.5', 'Table P2605.1', 'Table 313.3'])
  })
  it('say what they are about, that the edition is not known, and how they were checked', () => {
    for (const source of SOURCES) {
      expect(aboutSource(source)).toContain(`${source.standard}: ${source.subject}`)
      expect(aboutSource(source)).toMatch(
        /\. Edition not known here\. Checked: (two lists made apart agree|one list only)/,
      )
    }
    expect(aboutSource({ ...SOURCES[0]!, edition: '1 of this test', clause: 'Table 9' })).toMatch(
      /Table 9\. Edition 1 of this test\./,
    )
  })
  it('are found by their names in the words beside a figure', () => {
    expect(names('typical for EN 1254-1 fittings; makers differ')).toEqual(['EN 1254-1'])
    expect(names('EN 1254-12')).toEqual([])
    expect(names('EN ISO 15875-3 and EN ISO 15875')).toEqual(['EN ISO 15875-3'])
    expect(names('ASTM F1807. Ours beside it')).toEqual(['ASTM F1807'])
    expect(names('weakest of ASTM F876, IPC Table 308.5')).toEqual(['ASTM F876', 'IPC Table 308.5'])
    expect(names('measured')).toEqual([])
    expect(names('')).toEqual([])
  })
  it('are named at every figure that the tables give', () => {
    const sockets = PIPES.flatMap((pipe) => SOCKET_METHODS.flatMap((method) => findSocket(method, pipe) ?? []))
    const words = [
      ...PIPES.map(({ standard }) => standard),
      ...sockets.map((socket) => socketDepth(socket).source),
      ...PIPES.flatMap((pipe) => pipeRatings(pipe).map(({ source }) => source)),
      ...PIPES.flatMap((pipe) => SUPPORT_CODES.flatMap((code) => spacingOf(code, pipe)?.source ?? [])),
      ringGaugeSource(getPipe('pex-cts-3_4'))!,
    ]
    expect(sockets.length).toBeGreaterThan(200)
    expect([...new Set(words)].filter((text) => sourcesNamed(text).length === 0)).toEqual([])
  })
})
