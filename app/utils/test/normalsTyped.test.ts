import { describe, expect, test } from 'vitest'
import { COLUMBUS } from '#core/weather/test/stations'
import { pasteInto, readNormals, typedNormals } from '../normalsTyped'

const normals = COLUMBUS

describe('a table of monthly normals', () => {
  test('that is only shown and saved keeps every value as it was, in either system', () => {
    for (const units of ['us', 'metric'] as const)
      expect(readNormals(typedNormals(normals, units), normals, units)).toEqual({ ok: true, normals })
  })
  test('takes a cell that is typed, in the reader’s units', () => {
    const typed = typedNormals(normals, 'us')
    typed.tmaxC[6] = '86'
    typed.rainMm[0] = '2.5'
    const read = readNormals(typed, normals, 'us')
    expect(read.ok && [read.normals!.tmaxC[6], read.normals!.rainMm[0], read.normals!.tmaxC[5]]).toEqual([
      30,
      63.5,
      normals.tmaxC[5],
    ])
  })
  test('is none when it is empty, and names the cell that is missing or no number', () => {
    const empty = typedNormals(null, 'us')
    expect(readNormals(empty, null, 'us')).toEqual({ ok: true, normals: null })
    empty.tmaxC[3] = '60'
    const read = readNormals(empty, null, 'us')
    expect(read.ok || Object.keys(read.wrong).length).toBe(47)
    const typed = typedNormals(normals, 'us')
    typed.wetDays[11] = 'many'
    const told = readNormals(typed, normals, 'us')
    expect(told.ok || Object.keys(told.wrong)).toEqual(['normals.wetDays.11'])
  })
  test('takes a row, a block or months one below the other from a sheet, and leaves a single value to its cell', () => {
    const empty = typedNormals(null, 'us')
    const paste = (text: string, month = 0) => pasteInto(empty, { key: 'tmaxC', month }, text)
    expect(paste('37.1\t41.1\t51.8', 2)!.tmaxC.slice(0, 6)).toEqual(['', '', '37.1', '41.1', '51.8', ''])
    const year = Array.from({ length: 12 }, (_, m) => String(m + 1))
    const block = paste(`High\t${year.join('\t')}\nLow\t${year.join('\t')}\n`)!
    expect([block.tmaxC, block.tminC, block.rainMm[0]]).toEqual([year, year, ''])
    // Months one below the other, with a name, a high, a low and rain beside each.
    const upright = paste(year.map((m) => `Month${'x'}\t${m}\t-${m}\t2.5`).join('\r\n'))!
    expect([upright.tmaxC, upright.tminC[3], upright.rainMm[11], upright.wetDays[0]]).toEqual([year, '-4', '2.5', ''])
    expect([paste('37.1'), paste('high of July'), paste(Array(13).fill('1').join(' '))]).toEqual([
      undefined,
      undefined,
      undefined,
    ])
  })
})
