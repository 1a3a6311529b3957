import { execFileSync, spawnSync } from 'node:child_process'
import { describe, expect, it } from 'vitest'
import { ask } from '#core/contract'
import { call, get, post } from './client'

/** The same question on the command line. */
const onCommandLine = (verb: string, input: string) => {
  const run = spawnSync('npm', ['run', '-s', 'core', '--', verb], { input, encoding: 'utf8' })
  return { code: run.status, body: JSON.parse(run.stdout) }
}

const QUESTIONS: [string, unknown][] = [
  ['pipes', { series: 'cu-en-x' }],
  [
    'identify',
    {
      region: 'gb',
      checks: [
        { check: 'outside-diameter', value: 21.5, by: 'calliper' },
        { check: 'colour', value: 'copper' },
      ],
    },
  ],
  ['ways', { region: 'gb', a: { pipe: 'cu-bs-imp-3_4' }, b: { pipe: 'ml-en-20' }, conditions: { service: 'heating' } }],
  ['make', { method: 'solder', pipe: 'cu-en-x-22', region: 'gb', orientation: 'horizontal' }],
  [
    'line',
    {
      region: 'gb',
      pipe: 'cu-en-x-22',
      method: 'press',
      start: { kind: 'free' },
      legs: [
        { length: 640, to: 'right', end: { kind: 'bend' } },
        { length: 480, to: 'up', end: { kind: 'stop' } },
      ],
    },
  ],
  ['cut', { stock: [{ id: 's', length: 3000 }], kerf: 2, pieces: [{ id: 'p1', length: 1275, quantity: 3 }] }],
]

describe('POST /api/core/VERB and the command line', () => {
  it.each(QUESTIONS)('%s is answered as core answers it', async (verb, question) => {
    const http = await post(`/api/core/${verb}`, question)
    expect(http.status).toBe(200)
    expect({ ok: true, value: http.body }).toEqual(JSON.parse(JSON.stringify(ask(verb, question))))
  })

  it('answer alike, one question and many', async () => {
    for (const [verb, question] of [QUESTIONS[2]!, ['pipes', [{ series: 'cu-l' }, {}]] as const]) {
      const http = await post(`/api/core/${verb}`, question)
      expect(onCommandLine(verb, JSON.stringify(question))).toEqual({ code: 0, body: http.body })
    }
  })

  it('lists its verbs with their schemas', async () => {
    const { body } = await get<{ verbs: Record<string, { properties: Record<string, { enum: string[] }> }> }>(
      '/api/core',
    )
    expect(Object.keys(body.verbs)).toEqual([
      'pipes',
      'identify',
      'ways',
      'make',
      'inspect',
      'offset',
      'line',
      'cut',
      'fix',
      'flow',
      'heat',
      'ask',
      'rules',
    ])
    expect(body.verbs.ways!.properties.region!.enum).toEqual(['us', 'gb', 'eu'])
  })

  // status on HTTP, code, path; the command line ends with 2 and the same error.
  const WRONG: [string, string, string, number, string, string][] = [
    ['broken JSON', 'pipes', '{', 400, 'json', ''],
    ['an unknown verb', 'nails', '{}', 404, 'verb', ''],
    [
      'an unknown pipe',
      'ways',
      '{"region":"gb","a":{"pipe":"cu-9"},"b":{"pipe":"cu-en-x-22"}}',
      422,
      'unknown-id',
      'a.pipe',
    ],
    ['an unknown field', 'pipes', '{"colour":"red"}', 422, 'unknown-field', 'colour'],
    [
      'an unknown field inside',
      'ways',
      '{"region":"gb","a":{"pipe":"cu-en-x-22","size":1},"b":{"pipe":"cu-en-x-22"}}',
      422,
      'unknown-field',
      'a.size',
    ],
    ['a missing field', 'ways', '{"region":"gb","a":{"pipe":"cu-en-x-22"}}', 422, 'missing', 'b'],
    ['a missing check value', 'identify', '{"checks":[{"check":"colour"}]}', 422, 'missing', 'checks.0.value'],
    [
      'a number as text',
      'identify',
      '{"checks":[{"check":"outside-diameter","value":"21.5","by":"calliper"}]}',
      422,
      'type',
      'checks.0.value',
    ],
    [
      'a diameter in inches',
      'identify',
      '{"checks":[{"check":"outside-diameter","value":0.875,"by":"calliper"}]}',
      422,
      'range',
      'checks.0.value',
    ],
    [
      'a negative diameter',
      'identify',
      '{"checks":[{"check":"outside-diameter","value":-3,"by":"calliper"}]}',
      422,
      'range',
      'checks.0.value',
    ],
    [
      'an endless diameter',
      'identify',
      '{"checks":[{"check":"outside-diameter","value":1e9,"by":"calliper"}]}',
      422,
      'range',
      'checks.0.value',
    ],
    ['an unknown check', 'identify', '{"checks":[{"check":"taste","value":1}]}', 422, 'unknown-id', 'checks.0.check'],
    ['an unknown region', 'pipes', '{"region":"mars"}', 422, 'unknown-id', 'region'],
    [
      'a method that cannot take the pipe',
      'make',
      '{"method":"crimp","pipe":"cu-en-x-22","region":"gb","orientation":"horizontal"}',
      422,
      'impossible',
      'method',
    ],
    [
      'an unknown direction',
      'line',
      '{"region":"gb","pipe":"cu-en-x-22","method":"press","start":{"kind":"free"},"legs":[{"length":640,"to":"rigt","end":{"kind":"free"}}]}',
      422,
      'unknown-id',
      'legs.0.to',
    ],
    [
      'a leg that turns back',
      'line',
      '{"region":"gb","pipe":"cu-en-x-22","method":"press","start":{"kind":"free"},"legs":[{"length":640,"to":"right","end":{"kind":"bend"}},{"length":640,"to":"left","end":{"kind":"free"}}]}',
      422,
      'impossible',
      'legs.1',
    ],
    ['text for a question', 'pipes', '"22"', 422, 'type', ''],
  ]
  it.each(WRONG)('%s', async (_, verb, body, status, code, path) => {
    const reply = await post(`/api/core/${verb}`, body)
    expect([reply.status, reply.body.error.code, reply.body.error.path]).toEqual([status, code, path])
    expect(reply.body.error.message.length).toBeGreaterThan(10)
  })

  it('gives the same error on the command line, with exit code 2', () => {
    for (const [, verb, body, , code, path] of WRONG.slice(0, 2))
      expect(onCommandLine(verb, body)).toMatchObject({ code: 2, body: { error: { code, path } } })
  })

  it('answers an array in order, each its own', async () => {
    const { body } = await post<{ pipes: unknown[]; error: unknown }[]>('/api/core/pipes', [
      { series: 'cu-l' },
      { series: 'x' },
      {},
    ])
    expect(body[0]!.pipes).toHaveLength(9)
    expect(body[1]!.error).toMatchObject({ code: 'unknown-id', path: 'series' })
    expect(body[2]!.pipes).toHaveLength(270)
    expect((await post('/api/core/pipes', [])).body).toEqual([])
    expect(
      (
        await post(
          '/api/core/pipes',
          Array.from({ length: 1001 }, () => ({ series: 'x' })),
        )
      ).body.error.code,
    ).toBe('too-many')
  })

  it('turns away more than it reads, and stays up', async () => {
    const reply = await post('/api/core/pipes', `{"series":"${'x'.repeat(3_000_000)}"}`)
    expect([reply.status, reply.body.error.code]).toEqual([413, 'too-many'])
    expect((await get('/api/health')).body).toEqual({ ok: true })
  })

  it('answers an unknown route as data, without a stack', async () => {
    const reply = await get('/api/nowhere')
    expect(reply).toMatchObject({ status: 404, body: { error: { code: 'unknown-id' } } })
    expect(JSON.stringify(reply.body)).not.toContain('stack')
  })

  it('takes writes from its own pages only', async () => {
    expect((await call('POST', '/api/core/pipes', {}, { Origin: 'http://elsewhere.example' })).status).toBe(403)
  })

  it('starts on the command line within seconds, without a build or a database', () => {
    const out = execFileSync('npm', ['run', '-s', 'core', '--', 'pipes'], {
      input: '{"series":"pe-en"}',
      encoding: 'utf8',
      env: { ...process.env, DATABASE_URL: '' },
      timeout: 20_000,
    })
    expect(JSON.parse(out).pipes).toHaveLength(6)
  })
})
