import { surveyOf, type Lawn } from '#contract/lawn'
import { grassByCode } from '#core/grass/grasses'
import type { DailyWeather } from '#core/climate/weather'
import type { Glance } from '#core/establishment/outlook'
import { decide, type Decision } from '#core/programme/decide'
import { defaultSettings, type PlanSettings } from '#core/programme/plan'
import { buildSequence, type Sequence } from '#core/programme/sequence'
import type { Schools } from '#core/programme/schools'
import type { Day } from '#core/quantity/calendar'

/** What the firm holds, on which days it works, and which day it is. */
export interface Practice {
  today: Day
  schools: Schools
  workingDays: readonly number[]
}

/** Settings of the plan, or those it would begin with. */
export function settingsOf(lawn: Lawn, { schools }: Pick<Practice, 'schools'>): PlanSettings {
  return lawn.plan.settings ?? defaultSettings(grassByCode(lawn.grass ?? 'TF'), lawn.desirableShare ?? 0.5, schools)
}

export function decisionOf(lawn: Lawn, glance: Glance, { today }: Practice): Decision | undefined {
  const survey = surveyOf(lawn)
  return survey && decide({ survey, applications: lawn.applications, today, windows: glance.windows, years: glance.years })
}

/** The dated sequence of a decided plan; undefined while something before it is missing. */
export function sequenceOf(lawn: Lawn, glance: Glance | null | undefined, practice: Practice, forecast: readonly DailyWeather[], sowOn = lawn.plan.sowOn): Sequence | undefined {
  const survey = surveyOf(lawn)
  if (!survey || !lawn.plan.programme || !sowOn) return undefined
  const sowing = glance?.sowing
  return buildSequence({
    survey, applications: lawn.applications, settings: settingsOf(lawn, practice), sowOn, today: practice.today, workingDays: practice.workingDays, forecast,
    done: new Map(lawn.done.map(({ code, doneOn }) => [code, doneOn])),
    ...(sowing?.mow ? { firstMow: sowing.mow } : {}),
    ...(sowing && glance ? { soil: { expectedC: sowing.soilC, ...glance.band } } : {}),
  })
}
