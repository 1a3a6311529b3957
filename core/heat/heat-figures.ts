import { temperature as degrees, temperatures, w } from '#core/speech'
/*
 * Figures of the heat model. Each with the range it is met in and where it is from; "ours" are assumptions, on the
 * careful side: a seal is called safe only where it is under all of them.
 */

/**
 * Copper tube (Cu-DHP): W/(m K), kg/m3, J/(kg K). Conductivity at its upper figure, which carries most heat to the seal.
 */
export const COPPER = {
  conductivity: { value: 365, lo: 290, hi: 365, source: 'handbooks, Cu-DHP, the upper figure' },
  density: { value: 8940, source: 'handbooks' },
  heat: { value: 385, source: 'handbooks' },
} as const
/** Water standing in the tube: kg/m3, J/(kg K). */
export const WATER = {
  density: { value: 998, source: 'handbooks' },
  heat: { value: 4186, source: 'handbooks' },
} as const

/** What the joint is held at, degC: tin solders are worked at 240 to 300; a hotter flame overshoots more. */
export const JOINT_TEMPERATURE = {
  propane: { value: 280, lo: 240, hi: 300, source: `practice, ${temperatures(240, 300)}; within it ours` },
  propylene: { value: 300, lo: 240, hi: 300, source: 'practice, the upper end' },
} as const

/** Loss of the bare tube to still air and by radiation, W/(m2 K): the lower end of 8 to 15, so that it stays hotter. */
export const AIR_LOSS = { value: 8, lo: 8, hi: 15, source: 'ours' } as const
/**
 * A wet cloth wound round: its breadth, mm, and what it takes from the tube to the temperature of the room, W/(m2 K).
 */
export const WRAP_BREADTH_MM = { value: 50, source: 'ours' } as const
export const WRAP_LOSS = { value: 250, lo: 150, hi: 500, source: 'ours; it dries: wet it again' } as const

/** Highest temperature of what is near, degC. */
export const LIMITS = {
  seal: { value: 110, source: `trade practice: no seal above ${degrees(110)}` },
  plastic: { value: 82, source: 'ASTM F876, D2846: the temperature plastic tube is rated to' },
  washer: { value: 90, source: `typical: ${w.fibre} and rubber washers ${temperatures(60, 90)}` },
} as const

/** Bare metal that may be held for ten minutes, degC. */
export const TOUCH = { value: 48, source: 'EN ISO 13732-1, bare metal, ten minutes' } as const

/** Distances said in the trade from a press or push-fit seal, in outside diameters. */
export const TRADE_RULE = {
  most: 30,
  least: 3,
  source: 'practice: 30 × OD in Europe, 3 × OD with a wet wrap in the US',
} as const
