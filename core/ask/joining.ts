import { findSocket, getPipe, type SocketMethod } from '#core/catalogue'
import {
  fillConditions,
  isByThread,
  JOINT_METHODS,
  type Conditions,
  type End,
  type Method,
  type Service,
} from '#core/joints'
import { because, behind, isAskedBack, isWrong, type AskedBack, type Bag, type Line, type Wrong } from './bag'
import type { Token } from './lexer'

/* What the shapes have in common: conditions, and the methods that join a pipe. */

export const isNot = (read: End | AskedBack | Wrong): read is AskedBack | Wrong => isWrong(read) || isAskedBack(read)

/** Services by the word that each is said with. */
const SERVICE_SAID: readonly (readonly [Service, string])[] = [
  ['cold', 'cold'],
  ['hot', 'hot'],
  ['heating', 'heating'],
  ['recirculation', 'recirculating'],
  ['buried', 'buried'],
]

/** Conditions said anywhere in a line; the service of its job where it says none. */
export function conditionsOf(line: Line, bag: Bag): Partial<Conditions> {
  const tokens = bag.all('condition')
  for (const { set, word } of tokens)
    if (set.service !== undefined)
      word.others = SERVICE_SAID.filter(([service]) => service !== set.service).map(([, said]) => said)
  const said = Object.assign({}, ...tokens.map(({ set }) => set)) as Partial<Conditions>
  const [pressure, temperature] = [bag.take('pressure'), bag.take('temperature')]
  if (pressure) said.pressure = pressure.value
  if (temperature) said.temperature = temperature.value
  if (said.service === undefined && line.job.service !== undefined && line.job.service !== 'cold') {
    said.service = line.job.service
    line.filled.push(`service: ${line.job.service}`)
  }
  return said
}

export const serviceOf = ({
  service = 'cold',
  temperature,
}: Partial<Conditions>): { service: Service; temperature: number } => ({
  service,
  temperature: temperature ?? fillConditions({ service }).temperature,
})

/** A method's word may be said of several, by the pipe: press of copper and of multilayer alike. */
export const methodsFor = (method: Method): SocketMethod[] => [
  method as SocketMethod,
  ...Object.values(JOINT_METHODS)
    .filter(({ alsoSaidAs }) => alsoSaidAs === method)
    .map(({ id }) => id),
]
/** A word that a method is called by; of one without its own that of the method it is said as. */
export function sayingOf(id: Method): string {
  if (isByThread(id)) return 'thread'
  const { spoken, alsoSaidAs } = JOINT_METHODS[id]
  return spoken[0] ?? (alsoSaidAs ? JOINT_METHODS[alsoSaidAs].spoken[0] : undefined) ?? id
}
/** Methods that are offered where a line does not say how a pipe is joined. */
export function methodsOn(pipe: string): Method[] {
  if (getPipe(pipe).family === 'steel') return ['thread']
  const takes = Object.values(JOINT_METHODS).filter(({ id }) => findSocket(id, getPipe(pipe)) !== null)
  const usual = takes.filter(({ isSuggested }) => isSuggested)
  return (usual.length > 0 ? usual : takes).map(({ id }) => id)
}

/** How the pipes of the job are joined, where all that take this one are joined the same way. */
export function methodOfJob(line: Line, pipes: readonly string[]): Method | undefined {
  const [method, ...others] = [...new Set(line.job.methods ?? [])].filter((one) => methodOn(one, pipes) === one)
  if (method === undefined || others.length > 0) return undefined
  line.filled.push(method.replaceAll('-', ' '))
  return method
}

/** How a pipe is joined, asked back by the methods that take it. */
export const askMethod = (line: Line, after: Token, pipe: string): AskedBack | Wrong => {
  const methods = methodsOn(pipe)
  if (methods.length === 0) return because(`No fitting of the usual kinds is made for ${getPipe(pipe).label}.`, after)
  return {
    asks: after.word.text,
    meanings: methods.map((id) => ({ as: id.replaceAll('-', ' '), text: behind(line, after, sayingOf(id)) })),
  }
}

/** The method that a word means for all of some pipes; a thread for threaded pipe. */
export const methodOn = (method: Method, pipes: readonly string[]): Method | undefined =>
  method === 'thread' && pipes.every((pipe) => getPipe(pipe).family === 'steel')
    ? 'thread'
    : methodsFor(method).find((one) => pipes.every((pipe) => findSocket(one, getPipe(pipe))))
