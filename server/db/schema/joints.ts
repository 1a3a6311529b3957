import { bigint, datetime, double, index, int, json, mysqlTable, unique, varchar } from 'drizzle-orm/mysql-core'
import { jobs } from './jobs'

export const joints = mysqlTable(
  'joints',
  {
    id: varchar({ length: 40 }).primaryKey(),
    jobId: varchar('job_id', { length: 40 })
      .notNull()
      .references(() => jobs.id, { onDelete: 'cascade' }),
    number: int().notNull(),
    place: varchar({ length: 120 }).notNull(),
    a: json('end_a'),
    b: json('end_b'),
    findA: varchar('find_a', { length: 40 }),
    findB: varchar('find_b', { length: 40 }),
    conditions: json().notNull(),
    /** From each end to its last clip, mm. */
    flex: json().notNull().default({}),
    /** What has to be on each pipe first, in order. */
    onFirst: json('on_first').notNull().default([]),
    /** Length of a coupling without a stop, mm, and the pipe it is slid onto. */
    slip: json().notNull().default({}),
    /** Side, mark, arrow and centre line at a fixture. */
    fixture: json().notNull().default({}),
    /** Kind of the valve between, what was measured of it, and the room it has, mm. */
    valve: json().notNull().default({}),
    look: varchar('look_id', { length: 40 }),
    orientation: varchar({ length: 12 }).notNull(),
    /** Air where it is made, degC. */
    ambient: double(),
    torch: varchar({ length: 12 }),
    wayId: varchar('way_id', { length: 400 }),
    way: json(),
    depths: json().notNull(),
    /** Day, as it was booked. */
    comeBack: varchar('come_back', { length: 10 }),
    comeBackFor: varchar('come_back_for', { length: 120 }).notNull().default(''),
    /** Checks that failed; only ever added. */
    faults: json().notNull().default([]),
    /** How often it was opened again once signed, and why; only ever added. */
    reopenings: json().notNull().default([]),
    /** Steps that other ways put aside, with what they rest on, the last first. */
    aside: json().notNull().default([]),
    version: int().notNull().default(1),
    updatedAt: datetime('updated_at', { mode: 'string', fsp: 3 }).notNull(),
    updatedBy: varchar('updated_by', { length: 40 }).notNull().default(''),
  },
  (table) => [unique('joints_job_number').on(table.jobId, table.number), index('joints_come_back').on(table.comeBack)],
)

/** A step ticked done. Unticking removes the row; a sign-off closes the joint to both. */
export const ticks = mysqlTable(
  'ticks',
  {
    jointId: varchar('joint_id', { length: 40 })
      .notNull()
      .references(() => joints.id, { onDelete: 'cascade' }),
    entry: int().notNull(),
    /** Id of the step. */
    step: varchar({ length: 24 }).notNull(),
    code: varchar({ length: 20 }).notNull(),
    at: datetime({ mode: 'string', fsp: 3 }).notNull(),
    by: varchar('by_hand', { length: 40 }).notNull().default(''),
    /** What was measured to prove it, in the unit the step asks in. */
    reading: double(),
    /** What the step said when it was ticked; nothing is held of earlier ones. */
    did: varchar({ length: 700 }),
  },
  (table) => [unique('ticks_step').on(table.jointId, table.entry, table.step)],
)

/** A wait that was started. It runs by the clock, so a sleeping screen loses nothing. */
export const timers = mysqlTable(
  'timers',
  {
    jointId: varchar('joint_id', { length: 40 })
      .notNull()
      .references(() => joints.id, { onDelete: 'cascade' }),
    entry: int().notNull(),
    step: varchar({ length: 24 }).notNull(),
    seconds: int().notNull(),
    startedAt: datetime('started_at', { mode: 'string', fsp: 3 }).notNull(),
  },
  (table) => [unique('timers_step').on(table.jointId, table.entry, table.step)],
)

/** Sign-offs are only ever added, in the order of `seq`; one that corrects another names it. */
export const signoffs = mysqlTable('signoffs', {
  id: varchar({ length: 40 }).primaryKey(),
  jointId: varchar('joint_id', { length: 40 })
    .notNull()
    .references(() => joints.id, { onDelete: 'cascade' }),
  seq: bigint({ mode: 'number' }).notNull().autoincrement().unique(),
  initials: varchar({ length: 8 }).notNull(),
  marks: json().notNull(),
  corrects: varchar({ length: 40 }),
  /** What was left when it was signed, and how its steps were ticked. */
  remarks: json().notNull().default([]),
  /** What each end took, by its ticks. */
  minutes: json().notNull().default([]),
  at: datetime({ mode: 'string', fsp: 3 }).notNull(),
})
