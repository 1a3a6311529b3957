import { answerOne, ask, checkCount } from '#core/contract'
import type { Issue } from '#core/base'

/** How long the questions of one call are worked, ms; the rest is not. */
export const WORKED_MS = 1000

/** What goes back: the status and the JSON text. */
export interface Reply {
  status: number
  body: string
}

const failed = (status: number, error: Issue): Reply => ({ status, body: JSON.stringify({ error }) })

const NOT_WORKED = JSON.stringify({
  error: {
    code: 'too-many',
    path: '',
    message: `Not worked: ${WORKED_MS / 1000} s is given to one call, and it was used up before this question. Ask it again, with fewer beside it.`,
  },
})

/** One question of a verb, or an array of them, worked slice by slice, so that other calls have their turn between. */
export class Call {
  private questions: unknown[] | undefined
  private readonly answers: string[] = []
  private spent = 0

  constructor(
    private readonly verb: string,
    private readonly text: string,
    private readonly now: () => number = () => performance.now(),
  ) {}

  /**
   * Works on until `sliceMs` are over. The reply once it is whole: 400 unreadable, 422 a bad question, else 200. Of an
   * array each question has its answer or its own error in its place; past `WORKED_MS` the error is `too-many`.
   */
  work(sliceMs: number): Reply | null {
    const from = this.now()
    const used = () => this.now() - from
    if (!this.questions) {
      const begun = this.begin()
      if (begun) return begun
    }
    const questions = this.questions!
    while (this.answers.length < questions.length && used() < sliceMs && this.spent + used() < WORKED_MS)
      this.answers.push(JSON.stringify(answerOne(this.verb, questions[this.answers.length])))
    this.spent += used()
    if (this.spent >= WORKED_MS) while (this.answers.length < questions.length) this.answers.push(NOT_WORKED)
    return this.answers.length < questions.length ? null : { status: 200, body: `[${this.answers.join(',')}]` }
  }

  /** Reads the text. The reply where there is no array to go through. */
  private begin(): Reply | null {
    let given: unknown
    try {
      given = JSON.parse(this.text)
    } catch {
      return failed(400, { code: 'json', path: '', message: 'The question is not readable JSON.' })
    }
    if (!Array.isArray(given)) {
      const result = ask(this.verb, given)
      return result.ok ? { status: 200, body: JSON.stringify(result.value) } : failed(422, result.error)
    }
    const counted = checkCount(given)
    if (!counted.ok) return failed(422, counted.error)
    this.questions = given
    return null
  }
}
