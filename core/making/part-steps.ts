import type { Valve } from '#core/catalogue'
import { isOneWay, valveAmong, type Part, type Step } from '#core/joints'

/* What is done once for the thing that is put in, whatever joins it: before its first end is made, and after its last. */

const ARROW: Step = {
  id: 'arrow',
  code: 'check',
  do: 'Hold the valve with its arrow the way the water runs',
  why: 'The wrong way round it chatters, or holds nothing back.',
  check: 'You have seen which way the water runs.',
}

const TURNED: Readonly<Record<Valve, string>> = {
  ball: 'Turn the lever a quarter: along the pipe is open. It clears wall and pipe',
  gate: 'Turn it shut and open: fully open, then back a quarter turn',
  stop: 'Turn it shut and open: fully open, then back a quarter turn',
  service: 'Turn the slot a quarter with a screwdriver: along the pipe is open',
  angle: 'Turn it shut and open by hand',
  straight: 'Turn it shut and open by hand',
  check: 'Blow through it with the arrow, then against it: it holds one way',
  drain: 'Its outlet points down, with room for a hose; screw it shut',
  regulator: 'Room is left for a gauge and a screwdriver at its screw',
}
const turned = (valve: Valve): Step => ({ id: 'turn', code: 'check', do: TURNED[valve] })

const ASIDE: Step = {
  id: 'aside',
  code: 'check',
  do: 'Let the water in slowly and stand aside of it',
  why: 'The water pushes on the whole of a closed end.',
  check: 'Dry, and it has not moved.',
  isUnderWater: true,
}

/** What is asked beside the joints: before the end made first, and after the end made last. */
export function partSteps(
  parts: readonly Part[],
  isClosed: boolean,
): { first: readonly Step[]; last: readonly Step[] } | null {
  const valve = valveAmong(parts)
  if (!valve && !isClosed) return null
  return {
    first: valve && isOneWay(valve) ? [ARROW] : [],
    last: [...(valve ? [turned(valve)] : []), ...(isClosed ? [ASIDE] : [])],
  }
}
