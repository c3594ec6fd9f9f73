import { expect, test } from 'vitest'
import { readTaped, SHAPE_EXAMPLES } from '#core/site/typedArea'
import { outlineOfShape } from '../tapedFigure'

test('every taped shape is drawn inside of its frame', () => {
  for (const example of Object.values(SHAPE_EXAMPLES)) {
    const read = readTaped(example, 'metric')
    if (!read?.ok) throw new Error(example)
    const { path, viewBox } = outlineOfShape(read.parts[0]!.shape)
    const [left, top, width, height] = viewBox.split(' ').map(Number) as [number, number, number, number]
    const numbers = path.match(/-?\d+\.\d+/g)!.map(Number)
    numbers.forEach((n, i) => {
      const [from, size] = i % 2 ? [top, height] : [left, width]
      expect([example, n >= from - 1e-6 && n <= from + size + 1e-6]).toEqual([example, true])
    })
  }
})
