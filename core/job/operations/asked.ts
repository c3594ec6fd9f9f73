import type { Gate } from '../../explain/judgement'
import type { Message } from '../../explain/message'
import { addDays, type Day } from '../../measure/calendar'
import type { Quantity } from '../../measure/figure'
import type { Part } from '../parts'
import type { GateInput } from './gateInput'

/** What is answered on the spot: yes or no, or a figure in its SI unit. */
export type VisitAnswer = boolean | number
export type VisitAnswers = Readonly<Record<string, VisitAnswer>>

/** Code of the question that tells how tall the leaves stand, mm: wherever it is asked, the answer moves the growth line. */
export const STANDING_LEAVES = 'height'

/** A question of a visit: what is reckoned with beside what is entered, and what the answer means. */
export interface VisitQuestion {
  /** Lower-case letters; by it a note overrides what the answer holds. */
  code: string
  asks: Message
  /** What is right, or what is reckoned with. */
  expects: (part: Part) => Message
  /** The condition in a phrase, as a gate names it. */
  condition: Message
  /** Bounds of a figure; yes or no where there is none. */
  figure?: { quantity: Quantity; least: number; most: number }
  /** Asked again on another day: a leaf that was dry yesterday tells nothing of today. */
  ofTheDay?: true
  /** Asked of the parts for which it holds; of all where nothing is said. */
  when?: (part: Part) => boolean
  judged: (answer: VisitAnswer, part: Part) => Gate
}

/** A question put for the ground of a task. */
export interface Asked extends Pick<VisitQuestion, 'code' | 'asks' | 'condition' | 'figure' | 'ofTheDay'> {
  expects: Message
  judged: (answer: VisitAnswer) => Gate
}

/** A visit as it was written down last. */
export interface VisitTold {
  seenOn: Day
  answers: VisitAnswers
}

type YesOrNo = Pick<VisitQuestion, 'code' | 'asks' | 'condition' | 'ofTheDay' | 'when'> & {
  expects: Message
  right: boolean
  /** What the other answer holds, or costs. */
  otherwise: Pick<Gate, 'state'> & { text: Message | ((part: Part) => Message) }
}

/** A question with yes and no for answers, one of which is right. */
export const yesOrNo = ({ right, expects, otherwise, ...question }: YesOrNo): VisitQuestion => ({
  ...question,
  expects: () => expects,
  judged: (answer, part) =>
    answer === right
      ? { state: 'met', text: question.condition }
      : {
          state: otherwise.state,
          text: typeof otherwise.text === 'function' ? otherwise.text(part) : otherwise.text,
        },
})

/** The questions of an operation for its ground, in their order. The largest part speaks for all. */
export const askedOf = (questions: readonly VisitQuestion[] | undefined, parts: readonly Part[]): Asked[] => {
  const [part] = parts
  if (!part) return []
  return (questions ?? [])
    .filter(({ when }) => when?.(part) ?? true)
    .map(({ code, asks, condition, expects, judged, figure, ofTheDay }) => ({
      code,
      asks,
      condition,
      ...(figure ? { figure } : {}),
      ...(ofTheDay ? { ofTheDay } : {}),
      expects: expects(part),
      judged: (answer) => {
        const gate = judged(answer, part)
        return gate.state === 'met' ? gate : { ...gate, code }
      },
    }))
}

/** Answers of questions that are asked there, each of its kind and inside its bounds; at least one of them. */
export function answersFit(questions: readonly VisitQuestion[] | undefined, answers: VisitAnswers): boolean {
  const given = Object.entries(answers)
  return (
    given.length > 0 &&
    given.every(([code, answer]) => {
      const question = questions?.find((one) => one.code === code)
      if (!question) return false
      if (typeof answer === 'boolean') return !question.figure
      return question.figure !== undefined && answer >= question.figure.least && answer <= question.figure.most
    })
  )
}

/** What was answered at the visit of a task; what nobody answered is seen on the day itself. */
export function visitGates(
  { visits, today }: Pick<GateInput, 'visits' | 'today'>,
  key: string,
  questions: readonly VisitQuestion[] | undefined,
  parts: readonly Part[],
): Gate[] {
  const told = visits?.get(key)
  return askedOf(questions, parts).map(({ code, condition, judged, ofTheDay }): Gate => {
    const answer = told?.answers[code]
    if (!told || answer === undefined || (ofTheDay && told.seenOn !== today))
      return { state: 'waiting', text: condition }
    const gate = judged(answer)
    return gate.state === 'hold' ? { ...gate, again: addDays(told.seenOn, 1) } : gate
  })
}
