import { formatDecimal, formatTape, MM_PER_INCH, type Region, unitSystemOf } from '#core/units'

/** The letters of a region's unit of length. */
export const unitOf = (region: Region): string => (unitSystemOf(region) === 'inch' ? 'in' : 'mm')

/** A length for a table that is computed with: mm to a tenth, decimal inches to a thousandth. */
export const inUnit = (mm: number, region: Region): number =>
  unitSystemOf(region) === 'inch' ? Math.round((mm / MM_PER_INCH) * 1000) / 1000 : Math.round(mm * 10) / 10

/** A length as the tape of the region reads it, without its unit: a heading has it. */
export const onTape = (mm: number, region: Region): string =>
  unitSystemOf(region) === 'inch' ? formatTape(mm) : formatDecimal(mm, 1)

/** The same with its unit, where it stands alone. */
export const withUnit = (mm: number, region: Region): string => `${onTape(mm, region)} ${unitOf(region)}`

/** Names of columns that are lengths, with their unit. */
export const lengthColumns = <Column extends string>(
  columns: readonly Column[],
  words: Partial<Record<Column, string>>,
  region: Region,
): Partial<Record<Column, string>> =>
  Object.fromEntries(columns.map((column) => [column, `${words[column] ?? column} (${unitOf(region)})`])) as Partial<
    Record<Column, string>
  >
