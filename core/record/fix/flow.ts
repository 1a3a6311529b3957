import { ok, type Result } from '#core/base'
import { flowAlong, type LineFlow } from '#core/flow'
import { parseFlow, unitSystemOf } from '#core/units'
import { fixSettings } from './work'
import { surveyed, type LineRules } from '../line/work'
import type { LineRecord } from '../line/record'

/**
 * Speed and pressure along a line at its flow; null where no flow is said or the line cannot be laid. Issue at `flow` or
 * `temperature`.
 */
export function lineFlow(job: LineRules, line: LineRecord): Result<LineFlow | null> {
  if (!line.fix.flow?.trim()) return ok(null)
  const flow = parseFlow(line.fix.flow, unitSystemOf(job.region))
  if (!flow.ok) return flow
  const { draft, survey } = surveyed(job, line)
  if (!survey || !draft.question) return ok(null)
  const { temperature, service } = fixSettings(job, line)
  return flowAlong({
    region: job.region,
    laid: survey.laid,
    names: draft.question.legs.map(({ name }) => name),
    flow: flow.value,
    temperature,
    service,
  })
}
