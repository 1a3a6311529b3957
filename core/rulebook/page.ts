import { compareText, type RuleKind } from '#core/base'
import type { VerbRule } from './types'

const TITLES: Readonly<Record<RuleKind, string>> = { refusal: 'Refusals', caution: 'Cautions', school: 'Schools' }
const INTRO: Readonly<Record<RuleKind, string>> = {
  refusal: 'What is not done here, or is wrong where it is found.',
  caution: 'What is done with care, or once one thing is seen to.',
  school: 'Where practitioners differ, and the side that is taken.',
}

const cell = (text: string): string => text.replaceAll('|', '\\|').replaceAll('\n', ' ')

/** Rows that say the same under one code for several verbs, as one. */
function grouped(rules: readonly VerbRule[]): (Omit<VerbRule, 'verb'> & { verbs: string[] })[] {
  const groups = new Map<string, Omit<VerbRule, 'verb'> & { verbs: string[] }>()
  for (const { verb, ...rule } of rules) {
    const key = JSON.stringify(rule)
    const group = groups.get(key) ?? { ...rule, verbs: [] }
    group.verbs.push(verb)
    groups.set(key, group)
  }
  return [...groups.values()].sort((x, y) => compareText(x.code, y.code))
}

/** Every rule as a page of Markdown, made from the rules: what `ask` carries is said where it comes from. */
export function writePage(rules: readonly VerbRule[]): string {
  const own = rules.filter(({ verb }) => verb !== 'ask')
  const sections = (Object.keys(TITLES) as RuleKind[]).flatMap((kind) => [
    `## ${TITLES[kind]}`,
    '',
    INTRO[kind],
    '',
    '| code | said by | when | because | source |',
    '|---|---|---|---|---|',
    ...grouped(own.filter((rule) => rule.kind === kind)).map(
      ({ code, verbs, when, because, source }) =>
        `| \`${code}\` | ${verbs.join(', ')} | ${cell(when)} | ${cell(because)} | ${cell(source)} |`,
    ),
    '',
  ])
  return (
    [
      '# Verdicts',
      '',
      'Every rule that an answer can carry, made from the rules by `npm run docs:verdicts`; the verb `rules` gives the same as JSON. A source that begins "typical" or names practice is no standard\'s: local code and the fitting\'s own paper come first.',
      '',
      ...sections,
    ]
      .join('\n')
      .trimEnd() + '\n'
  )
}
