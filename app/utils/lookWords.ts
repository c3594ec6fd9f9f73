import { GRASSES } from '#core/grass/grasses'
import { SWARDS } from '#core/grass/swards'
import { TEXTURES, type Texture } from '#core/soil/soil'

/** Choices of the survey as they are read. */
export const GRASS_ITEMS = GRASSES.map(({ code, name }) => ({ label: name, value: code }))
export const SWARD_ITEMS = SWARDS.map(({ code, name }) => ({ label: name, value: code }))
export const WEAR_CHOICES = [
  { value: 'none', name: 'hardly walked' },
  { value: 'some', name: 'paths show' },
  { value: 'heavy', name: 'walked bare' },
] as const
export const DRAINAGE_CHOICES = [
  { value: 'free', name: 'drains freely' },
  { value: 'slow', name: 'slowly' },
  { value: 'standing', name: 'water stands' },
] as const
export const GRUB_CHOICES = [
  { value: 'none', name: 'none seen' },
  { value: 'few', name: 'fewer than 6 a sq ft' },
  { value: 'many', name: '6 and more' },
] as const
export const GROUND_CHOICES = [
  { value: 'turf', name: 'turf' },
  { value: 'cut-out', name: 'a cut-out: stump, trench or bed gone' },
] as const
export const STONE_CHOICES = [
  { value: 'none', name: 'none' },
  { value: 'few', name: 'a few' },
  { value: 'many', name: 'many' },
] as const
export const THATCH_CHOICES = [
  { value: true, name: 'a finger goes through' },
  { value: false, name: 'a tight mat' },
] as const
export const HOME_CHOICES = [
  { value: 'all day', name: 'all day' },
  { value: 'mornings and evenings', name: 'mornings and evenings' },
  { value: 'seldom', name: 'seldom' },
] as const
export const LEAF_CHOICES = [
  { value: 'none', name: 'none' },
  { value: 'some', name: 'some' },
  { value: 'heavy', name: 'heavy' },
] as const
export const UPKEEP_CHOICES = [
  { value: 'low', name: 'low' },
  { value: 'usual', name: 'usual' },
  { value: 'high', name: 'high' },
] as const
export const MOWER_CHOICES = [
  { value: 'client', name: 'the client' },
  { value: 'us', name: 'we do' },
  { value: 'contractor', name: 'another contractor' },
] as const
export const SPRAY_CHOICES = [
  { value: false, name: 'allowed' },
  { value: true, name: 'refused' },
] as const
export const GOAL_CHOICES = [
  { value: 'thicker', name: 'thicker' },
  { value: 'patches', name: 'patches mended' },
  { value: 'species', name: 'another grass' },
  { value: 'levels', name: 'flatter' },
  { value: 'winter', name: 'green in winter' },
] as const
export const WATER_CHOICES = [
  { value: 'none', name: 'none' },
  { value: 'hose', name: 'hose and tap' },
  { value: 'sprinklers', name: 'sprinklers in the ground' },
] as const
export const RESTRICTION_CHOICES = [
  { value: 'none', name: 'none' },
  { value: 'limited', name: 'limited days' },
  { value: 'ban', name: 'banned' },
] as const
export const YES_NO = [
  { value: true, name: 'in patches' },
  { value: false, name: 'thin all over' },
] as const

/**
 * Texture by feel, as it is found with a moist handful. @source the feel method of soil survey handbooks, from
 * memory, told in our words
 */
export const TEXTURE_FEEL: Record<Texture, string> = {
  sand: 'gritty, falls apart, leaves no stain',
  'sandy loam': 'gritty, a ball holds until touched',
  loam: 'smooth and a little gritty, a short ribbon',
  'clay loam': 'sticky, a ribbon of about an inch (25 to 50 mm)',
  clay: 'sticky and stiff, a long ribbon over 2 in (50 mm)',
}
export const TEXTURE_ITEMS = TEXTURES.map((texture) => ({ label: texture, value: texture }))
