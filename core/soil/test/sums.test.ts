import fc from 'fast-check'
import { expect, test } from 'vitest'
import { addUp, sumsOf } from '../sums'

const number = fc.double({ min: -100, max: 100, noNaN: true })

test('sums of any number of sources are those of adding them one by one', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 1, max: 30 }).chain((sources) =>
        fc.integer({ min: 1, max: 12 }).chain((width) =>
          fc.tuple(
            fc.array(fc.array(number, { minLength: width, maxLength: width }), {
              minLength: sources,
              maxLength: sources,
            }),
            fc.array(number, { minLength: sources, maxLength: sources }),
          ),
        ),
      ),
      ([weights, strengths]) => {
        const sums = sumsOf(weights)
        sums.sources.set(strengths)
        const results = Array.from(addUp(sums))
        expect(results).toHaveLength(weights[0]!.length)
        results.forEach((result, i) => {
          expect(result).toBeCloseTo(
            weights.reduce((sum, of, source) => sum + of[i]! * strengths[source]!, 0),
            7,
          )
        })
        // Asked again, nothing of the first answer is left in it.
        expect(Array.from(addUp(sums))).toEqual(results)
      },
    ),
  )
})
