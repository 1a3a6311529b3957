import { expect, it } from 'vitest'
import { BLANK_FIND, BLANK_JOINT, BLANK_LINE, newFind, newJoint, newLine } from '#core/record'

const ID = '3f0c1d2e-0000-4000-8000-000000000000'
const OWN = { id: ID }

it('are what the schemas take, and what they fill in where an earlier version says nothing', () => {
  expect(newFind.parse({ ...BLANK_FIND, ...OWN })).toEqual({ ...BLANK_FIND, ...OWN })
  expect(newJoint.parse({ ...BLANK_JOINT, ...OWN })).toEqual({ ...BLANK_JOINT, ...OWN })
  const { notes: _, cannot: __, ...find } = BLANK_FIND
  expect(newFind.parse({ ...find, ...OWN })).toEqual({ ...BLANK_FIND, ...OWN })
  const { findB: _b, comeBack: _c, ambient: _a, torch: _t, ...joint } = BLANK_JOINT
  expect(newJoint.parse({ ...joint, ...OWN })).toEqual({ ...BLANK_JOINT, ...OWN })
  const line = {
    name: '',
    pipe: 'cu-en-x-22',
    method: 'solder',
    corners: 'fittings',
    start: 'free',
    walls: [],
    legs: [],
  }
  expect(newLine.parse({ ...line, ...OWN })).toEqual({ ...line, ...BLANK_LINE, ...OWN })
})
