import { figure } from '#core/measure/figure'
import { showMoney } from '#core/measure/money'
import type { DoneWorkLine, Inspection, InspectedZone } from '#core/job/inspection'
import { kindOf, STOCK_QUANTITY } from '#core/materials/stock'
import type { Day } from '#core/measure/calendar'
import { oneDecimal } from './oneDecimal'
import { capital } from './capital'
import type { Paper, PaperBlock } from './paper'
import type { Reader } from './words'

export interface InspectionPaperOf {
  address: string
  firm: string
  today: Day
  /** Who reads it. */
  reader: Reader
  pictures: { src: string; says: string }[]
}

const percent = (share: number) => Math.round(share * 100)

function zonesTable({ zones }: Inspection, { today, reader: { t, text, days } }: InspectionPaperOf): PaperBlock {
  const share = (of: number) => `${percent(of)}%`
  const now = ({ cover }: InspectedZone) =>
    cover
      ? t('inspection.seenOn', { share: share(cover.share), day: days.shortDay(cover.seenOn, today) })
      : t('inspection.notMeasured')
  const counted = zones.some(({ count }) => count)
  const countOf = ({ count }: InspectedZone) =>
    count
      ? t('inspection.countOf', {
          mean: oneDecimal(count.interval.mean),
          frame: text(figure('depthMm', count.frameMm)),
          low: oneDecimal(count.interval.low),
          high: oneDecimal(count.interval.high),
        })
      : ''
  return {
    kind: 'table',
    name: t('inspection.zones'),
    head: [
      t('inspection.zone'),
      t('inspection.weeds'),
      t('inspection.before'),
      t('inspection.now'),
      ...(counted ? [t('inspection.count')] : []),
    ],
    rows: zones.map((zone) => [
      zone.name,
      share(zone.before.weeds + zone.before.coarse),
      share(zone.before.cover),
      now(zone),
      ...(counted ? [countOf(zone)] : []),
    ]),
    right: [1, 2],
  }
}

function promiseBlock(of: Inspection, { today, reader: { t, days } }: InspectionPaperOf): PaperBlock {
  const { promised, came, mowings, stands, sownOn } = of
  if (!promised) return { kind: 'text', text: t('inspection.notConfirmed') }
  const day = (on: Day | null) => (on ? days.shortDay(on, today) : '')
  const seen = (on: Day | null) => (on ? days.shortDay(on, today) : t('inspection.notRecorded'))
  return {
    kind: 'table',
    name: t('inspection.promised'),
    head: ['', t('inspection.told', { day: day(promised.on) }), t('inspection.came')],
    rows: [
      ...(promised.of100 === null
        ? []
        : [
            [
              t('inspection.odds'),
              String(promised.of100),
              t('inspection.oddsCame', { verdict: stands.verdict.replace(' ', '') }),
            ],
          ]),
      [t('inspection.sowing'), day(promised.sowOn), day(sownOn)],
      [t('inspection.green'), day(promised.upOn), seen(came.upOn)],
      [t('inspection.firstMow'), day(promised.firstMowOn), seen(came.firstMowOn)],
      [
        t('inspection.inUse'),
        day(promised.inUseOn),
        came.inUseOn ? day(came.inUseOn) : t('inspection.mowingsLeft', { done: mowings.done, of: mowings.of }),
      ],
      ...(promised.priceMinor === null
        ? []
        : [[t('inspection.price'), showMoney(promised.priceMinor, promised.currency), '']]),
    ],
  }
}

const usesOf = ({ uses }: DoneWorkLine, { tell, text }: Reader) =>
  uses
    .map(({ words, matter, amount }) => `${tell(words)}, ${text(figure(STOCK_QUANTITY[kindOf(matter)], amount))}`)
    .join('; ')

/** The page a client is given at the end of a job. */
export function inspectionPaper(inspection: Inspection, of: InspectionPaperOf): Paper {
  const { address, firm, today, reader, pictures } = of
  const { t, tell } = reader
  const shortDay = reader.days.shortDay
  const { stands, sownOn, on, done, next } = inspection
  const [sown, seen] = [shortDay(sownOn, today), shortDay(on, today)]
  return {
    title: t('inspection.titleOf'),
    blocks: [
      {
        kind: 'text',
        text: address
          ? t('inspection.about', { address, sown, on: seen })
          : t('inspection.aboutNoAddress', { sown, on: seen }),
      },
      {
        kind: 'text',
        as: 'strong',
        text: t('inspection.stands', {
          verdict: stands.verdict.replace(' ', ''),
          cover: percent(stands.cover ?? 0),
          before: percent(stands.coverBefore),
        }),
      },
      ...(pictures.length ? [{ kind: 'pictures' as const, pictures }] : []),
      { kind: 'heading', text: t('inspection.zones') },
      zonesTable(inspection, of),
      { kind: 'heading', text: t('inspection.promised') },
      promiseBlock(inspection, of),
      { kind: 'heading', text: t('inspection.done') },
      {
        kind: 'table',
        name: t('inspection.done'),
        head: [t('inspection.work'), t('inspection.day'), t('inspection.used')],
        rows: done.map((line) => [capital(tell(line.name)), shortDay(line.on, today), usesOf(line, reader)]),
      },
      { kind: 'heading', text: t('inspection.next') },
      {
        kind: 'list',
        items: next.map(({ text, from }) =>
          capital(from ? t('inspection.nextFrom', { step: tell(text), day: shortDay(from, today) }) : tell(text)),
        ),
      },
      ...(firm ? [{ kind: 'text' as const, text: t('inspection.call', { firm }) }] : []),
    ],
  }
}
