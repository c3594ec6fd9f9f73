import { randomUUID } from 'node:crypto'
import type { z } from 'zod'
import * as firm from '#contract/firm'
import * as lawn from '#contract/lawn'
import { lawnsAskedSchema, outlinesAskedSchema } from '#contract/list'
import { newLawnSchema } from '#contract/newLawn'
import { lookSchema } from '#contract/look'
import { newPhotoSchema, photoSizeSchema, photoWordsSchema } from '#contract/photo'
import * as delivery from '#contract/delivery'
import * as station from '#contract/station'
import * as stock from '#contract/stock'
import { seenSchema } from '#contract/seen'
import { markSchema } from '#contract/work'
import { NO_WORK } from '#core/job/nothingDecided'
import { defaultSettings } from '#core/job/settings'
import { PROGRAMMES } from '#core/job/decision/programmes'
import { grassByCode } from '#core/grass/grasses'
import { DEFAULT_PRACTICES } from '#core/job/decision/usualPractices'
import { aCount, aPhoto, PASSWORD, TODAY, type Firm } from './world'

/** How one route is attacked. */
export interface Case {
  /** Of its body, with a body that is taken. */
  schema?: z.ZodType
  valid?: (of: Firm) => unknown
  /** Of what stands behind the question mark. */
  query?: z.ZodType
  /** The body is a file of this type. */
  file?: 'text/csv'
  /** Things of a firm that the path names. */
  params?: (of: Firm) => Record<string, string>
  ownerOnly?: true
  /** Opens to who is not signed in. */
  open?: true
  /** Opens by a key alone: cookies and where it comes from say nothing. */
  byKey?: true
  /** What is sent besides. */
  headers?: (of: Firm) => Record<string, string>
  /** Ends somebody's session or takes something away for good: attacked last, on a firm of its own. */
  ends?: true
}

const ofLawn = { params: ({ lawn: { id } }: Firm) => ({ id }) }
const ofJob = { params: ({ lawn: { id, job } }: Firm) => ({ id, job: job.id }) }
const ofStation = { params: ({ station: { id } }: Firm) => ({ id }) }
const ofStock = { params: ({ stock: { id } }: Firm) => ({ id }) }
const ofPhoto = { params: ({ lawn: { id }, photoId }: Firm) => ({ id, photo: photoId }) }
const place = { latDeg: 38, lonDeg: -9, heightM: null, coastal: false }
const settings = () =>
  defaultSettings({ grass: grassByCode('TF'), desirableShare: 0.5, programme: PROGRAMMES.overseed })

/** Every route there is; one that is missing here fails the suite. */
export const CASES: Readonly<Record<string, Case>> = {
  'post /api/door/sign-up': {
    open: true,
    schema: firm.signUpSchema,
    valid: () => ({
      firmName: 'A',
      units: 'us',
      currency: 'USD',
      timeZone: 'UTC',
      name: 'B',
      email: `${randomUUID()}@example.org`,
      password: PASSWORD,
    }),
  },
  'post /api/door/sign-in': {
    open: true,
    schema: firm.signInSchema,
    valid: ({ email }) => ({ email, password: 'a guess', code: '123456' }),
  },
  'post /api/door/sign-out': { open: true, ends: true },
  'post /api/door/link': { open: true, schema: firm.linkSchema, valid: () => ({ secret: 'x'.repeat(43) }) },
  'post /api/door/join': {
    open: true,
    schema: firm.joinSchema,
    valid: () => ({ secret: 'x'.repeat(43), password: PASSWORD, name: 'C', email: 'c@example.org', code: '123456' }),
  },
  'get /api/context': {},
  'get /api/sill': {},
  'get /api/firm/learned': {},
  'post /api/firm/samples': { ownerOnly: true },
  'delete /api/firm/samples': { ownerOnly: true },
  'get /api/outlines': { query: outlinesAskedSchema },
  'put /api/firm': {
    ownerOnly: true,
    schema: firm.firmSettingsSchema,
    valid: ({ name }) => ({
      version: 1,
      name,
      units: 'metric',
      currency: 'EUR',
      timeZone: 'Europe/Lisbon',
      language: 'en-GB',
      grows: 'cool',
      practices: DEFAULT_PRACTICES,
      planning: { overseedFrom: 0.5 },
      workingDays: [1, 2],
      holidays: ['2026-12-25'],
      hoursADay: 16,
      licences: [{ what: 'Pesticides', number: '12' }],
      homeStationId: null,
    }),
  },
  'post /api/firm/clock': { schema: firm.clockStepSchema, valid: () => ({ days: 7 }) },
  'get /api/me/sessions': {},
  'delete /api/me/sessions': { ends: true },
  'delete /api/me/sessions/:session': { params: ({ sessionId }) => ({ session: sessionId }), ends: true },
  'put /api/me/units': { schema: firm.ownUnitsSchema, valid: () => ({ units: 'us' }) },
  'put /api/me/password': {
    schema: firm.passwordChangeSchema,
    valid: () => ({ current: 'a guess', password: PASSWORD }),
  },
  'post /api/me/second-factor': { ownerOnly: true, schema: firm.passwordSchema, valid: () => ({ current: 'a guess' }) },
  'put /api/me/second-factor': { ownerOnly: true, schema: firm.secondFactorSchema, valid: () => ({ code: '123456' }) },
  'post /api/me/second-factor/off': { schema: firm.passwordSchema, valid: () => ({ current: 'a guess' }) },
  'get /api/people': { ownerOnly: true },
  'put /api/people/:id': {
    ownerOnly: true,
    schema: firm.personChangeSchema,
    valid: () => ({ role: 'technician', active: true }),
    params: ({ technicianId }) => ({ id: technicianId }),
    ends: true,
  },
  'get /api/people/links': { ownerOnly: true },
  'post /api/people/links': {
    ownerOnly: true,
    schema: firm.linkRequestSchema,
    valid: ({ technicianId }) => ({ kind: 'reset', personId: technicianId }),
  },
  'delete /api/people/links/:link': { ownerOnly: true, params: ({ linkId }) => ({ link: linkId }), ends: true },
  'get /api/lawns': { query: lawnsAskedSchema },
  'post /api/lawns': {
    schema: newLawnSchema,
    valid: () => ({ id: randomUUID(), client: 'D', address: '', areaM2: 50, areaTyped: '', growsNow: '' }),
  },
  'get /api/lawns/:id': ofLawn,
  'put /api/lawns/:id': { ...ofLawn, schema: lookSchema, valid: ({ lawn: of }) => of },
  'put /api/lawns/:id/client': {
    ...ofLawn,
    schema: firm.clientReadsSchema,
    valid: () => ({ language: 'es', units: null }),
  },
  'delete /api/lawns/:id': { ...ofLawn, ends: true },
  'put /api/lawns/:id/jobs/:job/plan': {
    ...ofJob,
    schema: lawn.planSchema,
    valid: ({ lawn: { zones } }) => ({
      version: 0,
      programme: 'overseed',
      overruleNote: 'dry',
      zonePlans: { [Object.keys(zones)[0]!]: { programme: 'leave', note: 'x' } },
      practices: {},
      blend: [
        { grass: 'TF', massShare: 0.9 },
        { grass: 'KBG', massShare: 0.1 },
      ],
      sowOn: '2026-12-20',
      settings: settings(),
      work: {
        ...NO_WORK,
        days: { scalp: '2026-12-19' },
        pins: { sow: '2026-12-20' },
        own: { [`own-${randomUUID()}`]: { name: 'edge', day: '2026-12-18', hours: 1, note: '' } },
        skipped: { feed: 'fed' },
        overruled: { 'scalp:surface': 'blown dry' },
      },
    }),
  },
  'post /api/lawns/:id/jobs': {
    ...ofLawn,
    schema: lawn.newJobSchema,
    valid: ({ lawn: { zones } }) => ({ id: randomUUID(), zoneIds: Object.keys(zones) }),
  },
  'post /api/lawns/:id/jobs/:job/confirm': {
    ...ofJob,
    schema: lawn.confirmSchema,
    valid: () => ({ version: 0, days: { scalp: '2026-12-19' } }),
  },
  'post /api/lawns/:id/jobs/:job/end': {
    ...ofJob,
    schema: lawn.endJobSchema,
    valid: () => ({ version: 0, outcome: 'called off', note: 'sold' }),
    ends: true,
  },
  'post /api/lawns/:id/jobs/:job/reopen': ofJob,
  'get /api/lawns/:id/jobs/:job/record': ofJob,
  'get /api/lawns/:id/jobs/:job/versions': ofJob,
  'get /api/lawns/:id/season': ofLawn,
  'get /api/lawns/:id/sill': ofLawn,
  'post /api/lawns/:id/sill': {
    ...ofLawn,
    schema: lawn.settingsTriedSchema,
    valid: () => ({ settings: settings() }),
  },
  'post /api/lawns/:id/jobs/:job/marks': {
    ...ofJob,
    schema: markSchema,
    valid: ({ stock: { id } }) => ({
      id: randomUUID(),
      task: 'own-' + randomUUID(),
      doneOn: TODAY,
      share: 0.5,
      passed: true,
      hours: 2,
      heightMm: 30,
      passes: 2,
      massKg: 4,
      volumeM3: 1,
      areaM2: 300,
      used: { [id]: 0.5 },
      weather: 'dry',
      note: '',
    }),
  },
  'delete /api/lawns/:id/jobs/:job/marks/:mark': {
    params: ({ lawn: { id, job }, markId }) => ({ id, job: job.id, mark: markId }),
    ends: true,
  },
  'get /api/lawns/:id/jobs/:job/emergence': ofJob,
  'post /api/lawns/:id/jobs/:job/seen': {
    ...ofJob,
    schema: seenSchema,
    valid: ({ lawn: { job } }) => aCount(job.zoneIds[0]),
  },
  'delete /api/lawns/:id/jobs/:job/seen/:seen': {
    params: ({ lawn: { id, job }, seenId }) => ({ id, job: job.id, seen: seenId }),
    ends: true,
  },
  'get /api/lawns/:id/photos': ofLawn,
  'post /api/lawns/:id/photos': { ...ofLawn, schema: newPhotoSchema, valid: () => aPhoto() },
  'get /api/lawns/:id/photos/:photo': { ...ofPhoto, query: photoSizeSchema },
  'put /api/lawns/:id/photos/:photo': {
    ...ofPhoto,
    schema: photoWordsSchema,
    valid: () => ({ takenOn: null, zoneId: null, note: 'plug' }),
  },
  'delete /api/lawns/:id/photos/:photo': { ...ofPhoto, ends: true },
  'get /api/stations': {},
  'post /api/stations': { schema: station.newStationSchema, valid: () => ({ name: randomUUID(), ...place }) },
  'get /api/stations/:id': ofStation,
  'put /api/stations/:id': {
    ...ofStation,
    schema: station.stationEditSchema,
    valid: ({ station: { name } }) => ({
      name,
      ...place,
      version: 1,
      home: true,
      normals: {
        tmaxC: Array(12).fill(20),
        tminC: Array(12).fill(10),
        rainMm: Array(12).fill(60),
        wetDays: Array(12).fill(9),
      },
    }),
  },
  'delete /api/stations/:id': { ...ofStation, ends: true },
  'put /api/stations/:id/forecast': {
    ...ofStation,
    schema: station.forecastSchema,
    valid: () => ({ days: [{ day: TODAY, tmaxC: 20, tminC: 10, rainMm: 0, windKmh: 8 }] }),
  },
  'post /api/stations/:id/readings': {
    ...ofStation,
    schema: station.readingSchema,
    valid: () => ({ at: `${TODAY}T00:01`, depthMm: 50, tempC: 12 }),
  },
  'post /api/stations/:id/import': { ...ofStation, query: station.importSchema, file: 'text/csv' },
  'post /api/weather-files': { file: 'text/csv' },
  'post /api/stations/:id/days': {
    ...ofStation,
    byKey: true,
    headers: ({ stationKey }) => ({ authorization: `Bearer ${stationKey}` }),
    schema: delivery.deliverySchema,
    valid: () => ({ days: [{ day: '2026-08-01', tmaxC: 28, tminC: 15, rainMm: 0 }] }),
  },
  'get /api/nearer-lawns': {},
  'post /api/stations/:id/lawns': ofStation,
  'get /api/stations/:id/keys': { ...ofStation, ownerOnly: true },
  'post /api/stations/:id/keys': {
    ...ofStation,
    ownerOnly: true,
    schema: delivery.newKeySchema,
    valid: () => ({ name: 'Logger' }),
  },
  'delete /api/stations/:id/keys/:key': {
    params: ({ station: { id } }: Firm) => ({ id, key: randomUUID() }),
    ownerOnly: true,
  },
  'post /api/stations/:id/readings-file': { ...ofStation, query: station.readingsFileSchema, file: 'text/csv' },
  'get /api/stock': {},
  'post /api/stock': {
    schema: stock.newStockSchema,
    valid: () => ({ id: randomUUID(), matter: 'seed TF 100', name: 'E', day: TODAY, amount: 12 }),
  },
  'put /api/stock/:id': {
    ...ofStock,
    schema: stock.stockEditSchema,
    valid: () => ({ version: 1, name: 'F', putAway: false }),
  },
  'get /api/stock/:id/moves': ofStock,
  'post /api/stock/:id/moves': {
    ...ofStock,
    schema: stock.stockMoveSchema,
    valid: () => ({ id: randomUUID(), why: 'came', day: TODAY, amount: 3, note: '' }),
  },
}

/** The path of a route with its things named. */
export const pathOf = (path: string, params: Record<string, string> = {}): string =>
  path.replace(/:(\w+)/g, (_, name: string) => params[name] ?? randomUUID())
