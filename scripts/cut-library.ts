import loadHighs from 'highs'
import type { CutQuestion } from '#core/cutting'

/* The same question put to an exact solver library, in the two usual ways of writing it down. For the benchmark only. */

export interface LibraryAnswer {
  used: number
  isProved: boolean
  ms: number
}
type Solver = Awaited<ReturnType<typeof loadHighs>>

interface Kind {
  room: number
  most: number
  isOffcut: boolean
}
interface Size {
  width: number
  count: number
}

function reduce({ stock, kerf, pieces }: CutQuestion, most: number): { kinds: Kind[]; sizes: Size[] } {
  const counts = new Map<number, number>()
  for (const { length, quantity } of pieces) counts.set(length + kerf, (counts.get(length + kerf) ?? 0) + quantity)
  return {
    kinds: stock.map(({ length, quantity, offcut }) => ({
      room: length + kerf,
      most: quantity ?? most,
      isOffcut: offcut === true,
    })),
    sizes: [...counts].map(([width, count]) => ({ width, count })).sort((a, b) => b.width - a.width),
  }
}

/** Terms of a sum, broken into lines that the reader of the format takes. */
const sum = (terms: readonly string[]): string =>
  terms.length === 0
    ? '0'
    : Array.from({ length: Math.ceil(terms.length / 20) }, (_, i) => terms.slice(i * 20, (i + 1) * 20).join(' ')).join(
        '\n ',
      )

/**
 * Pieces assigned to bars one by one (Kantorovich), equal bars taken in order. `most` is a number of bars known to do.
 */
function assignment(question: CutQuestion, most: number): string {
  const { kinds, sizes } = reduce(question, most)
  const bars = kinds.flatMap((kind, k) =>
    Array.from({ length: kind.most }, (_, n) => ({
      ...kind,
      name: `${k}_${n}`,
      before: n > 0 ? `${k}_${n - 1}` : null,
    })),
  )
  const fits = (bar: Kind, size: Size) => size.width <= bar.room + 1e-6
  return `Minimize\n obj: ${sum(bars.filter(({ isOffcut }) => !isOffcut).map(({ name }) => `+ y${name}`))}\nSubject To\n${[
    ...sizes.map(
      (size, i) =>
        ` d${i}: ${sum(bars.filter((bar) => fits(bar, size)).map(({ name }) => `+ x${i}_${name}`))} = ${size.count}`,
    ),
    ...bars.map(
      (bar) =>
        ` c${bar.name}: ${sum([...sizes.flatMap((size, i) => (fits(bar, size) ? [`+ ${size.width} x${i}_${bar.name}`] : [])), `- ${bar.room} y${bar.name}`])} <= 0`,
    ),
    ...bars.filter(({ before }) => before !== null).map(({ name, before }) => ` s${name}: y${before} - y${name} >= 0`),
  ].join(
    '\n',
  )}\nBounds\n${sizes.flatMap((size, i) => bars.filter((bar) => fits(bar, size)).map(({ name }) => ` 0 <= x${i}_${name} <= ${size.count}`)).join('\n')}\nBinary\n ${sum(bars.map(({ name }) => `y${name}`))}\nGeneral\n ${sum(sizes.flatMap((size, i) => bars.filter((bar) => fits(bar, size)).map(({ name }) => `x${i}_${name}`)))}\nEnd`
}

/**
 * Bars as ways through the places where a cut can fall (Valerio de Carvalho), pieces in falling order. null where there
 * are too many places.
 */
function arcFlow(question: CutQuestion, most: number, mostArcs = 60_000): string | null {
  const { kinds, sizes } = reduce(question, most)
  const longest = Math.max(...kinds.map(({ room }) => room))
  const places = new Set([0])
  const arcs = new Map<string, { from: number; to: number; size: number }>()
  for (const [i, { width, count }] of sizes.entries()) {
    for (const from of [...places].sort((a, b) => a - b)) {
      for (let [at, n] = [from, 0]; n < count && at + width <= longest + 1e-6; n++, at += width) {
        arcs.set(`${at} ${i}`, { from: at, to: at + width, size: i })
        places.add(at + width)
        if (arcs.size > mostArcs) return null
      }
    }
  }
  const rooms = [...new Set(kinds.map(({ room }) => room))]
  const nodes = [...new Set([...places, ...rooms])].sort((a, b) => a - b)
  const indexOf = new Map(nodes.map((at, n) => [at, n]))
  const [into, out] = [nodes.map((): string[] => []), nodes.map((): string[] => [])]
  const names = [...arcs.values()].map(({ from, to, size }) => ({
    name: `a${indexOf.get(from)}_${size}`,
    from: indexOf.get(from)!,
    to: indexOf.get(to)!,
    size,
  }))
  for (const { name, from, to } of names) {
    out[from]!.push(name)
    into[to]!.push(name)
  }
  const demand = sizes.map((): string[] => [])
  for (const { name, size } of names) demand[size]!.push(name)
  for (let n = 0; n + 1 < nodes.length; n++) {
    out[n]!.push(`w${n}`)
    into[n + 1]!.push(`w${n}`)
  }
  kinds.forEach(({ room }, k) => {
    out[indexOf.get(room)!]!.push(`z${k}`)
  })
  const flow = nodes.map(
    (_, n) =>
      ` f${n}: ${sum([...into[n]!.map((name) => `+ ${name}`), ...(n === 0 ? kinds.map((__, k) => `+ z${k}`) : []), ...out[n]!.map((name) => `- ${name}`)])} = 0`,
  )
  return `Minimize\n obj: ${sum(kinds.flatMap(({ isOffcut }, k) => (isOffcut ? [] : [`+ z${k}`])))}\nSubject To\n${[...flow, ...sizes.map(({ count }, i) => ` d${i}: ${sum(demand[i]!.map((name) => `+ ${name}`))} >= ${count}`)].join('\n')}\nBounds\n${kinds.map(({ most: count }, k) => ` 0 <= z${k} <= ${count}`).join('\n')}\nGeneral\n ${sum([...names.map(({ name }) => name), ...kinds.map((_, k) => `z${k}`)])}\nEnd`
}

/** How the library answers within a time, s; null where the question is too large to be written down so. */
export function askLibrary(
  solver: Solver,
  way: 'assignment' | 'arc-flow',
  question: CutQuestion,
  most: number,
  seconds: number,
): LibraryAnswer | null {
  const text = way === 'assignment' ? assignment(question, most) : arcFlow(question, most)
  if (text === null) return null
  const from = performance.now()
  const answer = solver.solve(text, { output_flag: false, time_limit: seconds, mip_rel_gap: 0 })
  const ms = performance.now() - from
  return {
    used: Number.isFinite(answer.ObjectiveValue) ? Math.round(answer.ObjectiveValue) : Infinity,
    isProved: answer.Status === 'Optimal',
    ms,
  }
}

export const loadLibrary = (): Promise<Solver> => loadHighs()
