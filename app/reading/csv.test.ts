import Papa from 'papaparse'
import { expect, it } from 'vitest'
import { csvLink } from './csv'

const read = (link: string) => Papa.parse(decodeURIComponent(link.slice(link.indexOf(',') + 1)), { header: true }).data

it('holds rows that come back as they were, in the order of the columns', () => {
  const rows = [
    { quantity: 2, name: 'elbow, "long"', size: '3/4' },
    { quantity: 1, name: 'tee\nin two lines', size: '22 \u00d7 0.9' },
  ]
  const link = csvLink(rows, ['size', 'quantity', 'name'])
  expect(link).toMatch(/^data:text\/csv;charset=utf-8,size%2Cquantity%2Cname%0D%0A/)
  expect(read(link)).toEqual(rows.map((row) => ({ ...row, quantity: String(row.quantity) })))
})
it('keeps a formula as text', () => {
  expect(read(csvLink([{ name: '=1+1' }], ['name']))).toEqual([{ name: "'=1+1" }])
})
