import { say, shortDay } from '../../explain/message'
import type { Gate } from '../../explain/judgement'
import { grassByCode, type GrassCode } from '../../grass/grasses'
import { addDays, type Day } from '../../measure/calendar'
import type { Application } from '../../site/survey'
import { injuriesOf, usualKind } from '../decision/labelIntervals'
import type { Part } from '../parts'
import type { Definition } from './definition'

/** Grasses that are sown on some parts, and what they are called. */
const sownOn = (parts: readonly Part[]): GrassCode[] => [
  ...new Set(parts.flatMap(({ seed }) => seed.map(({ grass }) => grass))),
]
const named = (codes: readonly GrassCode[]) => codes.map((code) => grassByCode(code).name)
const BY_SPECIES = { kind: 'mem', text: say('operations.labelsBySpecies') } as const

/** Days for which what went down is taken to be in the seedbed still. @source own: the label in hand says how long */
const IN_THE_BED_DAYS = 90

/** Both kinds of pre-emergent that are safe on seedlings. */
const SAFE = ['mesotrione', 'siduron'] as const

/** Days in which what went down counts toward a label's yearly maximum. @source labels, from memory */
const A_YEAR = 365

/**
 * What speaks against a pre-emergent on new seed: the species that is sown, and one that went down this season.
 */
export function preEmergentGates(
  applications: readonly Application[],
  { preEmergent }: Pick<Definition, 'preEmergent'>,
  day: Day,
  parts: readonly Part[],
): Gate[] {
  if (!preEmergent) return []
  const source = BY_SPECIES
  const sown = sownOn(parts)
  const injuredBy = (ingredient: string) => sown.filter((code) => injuriesOf(ingredient).injures.includes(code))
  const [byMesotrione, bySiduron] = SAFE.map(injuredBy) as [GrassCode[], GrassCode[]]
  const neither = byMesotrione.filter((code) => bySiduron.includes(code))
  const reduced = sown.filter((code) => injuriesOf('mesotrione').reducedRate.includes(code))
  const before = applications.find(
    ({ ingredient, appliedOn }) =>
      appliedOn <= day && addDays(appliedOn, A_YEAR) > day && usualKind(ingredient) === 'pre-emergent',
  )
  const gates: Gate[] = []
  if (before)
    gates.push({
      state: 'hold',
      code: 'season',
      text: say('operations.preEmergentThisSeason', {
        ingredient: before.ingredient,
        on: shortDay(before.appliedOn),
      }),
      source,
    })
  if (neither.length)
    gates.push({
      state: 'hold',
      code: 'injury',
      binding: true,
      text: say('operations.neitherPreEmergent', { names: named(neither) }),
      source,
    })
  else if (byMesotrione.length)
    gates.push({
      state: 'risk',
      code: 'injury',
      text: say('operations.onlySiduron', { names: named(byMesotrione) }),
      source,
    })
  if (reduced.length)
    gates.push({
      state: 'risk',
      code: 'reduced',
      text: say('operations.onlyAtReducedRate', { ingredient: 'mesotrione', names: named(reduced) }),
      source,
    })
  return gates
}

/**
 * Whether what was put down injures what is sown, whatever its wait: by species, as labels have it.
 * @param day on which it is sown
 */
export function injuryGates(
  applications: readonly Application[],
  { anchors }: Pick<Definition, 'anchors'>,
  day: Day,
  parts: readonly Part[],
): Gate[] {
  if (anchors !== 'seeding') return []
  const sown = sownOn(parts)
  return applications
    .filter(({ appliedOn }) => appliedOn <= day && addDays(appliedOn, IN_THE_BED_DAYS) >= day)
    .flatMap(({ ingredient, appliedOn }): Gate[] => {
      const { injures, reducedRate } = injuriesOf(ingredient)
      const source = BY_SPECIES
      const [hurt, careful] = [injures, reducedRate].map((codes) => codes.filter((code) => sown.includes(code)))
      return [
        ...(hurt!.length
          ? [
              {
                state: 'hold',
                code: 'injury',
                binding: true,
                text: say('operations.ingredientInjures', {
                  ingredient,
                  on: shortDay(appliedOn),
                  names: named(hurt!),
                }),
                source,
              } as const,
            ]
          : []),
        ...(careful!.length
          ? [
              {
                state: 'risk',
                code: 'reduced',
                text: say('operations.onlyAtReducedRate', { ingredient, names: named(careful!) }),
                source,
              } as const,
            ]
          : []),
      ]
    })
}
