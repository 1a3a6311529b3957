/** A rule in words: when it applies, what it says then, and where it comes from. */
export interface RuleText {
  when: string
  because: string
  source: string
}

/**
 * `refusal`: a thing is not done, or is wrong; `caution`: it is done with care, or once something is seen to; `school`:
 * practitioners differ, and this is the side taken.
 */
export type RuleKind = 'refusal' | 'caution' | 'school'

/** A rule as it is listed: the code an answer carries it by, and the rule in words. */
export interface RuleRow extends RuleText {
  code: string
  kind: RuleKind
}

/** The rules of one module by their codes; the type of the codes is taken from it, so that no answer has another. */
export type RuleTable<Code extends string = string> = Readonly<Record<Code, RuleText & { kind?: RuleKind }>>

/** A table as rows, in the order of its codes; a rule that does not say its kind is a caution. */
export const rowsOf = (table: RuleTable): RuleRow[] =>
  Object.entries(table).map(([code, { kind = 'caution', when, because, source }]) => ({
    code,
    kind,
    when,
    because,
    source,
  }))

const unique = (texts: readonly string[], between: string): string => [...new Set(texts)].join(between)

/** Rows of one code as one: several causes of a refusal, say. A refusal among them makes it one. */
export function mergeRows(rows: readonly RuleRow[]): RuleRow[] {
  const byCode = new Map<string, RuleRow[]>()
  for (const row of rows) byCode.set(row.code, [...(byCode.get(row.code) ?? []), row])
  return [...byCode].map(([code, same]): RuleRow => ({
    code,
    kind:
      same.find(({ kind }) => kind === 'refusal')?.kind ??
      same.find(({ kind }) => kind === 'caution')?.kind ??
      'school',
    when: unique(
      same.map(({ when }) => when),
      '; or ',
    ),
    because: unique(
      same.map(({ because }) => because),
      ' ',
    ),
    source: unique(
      same.map(({ source }) => source),
      '; ',
    ),
  }))
}
