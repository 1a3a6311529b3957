import { spawn } from 'node:child_process'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import type { JobList, News } from '#core/acts'
import { acting } from '../acts'
import { ownBed } from '../bed'
import { appPort } from '../ports'

const { begin, newJob, read, tryAct } = acting()

/** News as a browser would hear it, from one address. */
async function listen(baseUrl: string) {
  const stop = new AbortController()
  const reply = await fetch(`${baseUrl}/api/stream`, { signal: stop.signal })
  const heard: News[] = []
  const waiting = new Set<() => void>()
  const reading = (async () => {
    let text = ''
    for await (const chunk of reply.body!.pipeThrough(new TextDecoderStream())) {
      text += chunk
      const events = text.split('\n\n')
      text = events.pop()!
      for (const event of events) {
        const data = /^event: news[\s\S]*?^data: (.*)$/m.exec(event)?.[1]
        if (data) heard.push(JSON.parse(data) as News)
      }
      for (const wake of waiting) wake()
    }
  })().catch(() => undefined)
  return {
    status: reply.status,
    type: reply.headers.get('content-type'),
    heard,
    /** Comes back once something was heard; fails where it never is. */
    async until(is: (news: News) => boolean): Promise<News> {
      for (;;) {
        const found = heard.find(is)
        if (found) return found
        await new Promise<void>((resolve) => waiting.add(resolve))
      }
    },
    async close() {
      stop.abort()
      await reading
    },
  }
}
const about = (id: string) => (news: News) => news.jobs.some((job) => job.id === id)

describe('the stream', () => {
  it('tells of a job as it then stands in the list, and of one that is gone', async () => {
    const job = await newJob('Stream yard')
    const line = await listen(ownBed().baseUrl)
    expect([line.status, line.type]).toEqual([200, 'text/event-stream'])
    await begin('find/begin', job, { typed: '22' }, undefined, { by: 'Wyn' })
    const news = await line.until((one) => one.jobs.some(({ id, acts }) => id === job.id && acts === 2))
    expect(news.jobs.find(({ id }) => id === job.id)).toMatchObject({
      slug: job.slug,
      by: 'Wyn',
      next: { station: 'find' },
    })
    await tryAct('job/drop', job, job.id, { name: 'Stream yard' })
    expect((await line.until(({ gone }) => gone.includes(job.id))).gone).toContain(job.id)
    await line.close()
  })
  it('tells that the rack has changed', async () => {
    const job = await newJob('Stream rack')
    const line = await listen(ownBed().baseUrl)
    await begin('rack/put', job, { pipe: 'cu-en-x-42', length: 900, place: 'van' })
    expect(await line.until(({ isRack }) => isRack)).toMatchObject({ isRack: true })
    await line.close()
  })
})

describe('two processes on one database', () => {
  let other: ReturnType<typeof spawn> | undefined
  let there = ''
  beforeAll(async () => {
    const port = await appPort()
    there = `http://127.0.0.1:${port}`
    other = spawn(process.execPath, ['.output/server/index.mjs'], {
      stdio: 'ignore',
      env: {
        ...process.env,
        NODE_ENV: 'production',
        HOST: '127.0.0.1',
        PORT: String(port),
        DATABASE_URL: ownBed().databaseUrl,
        JOLVET_RATE_TIMES: '1000',
      },
    })
    const isUp = () =>
      fetch(`${there}/api/health`).then(
        ({ ok }) => ok,
        () => false,
      )
    while (!(await isUp())) await new Promise((resolve) => setTimeout(resolve, 50))
  })
  afterAll(() => other?.kill('SIGKILL'))

  it('each tell what the other took', async () => {
    const line = await listen(there)
    const job = await newJob('Across')
    await begin('find/begin', job, {})
    await line.until(about(job.id))
    await line.close()
  })
  it('that take the acts of one job in turn both know what the other made of it', async () => {
    const job = await newJob('Quoinhouse')
    const [here, over] = [acting(), acting(() => there)]
    const find = await here.begin('find/begin', job, { place: 'low wall' })
    const joints = []
    for (const [i, at] of [over, here, over, here].entries())
      joints.push(
        await at.begin('joint/begin', job, { place: `riser ${i}`, a: { pipe: 'cu-en-x-22' }, findA: find.id }),
      )
    await over.act('find/change', job, find.id, { place: 'high wall', answers: { traced: 'water' } })
    await here.act('joint/change', job, joints[0]!.id, { place: 'cellar' })
    await over.act('joint/drop', job, joints[1]!.id, {})
    await here.act('joint/change', job, joints[3]!.id, { place: 'attic' })
    for (const word of ['high wall', 'cellar', 'attic', 'riser 2']) {
      const { jobs } = await read<JobList>(`/api/jobs?q=Quoinhouse+${encodeURIComponent(word)}`)
      expect(jobs.map(({ id }) => id)).toEqual([job.id])
    }
    const gone = await read<JobList>(`/api/jobs?q=Quoinhouse+riser+1`)
    expect(gone.jobs).toEqual([])
    const [row] = (await read<JobList>('/api/jobs?q=Quoinhouse')).jobs
    expect(row).toMatchObject({ made: 0, of: 3 })
  })
})
