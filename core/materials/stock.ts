import { say, type Message } from '../explain/message'
import { blendCode, BLENDS, blendWords, pureSeed, type Blend } from '../seed/blends'
import { GRASSES } from '../grass/grasses'
import { COVER_MATERIALS, COVER_NAMES, type CoverMaterial } from './covers'
import { analysisText, parseAnalysis } from './feed'

export const STOCK_KINDS = ['seed', 'feed', 'cover', 'soil'] as const
export type StockKind = (typeof STOCK_KINDS)[number]

/** What is weighed, and what is measured loose. */
export const STOCK_QUANTITY = {
  seed: 'massKg',
  feed: 'massKg',
  cover: 'volumeM3',
  soil: 'volumeM3',
} as const satisfies Record<StockKind, string>

/** Soils that are brought for levelling. @source trade */
export const SOILS = {
  sand: say('materials.dryFineStoneFree'),
  'half organic': say('materials.halfSandHalfOrganic'),
  topsoil: say('materials.screenedTopsoil'),
} as const
export type Soil = keyof typeof SOILS

/** Fleece is laid by its area and comes back; it is no stock that is used up. */
const KEPT_COVERS = COVER_MATERIALS.filter((material) => material !== 'fleece')

/** A material by the name under which plans ask for it: kind, and what makes one as good as another. */
export type Matter = `${StockKind} ${string}`

export const seedMatter = (seed: Blend): Matter => `seed ${blendCode(seed)}`
/** Written alike however it was typed. @returns undefined for what is no analysis */
export function feedMatter(analysis: string): Matter | undefined {
  const read = parseAnalysis(analysis)
  return read && `feed ${analysisText(read)}`
}
export const coverMatter = (material: Exclude<CoverMaterial, 'fleece'>): Matter => `cover ${material}`
export const soilMatter = (soil: Soil): Matter => `soil ${soil}`

/** Materials that can be chosen from a list, with their names; feeds are typed by their analysis. */
export const MATTERS: Readonly<Record<Exclude<StockKind, 'feed'>, readonly { matter: Matter; name: Message }[]>> = {
  seed: [
    ...GRASSES.map(({ code, name }) => ({ matter: seedMatter(pureSeed(code)), name })),
    ...BLENDS.map(({ name, parts }) => ({
      matter: seedMatter(parts),
      name: say('materials.namedBlend', { name, blend: blendWords(parts) }),
    })),
  ],
  cover: KEPT_COVERS.map((material) => ({ matter: coverMatter(material), name: COVER_NAMES[material] })),
  soil: (Object.keys(SOILS) as Soil[]).map((soil) => ({ matter: soilMatter(soil), name: SOILS[soil] })),
}

export const kindOf = (matter: Matter): StockKind => matter.slice(0, matter.indexOf(' ')) as StockKind
/** What it is, in words. */
export function matterWords(matter: Matter): Message {
  const kind = kindOf(matter)
  const listed = kind === 'feed' ? undefined : MATTERS[kind].find((one) => one.matter === matter)?.name
  return listed ?? say('materials.typedMatter', { name: matter.slice(kind.length + 1) })
}

/** Kg or m³ in the shed, by material; what nobody keeps a book of is not in it. */
export type StockLevels = Readonly<Record<Matter, number>>
