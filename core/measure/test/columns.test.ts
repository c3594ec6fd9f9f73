import fc from 'fast-check'
import { expect, test } from 'vitest'
import { columnsOf, rowsOfColumns } from '../columns'

const row = fc.record({
  share: fc.double({ noNaN: true, noDefaultInfinity: true }),
  day: fc.option(fc.string()),
  causes: fc.record({ cold: fc.nat(), heat: fc.nat() }),
  between: fc.option(fc.record({ from: fc.nat() })),
  weeds: fc.array(fc.string()),
})

test('rows told as columns and read again are the rows, as JSON has them', () => {
  fc.assert(
    fc.property(fc.array(row), (rows) => {
      const told = JSON.parse(JSON.stringify(columnsOf(rows))) as ReturnType<typeof columnsOf>
      expect(rowsOfColumns(told)).toEqual(JSON.parse(JSON.stringify(rows)))
    }),
  )
})

test('a name without a value stays away, and rows of several shapes are refused', () => {
  expect(rowsOfColumns(columnsOf([{ a: 1, b: undefined }]))).toEqual([{ a: 1 }])
  expect(() => columnsOf([{ a: 1 }, { b: 1 }])).toThrow(RangeError)
  expect(() => columnsOf([{ a: 1, b: 2 }, { a: 1 }])).toThrow(RangeError)
})

test('objects of several shapes within the rows are told as they are', () => {
  const rows = [{ at: { a: 1 } }, { at: { b: 2 } }]
  expect(rowsOfColumns(columnsOf(rows))).toEqual(rows)
})
