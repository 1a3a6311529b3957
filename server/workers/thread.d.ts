declare module '#question-thread' {
  /** The bundled text of `questions.ts`. */
  const source: string
  export default source
}
