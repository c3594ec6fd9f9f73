import { toDay } from '#core/measure/calendar'
import { cover, ft2, inches, ORDERED, soil, WATERED, zone, type DemoLawn } from './lawnKit'
import { odellPlan } from './odellPlan'

/** The lawn of the pictures: drawn, of three zones, and worked on. */
export const ODELL: DemoLawn = {
  client: 'Odell',
  address: '4 Quarry Rise',
  ...ft2(6590),
  growsNow: 'thin tall fescue',
  northDeg: 0.01,
  look: {
    ...soil('clay loam'),
    soilTest: {
      sampledOn: toDay('2026-08-26'),
      method: 'Mehlich-3',
      ph: 6.4,
      bufferPh: 6.8,
      pPpm: 18,
      kPpm: 128,
      organicShare: 0.031,
      note: '',
    },
    water: {
      ...WATERED,
      byWhom: 'the client',
      flowLPerMin: 34,
    },
    access: {
      gateM: 1.1,
      steps: 0,
      barrowM: 25,
      tipping: 'on the drive, 3 yd³ at a time',
      services: 'asked',
      note: '',
    },
    wishes: { goal: 'thicker', look: 'family' },
  },
  irrigation: ([front, slope, strip]) => [
    {
      name: 'Front heads',
      zoneId: front!,
      heads: 8,
      tap: 'valve 1',
      flowLPerMin: 30,
      timer: 'own',
      cans: { minutes: 20, read: 'depth', widthMm: null, values: [5.2, 4.6, 4.4, 4.1, 4.0, 3.8, 3.1, 2.9] },
    },
    {
      name: 'Slope heads',
      zoneId: slope!,
      heads: 6,
      tap: 'valve 2',
      flowLPerMin: 26,
      timer: 'own',
      cans: { minutes: 20, read: 'volume', widthMm: 72, values: [52, 47, 44, 41, 38, 33, 27, 24] },
    },
    { name: 'Shade strip', kind: 'hose', zoneId: strip!, tap: 'side of the house', hoseM: 22, flowLPerMin: 14 },
  ],
  zones: [
    zone('TF', {
      name: 'Sunny front',
      areaFrom: 'drawn',
      errorShare: 0.01,
      ...cover(62, 28, 4),
      plugsMm: inches(0.6, 0.7, 0.8),
      driverMm: inches(2.3, 2.5),
      mowingHeightMm: 76.2,
      sunHours: null,
      wear: 'some',
      hollows: [
        {
          name: 'by the plum',
          spacingM: 1.5,
          widthM: null,
          rowsMm: [
            [0, 4, 6, 0],
            [3, 18, 12, 0],
            [0, 9, 8, 0],
          ],
        },
      ],
    }),
    zone('TF', {
      name: 'Slope',
      areaFrom: 'drawn',
      errorShare: 0.01,
      ...cover(57, 32, 4),
      plugsMm: inches(0.7, 0.7),
      driverMm: inches(2.6),
      mowingHeightMm: 76.2,
      sunHours: null,
      slopeShare: 0.09,
    }),
    zone('TF', {
      name: 'Shade strip',
      areaFrom: 'drawn',
      errorShare: 0.01,
      ...cover(36, 42),
      plugsMm: inches(0.4),
      driverMm: inches(4),
      mowingHeightMm: 76.2,
      sunHours: null,
      levelsSeen: false,
      barePatchy: true,
    }),
  ],
  plan: ([front, slope, strip]) => odellPlan({ front: front!, slope: slope!, strip: strip! }),
  applications: [
    { ingredient: 'isoxaben', appliedOn: toDay('2026-05-02'), waitDays: 122 },
    { ingredient: '2,4-D, dicamba, MCPP or triclopyr', appliedOn: toDay('2026-08-20'), waitDays: 28 },
  ],
  sowOn: toDay('2026-09-18'),
  settings: {
    lot: { purityShare: 0.98, germinationShare: 0.9, coatingShare: 0, purityOfBareSeed: false, testedOn: null },
    scalpToMm: 38.1,
  },
  done: ORDERED,
}
