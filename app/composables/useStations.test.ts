import { describe, expect, it } from 'vitest'
import { gistOfJob } from '#core/record'
import { aFind, aJob } from '../../tests/records'
import { stationViews } from './useStations'

const job = aJob({ finds: [aFind({ typed: '22' })] })

describe('stationViews', () => {
  it("keeps each station's place in the order of the whole work", () => {
    expect(stationViews(gistOfJob(job), 'find').map(({ key }) => key)).toEqual([1, 2, 3, 4, 5, 7, 9])
  })
  it('holds Find until every open find is traced to water', () => {
    expect(stationViews(gistOfJob(job), 'joint')[0]).toMatchObject({ held: true, state: 'ahead', count: '1 find' })
    const traced = { ...job, finds: [{ ...job.finds[0]!, answers: { traced: 'water' as const } }] }
    expect(stationViews(gistOfJob(traced), 'joint')[0]).toMatchObject({ held: false })
    const kept = { ...job, finds: [{ ...job.finds[0]!, pipe: 'cu-en-x-22' }] }
    expect(stationViews(gistOfJob(kept), 'joint')[0]).toMatchObject({ held: false, state: 'behind' })
  })
  it('says nothing is there instead of counting noughts', () => {
    expect(
      stationViews(gistOfJob(job), 'find')
        .slice(1)
        .map(({ count }) => count),
    ).toEqual(['none yet', 'none yet', 'none yet', 'none yet', 'none yet', 'none yet'])
  })
  it('marks where you are and leads to the others', () => {
    const views = stationViews(gistOfJob(job), 'make', 'J7')
    expect(views.find(({ state }) => state === 'here')).toMatchObject({ id: 'make', count: 'J7' })
    expect(views.map(({ to }) => to)).toEqual([
      '/jobs/yard/find',
      '/jobs/yard/line',
      '/jobs/yard/joint',
      '/jobs/yard/cut',
      '/jobs/yard/fix',
      '/jobs/yard/make',
      '/jobs/yard/handover',
    ])
  })
})
