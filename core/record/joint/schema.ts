import * as z from 'zod/mini'
import { VALVES } from '#core/catalogue'
import { schemas } from '#core/contract'
import { defineFields, field, type FieldsInput, type FieldsOf } from '../fields'
import { day, id, said } from '../texts'
import { LEFT_CODES } from './left'

/** Depths the user measured, as typed, by entry of the way. */
const depths = z.record(
  z.string().check(z.regex(/^\d{1,2}$/, 'the number of an entry is accepted')),
  z.string().check(z.maxLength(40)),
)

const reach = z.optional(z.number().check(z.positive(), z.maximum(100_000)))
/** What is put on a pipe before its end is closed, and cannot be put on after. */
export const ON_FIRST = ['flange', 'nut', 'ring', 'sleeve', 'lagging', 'cover'] as const
export type OnFirst = (typeof ON_FIRST)[number]

export const jointFields = defineFields({
  place: field(z.string().check(z.maxLength(120)), 'where', ''),
  a: field(z.nullable(schemas.end), 'first end', null),
  /** A pipe or a thread, or that the first end is closed. */
  b: field(z.nullable(schemas.otherEnd), 'other end', null),
  /** A valve between the two: its kind, and what was measured of it and of the room its lever has, mm. */
  valve: field(
    z.strictObject({
      kind: z.optional(z.enum(VALVES)),
      /** From its middle to the stop for the pipe. */
      takeOut: z.optional(z.number().check(z.positive(), z.maximum(500))),
      lever: z.optional(z.number().check(z.positive(), z.maximum(1000))),
      /** From the middle of the pipe to what stands on each side of it. */
      wall: z.optional(z.number().check(z.minimum(0), z.maximum(5000))),
      other: z.optional(z.number().check(z.minimum(0), z.maximum(5000))),
      /** Side the lever is turned to. */
      turn: z.optional(z.enum(['wall', 'other'])),
      /** End that the arrow on its body points away from. */
      arrow: z.optional(z.enum(['a', 'b'])),
    }),
    'valve',
    {},
    { merge: 'keys' },
  ),
  /** Finds of the same job that the ends came from. */
  findA: field(z.nullable(id), 'from the find', null),
  findB: field(z.nullable(id), 'from the find', null),
  conditions: field(schemas.conditions, 'condition', {}, { merge: 'keys' }),
  /** From each end to its last clip, mm: flexible tube gives play by its radius. */
  flex: field(z.strictObject({ a: reach, b: reach }), 'free to the last clip', {}, { merge: 'keys' }),
  /** What has to be on each pipe before its end is closed, in the order it is put on. */
  onFirst: field(
    z.array(z.strictObject({ on: z.enum(['a', 'b']), what: z.enum(ON_FIRST) })).check(z.maxLength(12)),
    'on the pipe first',
    [],
  ),
  /** A coupling without a stop: its length, mm, and the pipe it is slid wholly onto. */
  slip: field(
    z.strictObject({ length: reach, on: z.optional(z.enum(['a', 'b'])) }),
    'slip coupling',
    {},
    { merge: 'keys' },
  ),
  /** As one faces the fixture: where its inlet is, what its body is marked, its arrow, mm from its centre line. */
  fixture: field(
    z.strictObject({
      side: z.optional(z.enum(['left', 'right', 'top', 'bottom'])),
      mark: z.optional(z.enum(['hot', 'cold'])),
      arrow: z.optional(z.enum(['with', 'against'])),
      centre: z.optional(z.number().check(z.minimum(0), z.maximum(5000))),
    }),
    'at the fixture',
    {},
    { merge: 'keys' },
  ),
  /** The look of the same job that found the old joint wrong. */
  look: field(z.nullable(id), 'in place of the joint looked at', null),
  orientation: field(z.enum(['horizontal', 'vertical']), 'the pipe runs', 'horizontal'),
  /** Air where it is made, degC; null where nobody said. */
  ambient: field(z.nullable(z.number().check(z.minimum(-40), z.maximum(60))), 'air', null),
  torch: field(z.nullable(z.enum(['propane', 'propylene'])), 'torch', null),
  /** Id of the way taken; null while none is. */
  wayId: field(z.nullable(z.string().check(z.maxLength(400))), 'way', null),
  /** Day a temporary joint is come back to; null where none is booked, or once it was. */
  comeBack: field(z.nullable(day), 'come back on', null),
  /** What is done then. */
  comeBackFor: field(z.string().check(z.maxLength(120)), 'and then', ''),
  depths: field(depths, 'depth mark', {}, { merge: 'keys' }),
})

export type JointBody = FieldsOf<typeof jointFields>
export type JointInput = FieldsInput<typeof jointFields>
export const BLANK_JOINT: JointBody = jointFields.blank

/** Id of a step; entries that an earlier version kept name it by its place. */
const stepId = z.union([
  z.string().check(z.regex(/^[a-z]{2,20}(?:-\d{1,2})?$/, 'the id of a step, such as cut or tighten-2, is accepted')),
  z.number().check(z.int(), z.minimum(0), z.maximum(60)),
])
/** A step of one entry of a way; `way` is the id of the way it was read from. */
export const stepPlace = z.strictObject({
  entry: z.number().check(z.int(), z.minimum(0), z.maximum(20)),
  step: stepId,
  way: z.optional(z.string().check(z.maxLength(400))),
})
/** With what was read off the work at it, in the unit its card asks in. */
export const tickBody = z.extend(stepPlace, {
  reading: z.optional(z.nullable(z.number().check(z.minimum(0), z.maximum(100_000)))),
})
export const signoffBody = z.strictObject({
  initials: said(8),
  /** Id of the sign-off this one corrects, with the depths it should have had. */
  corrects: z.optional(id),
  /** Codes of what is left, and was seen by the hand that signs. */
  seen: z.optional(z.array(z.enum(LEFT_CODES)).check(z.maxLength(LEFT_CODES.length))),
  depths: z.optional(depths),
})
/** A signed joint opened again, and the step that is to be done again, where it is one. */
export const reopenBody = z.strictObject({
  signoff: id,
  reason: said(200),
  entry: z.optional(stepPlace.shape.entry),
  step: z.optional(stepPlace.shape.step),
})

/** An end of a joint that weeps. */
export const weepBody = z.strictObject({ entry: stepPlace.shape.entry })
/** An end that was taken apart, and whether what may be used again is. */
export const apartBody = z.strictObject({ entry: stepPlace.shape.entry, reused: z.boolean() })

export const CLOSED_BY = ['capped', 'plugged', 'valve', 'dry'] as const
/** Work broken off before the joint is done: how its open ends were closed. */
export const breakOffBody = z.strictObject({
  closed: z.enum(CLOSED_BY),
  note: z.optional(z.string().check(z.maxLength(120))),
})
export type BreakOffBody = z.output<typeof breakOffBody>

export type WeepBody = z.output<typeof weepBody>
export type ApartBody = z.output<typeof apartBody>
export type StepPlace = z.output<typeof stepPlace>
export type TickBody = z.output<typeof tickBody>
export type ReopenBody = z.output<typeof reopenBody>
export type SignoffBody = z.output<typeof signoffBody>
