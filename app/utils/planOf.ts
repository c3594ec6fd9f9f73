import { surveyOf, type Lawn } from '#contract/lawn'
import { grassByCode } from '#core/grass/grasses'
import type { DailyWeather } from '#core/climate/weather'
import type { Glance } from '#core/establishment/outlook'
import { decide, type Decision } from '#core/programme/decide'
import { defaultSettings, type PlanSettings } from '#core/programme/plan'
import { buildSequence, type Sequence } from '#core/programme/sequence'
import type { Day } from '#core/quantity/calendar'

/** Settings of the plan, or those it would begin with. */
export function settingsOf(lawn: Lawn): PlanSettings {
  return lawn.plan.settings ?? defaultSettings(grassByCode(lawn.grass ?? 'TF'), lawn.desirableShare ?? 0.5)
}

export function decisionOf(lawn: Lawn, glance: Glance, today: Day): Decision | undefined {
  const survey = surveyOf(lawn)
  return survey && decide({ survey, applications: lawn.applications, today, windows: glance.windows, years: glance.years })
}

/** The dated sequence of a decided plan; undefined while something before it is missing. */
export function sequenceOf(lawn: Lawn, glance: Glance | null | undefined, today: Day, forecast: readonly DailyWeather[], sowOn = lawn.plan.sowOn): Sequence | undefined {
  const survey = surveyOf(lawn)
  if (!survey || !lawn.plan.programme || !sowOn) return undefined
  const sowing = glance?.sowing
  return buildSequence({
    survey, applications: lawn.applications, settings: settingsOf(lawn), sowOn, today, forecast,
    done: new Map(lawn.done.map(({ code, doneOn }) => [code, doneOn])),
    ...(sowing?.mow ? { firstMow: sowing.mow } : {}),
    ...(sowing && glance ? { soil: { expectedC: sowing.soilC, ...glance.band } } : {}),
  })
}
