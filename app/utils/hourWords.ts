import { HERE, type Reader } from './words'

/** An hour of the day as the clock of a reader says it: "6 AM", "06:00", "6 a. m.". */
export const hourIn = ({ language }: Pick<Reader, 'language'>, hour: number): string =>
  new Date(2000, 0, 1, hour).toLocaleTimeString(language === 'es' ? 'es-US' : language, {
    hour: 'numeric',
    ...(language === 'en-GB' ? { minute: '2-digit' } : {}),
  })
export const hourWords = (hour: number): string => hourIn(HERE, hour)

/** Hours as they are typed, "5-10, 17-20"; undefined where they cannot be read. */
export function readHours(typed: string): [from: number, to: number][] | undefined {
  const parts = typed.split(/[,;]/).map((part) => part.trim())
  const ranges = parts.filter(Boolean).map((part) => /^(\d{1,2})(?::00)?\s*(?:-|–|to)\s*(\d{1,2})(?::00)?$/.exec(part))
  if (ranges.length > 3 || ranges.includes(null)) return undefined
  const hours = ranges.map((range): [number, number] => [Number(range![1]), Number(range![2])])
  return hours.every(([from, to]) => from < to && to <= 24) ? hours : undefined
}
