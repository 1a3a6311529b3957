import type { Region } from '#core/units'
import type { Token, TokenOf } from './lexer'
import type { JobSaid, Understood } from './types'

/** A word that may mean several things: each meaning, and the line that says it. */
export interface AskedBack {
  asks: string
  meanings: { as: string; text: string }[]
}
/** What would have been accepted, and the word that was not. */
export interface Wrong {
  wrong: string
  at?: Token
  /** It is a sentence of its own, and not what would have been accepted. */
  isWhole?: true
}
export type Read = Omit<Understood, 'words'> | AskedBack | Wrong

/** What a line is read in: its letters, its country, its job, and what was filled in from there. */
export interface Line {
  text: string
  region: Region
  job: JobSaid
  filled: string[]
}

export const wrong = (what: string, at?: Token): Wrong => ({ wrong: what, ...(at ? { at } : {}) })
/** Why a word does not do, in a sentence of its own. */
export const because = (sentence: string, at?: Token): Wrong => ({ ...wrong(sentence, at), isWhole: true })
export const isWrong = (read: object): read is Wrong => 'wrong' in read
export const isAskedBack = (read: object): read is AskedBack => 'asks' in read && 'meanings' in read

/** A line with other letters in the place of a token's, or behind it. */
export const replaced = ({ text }: Line, { from, to }: Token, by: string): string =>
  text.slice(0, from) + by + text.slice(to)
export const behind = ({ text }: Line, { to }: Token, more: string): string =>
  `${text.slice(0, to)} ${more}${text.slice(to)}`

/** Tokens that are taken one by one, so that none is left unread. */
export class Bag {
  private readonly left: Token[]
  constructor(tokens: readonly Token[]) {
    this.left = tokens.filter(({ kind }) => kind !== 'filler')
  }

  has(...kinds: Token['kind'][]): boolean {
    return this.left.some(({ kind }) => kinds.includes(kind))
  }

  count(kind: Token['kind']): number {
    return this.left.filter((token) => token.kind === kind).length
  }

  take<Kind extends Token['kind']>(
    kind: Kind,
    fits: (token: TokenOf<Kind>) => boolean = () => true,
  ): TokenOf<Kind> | undefined {
    const at = this.left.findIndex((token) => token.kind === kind && fits(token as TokenOf<Kind>))
    return at < 0 ? undefined : (this.left.splice(at, 1)[0] as TokenOf<Kind>)
  }

  all<Kind extends Token['kind']>(kind: Kind): TokenOf<Kind>[] {
    const found = this.left.filter((token): token is TokenOf<Kind> => token.kind === kind)
    for (const token of found) this.left.splice(this.left.indexOf(token), 1)
    return found
  }

  /** The first word that nothing took. */
  get first(): Token | undefined {
    return this.left[0]
  }

  /** Tokens parted at each of a kind. */
  static parted(tokens: readonly Token[], isBetween: (token: Token) => boolean): Token[][] {
    return tokens.reduce<Token[][]>(
      (parts, token) => (isBetween(token) ? [...parts, []] : [...parts.slice(0, -1), [...parts.at(-1)!, token]]),
      [[]],
    )
  }
}
