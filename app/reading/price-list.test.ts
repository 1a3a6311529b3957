import { describe, expect, it } from 'vitest'
import Papa from 'papaparse'
import { priceRows, readPriceList } from './price-list'
import { findWays } from '#core/joints'
import { aJoint } from '../../tests/records'

const read = (text: string) => readPriceList(text)

describe('a price list', () => {
  it('is read by its columns, whatever stands beside them and whichever comma a price has', () => {
    const list = read('﻿Size,code,Name,Price\r\n22,x1,press coupling,"£4.20"\r\n15,x2,olive,"0,35"\r\n28,x3,olive,\r\n')
    expect(list).toEqual({
      ok: true,
      value: {
        prices: [
          { name: 'press coupling', size: '22', price: 4.2 },
          { name: 'olive', size: '15', price: 0.35 },
        ],
        empty: 1,
      },
    })
  })

  it.each([
    ['no columns', 'a,b\n1,2', 'columns'],
    ['a word for a price', 'name,size,price\nolive,15,0.3\nolive,22,dear', 'rows.1'],
    ['less than nothing', 'name,size,price\nolive,15,-1', 'rows.0'],
    ['a part twice', 'name,size,price\nolive,15,1\nolive,15,2', 'rows.1'],
    ['no size', 'name,size,price\nolive,,1', 'rows.0'],
  ])('with %s is refused at its place, and nothing of it is taken', (_, text, path) => {
    const list = read(text)
    expect(list.ok ? null : list.error.path).toBe(path)
  })

  it('of 1001 rows is too long', () => {
    const rows = Array.from({ length: 1001 }, (_, i) => `olive,${i},1`)
    const list = read(['name,size,price', ...rows].join('\n'))
    expect(list.ok ? null : list.error.code).toBe('too-many')
  })

  it('that went out filled comes in as it was filled', () => {
    const end = { pipe: 'cu-en-x-22' }
    const ways = findWays({ region: 'gb', a: end, b: end })
    const joint = aJoint({ way: ways.ok ? ways.value.ways[0]! : null })
    const rows = priceRows({ prices: [{ name: 'olive', size: '22', price: 0.4 }], joints: [joint], region: 'gb' })
    expect(rows.length).toBeGreaterThan(1)
    const filled = rows.map((row) => ({ ...row, price: row.price === '' ? 3 : row.price }))
    const list = read(Papa.unparse(filled, { newline: '\r\n' }))
    expect(list.ok && list.value.prices).toEqual(filled)
  })
})
