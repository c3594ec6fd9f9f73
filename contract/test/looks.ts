import { toDay } from '#core/measure/calendar'
import { NEW_ZONE, type Zone } from '#core/site/zone'
import type { Lawn } from '../lawn'
import { lookSchema, NO_ACCESS, NO_WISHES, type Look } from '../look'
import { NO_WATER } from '../water'

export const ZONE_ID = '5f0c9a52-6a1e-4d7f-9a53-1f3f0a6f0e01'

/** A zone with every question of the plan answered. */
export const aZone = (change: Partial<Zone> = {}): Look['zones'][string] => ({
  ...structuredClone(NEW_ZONE),
  name: 'Lawn',
  order: 0,
  tapedM2: 612,
  areaTyped: '6,590 sq ft',
  grass: 'TF',
  sward: 'TF',
  desirableShare: 0.56,
  weedShare: 0.35,
  coarseShare: 0,
  bareShare: 0.09,
  plugsMm: [18],
  mowingHeightMm: 76,
  sunHours: 8,
  slopeShare: 0,
  ...change,
})

/** A survey of one zone. @param parsed false hands it on unjudged, for what should be refused */
export function aLook(change: Partial<Look> = {}, zone: Partial<Zone> = {}, parsed = true): Look {
  const look: Look = {
    version: 1,
    client: 'Odell',
    address: '',
    latDeg: 37,
    lonDeg: -79,
    heightM: null,
    stationId: null,
    growsNow: '',
    texture: 'loam',
    zones: { [ZONE_ID]: aZone(zone) },
    features: {},
    underlay: null,
    applications: [],
    typedAs: {},
    nothingPutOn: false,
    soilTest: null,
    water: NO_WATER,
    access: NO_ACCESS,
    wishes: NO_WISHES,
    ...change,
  }
  return parsed ? lookSchema.parse(look) : look
}

/** A saved lawn's survey with its first zone changed. */
export function withZone<L extends Pick<Look, 'zones'>>(lawn: L, change: Partial<Zone>): L {
  const [id, zone] = Object.entries(lawn.zones)[0]!
  return { ...lawn, zones: { ...lawn.zones, [id]: { ...zone, ...change } } }
}

/** The answers that a plan needs, for a zone that has only its area. */
export const ANSWERED: Partial<Zone> = {
  grass: 'TF',
  desirableShare: 0.56,
  weedShare: 0.35,
  coarseShare: 0,
  bareShare: 0.09,
  plugsMm: [18],
  mowingHeightMm: 76,
  sunHours: 8,
}

const JOB_ID = '5f0c9a52-6a1e-4d7f-9a53-1f3f0a6f0e09'

/** What a lawn has of its first job, over all its zones. */
export function oneJob({
  zones,
}: Pick<Look, 'zones'>): Pick<Lawn, 'clientId' | 'clientReads' | 'surveyedOn' | 'job' | 'jobs' | 'sameClient'> {
  const brief = {
    id: JOB_ID,
    number: 1,
    state: 'planned' as const,
    programme: null,
    sowOn: null,
    begunOn: toDay('2026-09-01'),
    endedOn: null,
    zoneIds: Object.keys(zones),
  }
  return {
    clientId: JOB_ID,
    clientReads: { language: null, units: null },
    surveyedOn: null,
    sameClient: [],
    jobs: [{ ...brief, marks: [] }],
    job: { ...brief, confirmed: null, ended: null, promised: null, wanted: {} },
  }
}
