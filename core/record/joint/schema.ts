import { z } from 'zod'
import { VALVES } from '#core/catalogue'
import { schemas } from '#core/contract'
import { defineFields, field, type FieldsInput, type FieldsOf } from '../fields'
import { day, id, said } from '../texts'
import { LEFT_CODES } from './left'

/** Depths the user measured, as typed, by entry of the way. */
const depths = z.record(z.string().regex(/^\d{1,2}$/, 'the number of an entry is accepted'), z.string().max(40))

const reach = z.number().positive().max(100_000).optional()
/** What is put on a pipe before its end is closed, and cannot be put on after. */
export const ON_FIRST = ['flange', 'nut', 'ring', 'sleeve', 'lagging', 'cover'] as const
export type OnFirst = (typeof ON_FIRST)[number]

export const jointFields = defineFields({
  place: field(z.string().max(120), 'where', ''),
  a: field(schemas.end.nullable(), 'first end', null),
  /** A pipe or a thread, or that the first end is closed. */
  b: field(schemas.otherEnd.nullable(), 'other end', null),
  /** A valve between the two: its kind, and what was measured of it and of the room its lever has, mm. */
  valve: field(
    z.strictObject({
      kind: z.enum(VALVES).optional(),
      /** From its middle to the stop for the pipe. */
      takeOut: z.number().positive().max(500).optional(),
      lever: z.number().positive().max(1000).optional(),
      /** From the middle of the pipe to what stands on each side of it. */
      wall: z.number().min(0).max(5000).optional(),
      other: z.number().min(0).max(5000).optional(),
      /** Side the lever is turned to. */
      turn: z.enum(['wall', 'other']).optional(),
      /** End that the arrow on its body points away from. */
      arrow: z.enum(['a', 'b']).optional(),
    }),
    'valve',
    {},
    { merge: 'keys' },
  ),
  /** Finds of the same job that the ends came from. */
  findA: field(id.nullable(), 'from the find', null),
  findB: field(id.nullable(), 'from the find', null),
  conditions: field(schemas.conditions, 'condition', {}, { merge: 'keys' }),
  /** From each end to its last clip, mm: flexible tube gives play by its radius. */
  flex: field(z.strictObject({ a: reach, b: reach }), 'free to the last clip', {}, { merge: 'keys' }),
  /** What has to be on each pipe before its end is closed, in the order it is put on. */
  onFirst: field(
    z.array(z.strictObject({ on: z.enum(['a', 'b']), what: z.enum(ON_FIRST) })).max(12),
    'on the pipe first',
    [],
  ),
  /** A coupling without a stop: its length, mm, and the pipe it is slid wholly onto. */
  slip: field(
    z.strictObject({ length: reach, on: z.enum(['a', 'b']).optional() }),
    'slip coupling',
    {},
    { merge: 'keys' },
  ),
  /** As one faces the fixture: where its inlet is, what its body is marked, its arrow, mm from its centre line. */
  fixture: field(
    z.strictObject({
      side: z.enum(['left', 'right', 'top', 'bottom']).optional(),
      mark: z.enum(['hot', 'cold']).optional(),
      arrow: z.enum(['with', 'against']).optional(),
      centre: z.number().min(0).max(5000).optional(),
    }),
    'at the fixture',
    {},
    { merge: 'keys' },
  ),
  /** The look of the same job that found the old joint wrong. */
  look: field(id.nullable(), 'in place of the joint looked at', null),
  orientation: field(z.enum(['horizontal', 'vertical']), 'the pipe runs', 'horizontal'),
  /** Air where it is made, degC; null where nobody said. */
  ambient: field(z.number().min(-40).max(60).nullable(), 'air', null),
  torch: field(z.enum(['propane', 'propylene']).nullable(), 'torch', null),
  /** Id of the way taken; null while none is. */
  wayId: field(z.string().max(400).nullable(), 'way', null),
  /** Day a temporary joint is come back to; null where none is booked, or once it was. */
  comeBack: field(day.nullable(), 'come back on', null),
  /** What is done then. */
  comeBackFor: field(z.string().max(120), 'and then', ''),
  depths: field(depths, 'depth mark', {}, { merge: 'keys' }),
})

export type JointBody = FieldsOf<typeof jointFields>
export type JointInput = FieldsInput<typeof jointFields>
export const BLANK_JOINT: JointBody = jointFields.blank

/** Id of a step; entries that an earlier version kept name it by its place. */
const stepId = z.union([
  z.string().regex(/^[a-z]{2,20}(?:-\d{1,2})?$/, 'the id of a step, such as cut or tighten-2, is accepted'),
  z.number().int().min(0).max(60),
])
/** A step of one entry of a way; `way` is the id of the way it was read from. */
export const stepPlace = z.strictObject({
  entry: z.number().int().min(0).max(20),
  step: stepId,
  way: z.string().max(400).optional(),
})
/** With what was read off the work at it, in the unit its card asks in. */
export const tickBody = stepPlace.extend({ reading: z.number().min(0).max(100_000).nullable().optional() })
export const signoffBody = z.strictObject({
  initials: said(8),
  /** Id of the sign-off this one corrects, with the depths it should have had. */
  corrects: id.optional(),
  /** Codes of what is left, and was seen by the hand that signs. */
  seen: z.array(z.enum(LEFT_CODES)).max(LEFT_CODES.length).optional(),
  depths: depths.optional(),
})
/** A signed joint opened again, and the step that is to be done again, where it is one. */
export const reopenBody = z.strictObject({
  signoff: id,
  reason: said(200),
  entry: stepPlace.shape.entry.optional(),
  step: stepPlace.shape.step.optional(),
})

/** An end of a joint that weeps. */
export const weepBody = z.strictObject({ entry: stepPlace.shape.entry })
/** An end that was taken apart, and whether what may be used again is. */
export const apartBody = z.strictObject({ entry: stepPlace.shape.entry, reused: z.boolean() })

export const CLOSED_BY = ['capped', 'plugged', 'valve', 'dry'] as const
/** Work broken off before the joint is done: how its open ends were closed. */
export const breakOffBody = z.strictObject({ closed: z.enum(CLOSED_BY), note: z.string().max(120).optional() })
export type BreakOffBody = z.output<typeof breakOffBody>

export type WeepBody = z.output<typeof weepBody>
export type ApartBody = z.output<typeof apartBody>
export type StepPlace = z.output<typeof stepPlace>
export type TickBody = z.output<typeof tickBody>
export type ReopenBody = z.output<typeof reopenBody>
export type SignoffBody = z.output<typeof signoffBody>
