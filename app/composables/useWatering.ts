import { addDays, daysBetween, type Day } from '#core/measure/calendar'
import { figure } from '#core/measure/figure'
import { showMoney } from '#core/measure/money'
import { L_PER_M3 } from '#core/measure/units'
import { phaseAt, type Ending, type PhasePlan, type WateringProgramme, type ZoneWatering } from '#core/water/programme'
import { oftenWords, runWords } from '~/utils/runWords'
import { HERE, type Reader } from '~/utils/words'

/** A watering programme in words, for the screen, or for who reads the paper. */
export function useWatering(
  given: () => { watering: WateringProgramme; sowOn: Day },
  reader: () => Reader = () => HERE,
) {
  const context = useContextStore()
  const t: Reader['t'] = (key, values) => reader().t(key, values)
  const text: Reader['text'] = (figure) => reader().text(figure)
  const dayOf = (days: number) => reader().days.shortDay(addDays(given().sowOn, Math.round(days)), context.today)
  const about = ({ early, middle, late }: Ending) =>
    t('water.aboutDay', { day: dayOf(middle), spread: Math.round((late - early) / 2) })
  const oftenOf = (phase: PhasePlan) => oftenWords(phase, reader())
  /** What water costs at the firm's planning price. */
  const costOf = (litres: number) =>
    showMoney(Math.round((litres / L_PER_M3) * context.firmRecord.planning.water), context.currency)
  const endsOf = ({ endedBy }: PhasePlan) =>
    endedBy === 'leaf'
      ? t('water.wetEnds', { leaf: text(figure('depthMm', 25)) })
      : endedBy === 'up'
        ? t('water.wetEndsUp')
        : endedBy === 'six weeks'
          ? t('water.wetEndsWeeks')
          : endedBy === 'mowing'
            ? t('water.seedlingEnds')
            : endedBy === 'fourth mowing'
              ? t('water.rootingEnds')
              : t('water.establishedEnds')
  const nameOf = ({ code }: PhasePlan) =>
    ({
      wet: t('water.wet'),
      seedling: t('water.seedling'),
      rooting: t('water.rooting'),
      established: t('water.established'),
    })[code]
  /** The phase that a day is in; before sowing the first. */
  const phaseOn = (day: Day): PhasePlan => phaseAt(given().watering, daysBetween(given().sowOn, day))
  const wet = computed(() => given().watering.phases[0]!)
  const worst = computed(() => given().watering.wet.find(({ id }) => id === given().watering.worst)!)
  return {
    nameOf,
    endsOf,
    phaseOn,
    dayOf,
    about,
    costOf,
    oftenOf,
    minutesOf: (run: ZoneWatering['run']) => runWords(run, reader()),
    wet,
    worst,
  }
}
