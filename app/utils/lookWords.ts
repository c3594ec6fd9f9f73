import { GRASSES } from '#core/grass/grasses'
import { SWARDS } from '#core/grass/swards'
import { TEXTURES, type Texture } from '#core/soil/soil'
import type { MessageKey } from '#words/message'
import { t, tell } from './words'

/** A choice of the survey, its name in the language of the moment. */
const choice = <const V>(value: V, key: MessageKey) => ({
  value,
  get name() {
    return t(key)
  },
})

/** Choices of the survey as they are read. */
export const GRASS_ITEMS = GRASSES.map(({ code, name }) => ({
  value: code,
  get label() {
    return tell(name)
  },
}))
export const SWARD_ITEMS = SWARDS.map(({ code, name }) => ({
  value: code,
  get label() {
    return tell(name)
  },
}))
export const WEAR_CHOICES = [
  choice('none', 'look.hardlyWalked'),
  choice('some', 'look.pathsShow'),
  choice('heavy', 'look.walkedBare'),
]
export const DRAINAGE_CHOICES = [
  choice('free', 'look.drainsFreely'),
  choice('slow', 'look.slowly'),
  choice('standing', 'look.waterStands'),
]
export const GRUB_CHOICES = [
  choice('none', 'look.noneSeen'),
  choice('few', 'look.fewerThan6A'),
  choice('many', 'look.n6AndMore'),
]
export const GROUND_CHOICES = [choice('turf', 'look.turf'), choice('cut-out', 'look.aCutOutStump')]
export const STONE_CHOICES = [choice('none', 'look.none'), choice('few', 'look.aFew'), choice('many', 'look.many')]
export const THATCH_CHOICES = [choice(true, 'look.aFingerGoesThrough'), choice(false, 'look.aTightMat')]
export const HOME_CHOICES = [
  choice('all day', 'look.allDay'),
  choice('mornings and evenings', 'look.morningsAndEvenings'),
  choice('seldom', 'look.seldom'),
]
export const LEAF_CHOICES = [choice('none', 'look.none'), choice('some', 'look.some'), choice('heavy', 'look.heavy')]
export const UPKEEP_CHOICES = [choice('low', 'look.low'), choice('usual', 'look.usual'), choice('high', 'look.high')]
export const MOWER_CHOICES = [
  choice('client', 'look.theClient'),
  choice('us', 'look.weDo'),
  choice('contractor', 'look.anotherContractor'),
]
export const SPRAY_CHOICES = [choice(false, 'look.allowed'), choice(true, 'look.refused')]
export const GOAL_CHOICES = [
  choice('thicker', 'look.thicker'),
  choice('patches', 'look.patchesMended'),
  choice('species', 'look.anotherGrass'),
  choice('levels', 'look.flatter'),
  choice('winter', 'look.greenInWinter'),
]
export const WATER_CHOICES = [
  choice('none', 'look.none'),
  choice('hose', 'look.hoseAndTap'),
  choice('sprinklers', 'look.sprinklersInTheGround'),
]
export const RESTRICTION_CHOICES = [
  choice('none', 'look.none'),
  choice('limited', 'look.limitedDays'),
  choice('ban', 'look.banned'),
]
export const YES_NO = [choice(true, 'look.inPatches'), choice(false, 'look.thinAllOver')]

/**
 * Texture by feel, as it is found with a moist handful. @source the feel method of soil survey handbooks, from
 * memory, told in our words
 */
export const TEXTURE_FEEL: Record<Texture, MessageKey> = {
  sand: 'look.grittyFallsApartLeaves',
  'sandy loam': 'look.grittyABallHolds',
  loam: 'look.smoothAndALittle',
  'clay loam': 'look.stickyARibbonOf',
  clay: 'look.stickyAndStiffA',
}
const TEXTURE_NAMES: Record<Texture, MessageKey> = {
  sand: 'look.sand',
  'sandy loam': 'look.sandyLoam',
  loam: 'look.loam',
  'clay loam': 'look.clayLoam',
  clay: 'look.clay',
}
export const TEXTURE_ITEMS = TEXTURES.map((value) => ({
  value,
  get label() {
    return t(TEXTURE_NAMES[value])
  },
}))
