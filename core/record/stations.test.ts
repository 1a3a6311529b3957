import { describe, expect, it } from 'vitest'
import { gistOfJob, pipesWanted, stationProgress } from '#core/record'
import { aCut, aFind, aJob, aJoint, aLine } from '../../tests/records'

const drawn = aLine({ legs: ['e 640', 'u 480'] })

describe('stationProgress', () => {
  it('says of an empty job that nothing is done, nothing is behind, nothing is held', () => {
    const progress = Object.values(stationProgress(gistOfJob(aJob())))
    expect(progress).toHaveLength(7)
    for (const one of progress) expect(one).toMatchObject({ of: 0, isBehind: false, isHeld: false })
  })
  it('holds Find while a pipe may be gas, and lets it go by a name or an outlet', () => {
    const find = (changes: Parameters<typeof aFind>[0]) =>
      stationProgress(gistOfJob(aJob({ finds: [aFind(changes)] }))).find
    expect(find({})).toMatchObject({ of: 1, isHeld: true, isBehind: false })
    expect(find({ answers: { traced: 'water' } })).toMatchObject({ isHeld: false, isBehind: false })
    expect(find({ pipe: 'cu-en-x-22' })).toMatchObject({ isHeld: false, isBehind: true })
  })
  it('counts the legs of lines, and holds Line while one cannot be made', () => {
    expect(stationProgress(gistOfJob(aJob({ lines: [drawn] }))).line).toMatchObject({
      of: 2,
      isBehind: true,
      isHeld: false,
    })
    expect(stationProgress(gistOfJob(aJob({ lines: [aLine({ legs: ['x 20'] })] }))).line).toMatchObject({
      of: 1,
      isHeld: true,
    })
  })
  it('has Joint behind once every joint has its way', () => {
    const joints = [aJoint(), aJoint({ id: 'k', way: { joints: [], parts: [] } as never })]
    expect(stationProgress(gistOfJob(aJob({ joints }))).joint).toMatchObject({ done: 1, of: 2, isBehind: false })
    expect(stationProgress(gistOfJob(aJob({ joints: joints.slice(1) }))).joint).toMatchObject({
      done: 1,
      of: 1,
      isBehind: true,
    })
  })
})

describe('pipesWanted', () => {
  it('counts the pieces of lines by pipe, most first, and leaves out what a sheet has', () => {
    const job = aJob({ lines: [drawn, aLine({ id: 'm', pipe: 'cu-en-x-15', legs: ['e 300'] })] })
    expect(pipesWanted(job)).toEqual([
      { pipe: 'cu-en-x-22', lines: ['l'], pieces: 2 },
      { pipe: 'cu-en-x-15', lines: ['m'], pieces: 1 },
    ])
    const sheet = aCut({ sources: [{ job: job.id, line: 'l' }] })
    expect(pipesWanted({ ...job, cuts: [sheet] }).map(({ pipe }) => pipe)).toEqual(['cu-en-x-15'])
  })
  it('wants nothing of a line without a piece', () => {
    expect(pipesWanted(aJob({ lines: [aLine()] }))).toEqual([])
  })
})
