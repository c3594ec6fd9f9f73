import type { Day } from '../measure/calendar'
import type { PointM } from '../site/geometry'
import type { GerminationCause } from './cause'
import type { LeafStage } from './leafStage'

/** Who was there: somebody of the firm, or the client, who told of it. */
export type SeenBy = 'firm' | 'client'

/** Seedlings counted in frames of one size, in one zone. */
export interface SeenCount {
  kind: 'count'
  seenOn: Day
  zoneId: string
  /** Side of the square frame, mm. */
  frameMm: number
  /** One a frame. */
  seedlings: readonly number[]
  /** Top of the bed at the driest hour; null where nobody looked. */
  moist: boolean | null
  /** Seed carried together by water, and birds seen at it. */
  washed: boolean
  birds: boolean
  note: string
}

/** Leaves as they stand. */
export interface SeenHeight {
  kind: 'height'
  seenOn: Day
  zoneId: string
  heightMm: number
  note: string
}

/** The bed at its driest hour, before anything can be counted. */
export interface SeenCheck {
  kind: 'check'
  seenOn: Day
  zoneId: string
  /** Top of the bed dark and moist. */
  moist: boolean
  washed: boolean
  birds: boolean
  note: string
}

/** Leaves of the seedlings, as most of them stand. */
export interface SeenLeaf {
  kind: 'leaf'
  seenOn: Day
  zoneId: string
  stage: LeafStage
  note: string
}

/** Ground that green covers, old grass and new. */
export interface SeenCover {
  kind: 'cover'
  seenOn: Day
  zoneId: string
  /** 0-1. */
  coverShare: number
  /** Measured in a photo, or judged by eye. */
  from: 'photo' | 'eye'
  /** The picture it was measured in; null where none was kept. */
  photoId: string | null
  note: string
}

/** Waterings of a day by hour of the clock: what was given, or what was missed. */
export interface SeenWatering {
  kind: 'watering'
  seenOn: Day
  /** Of the irrigation zones; null for all of them. */
  zoneId: string | null
  given: boolean
  hours: readonly number[]
  by: SeenBy
  note: string
}

/** Ground where too little came up, as it was walked round. */
export interface SeenSpot {
  kind: 'spot'
  seenOn: Day
  zoneId: string
  areaM2: number
  /** Of a full stand, what is missing there, 0-1. */
  missingShare: number
  /** What it is taken to come from. */
  cause: GerminationCause
  /** Its middle on the plan, m east and north; null where it was not put there. */
  at: PointM | null
  note: string
}

/** Rain of a day where the lawn is: a station is some way off, and a shower falls on one street. */
export interface SeenRain {
  kind: 'rain'
  seenOn: Day
  /** It falls on all of a lawn. */
  zoneId: null
  rainMm: number
  by: SeenBy
  note: string
}

/** What was answered at the visit of a task. */
export interface SeenVisit {
  kind: 'visit'
  seenOn: Day
  /** It is of the whole lawn. */
  zoneId: null
  task: string
  /** By the code of the question: yes or no, or a figure in its SI unit. */
  answers: Readonly<Record<string, boolean | number>>
  note: string
}

/** What was seen of a bed after sowing. */
export type Seen =
  SeenCount | SeenHeight | SeenCover | SeenWatering | SeenSpot | SeenRain | SeenCheck | SeenLeaf | SeenVisit
