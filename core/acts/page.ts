import { ACT_NAMES, actOf } from './registry'

const RESTS = { fields: 'fields', version: 'version', none: '' } as const

/** docs/acts.md as the acts are. */
export function actsPage(): string {
  const rows = ACT_NAMES.map((name) => {
    const { on, rests, touches, undo, means } = actOf(name)
    const also = touches ? `${on}, ${touches}` : on
    return `| \`${name}\` | ${also} | ${RESTS[rests ?? 'none']} | ${undo ? `\`${undo.name}\`` : ''} | ${means} |`
  })
  return `# Acts

Everything that can be done, made from \`core/acts/registry.ts\` by \`npm run docs:acts\`. \`on\`: the records it changes.
\`rests on\`: what was seen of the record; an act that rests on its fields is merged one by one with what another hand saved
meanwhile, one that rests on its version is not done to another. \`taken back by\`: nothing where it stays on record.

| act | on | rests on | taken back by | |
|---|---|---|---|---|
${rows.join('\n')}
`
}
