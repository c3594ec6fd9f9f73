import { getRequestHeader, type H3Event } from 'h3'

const BROWSERS = [
  ['Edg/', 'Edge'],
  ['OPR/', 'Opera'],
  ['Firefox/', 'Firefox'],
  ['Chrome/', 'Chrome'],
  ['Safari/', 'Safari'],
] as const
const SYSTEMS = [
  ['iPhone', 'iPhone'],
  ['iPad', 'iPad'],
  ['Android', 'Android'],
  ['Windows', 'Windows'],
  ['Mac OS X', 'Mac'],
  ['CrOS', 'Chromebook'],
  ['Linux', 'Linux'],
] as const

/** What a browser calls itself, in words by which its owner knows it again: "Firefox on Windows". */
export function deviceOf(event: H3Event): string {
  const agent = (getRequestHeader(event, 'user-agent') ?? '').slice(0, 400)
  const of = (list: readonly (readonly [string, string])[]) => list.find(([mark]) => agent.includes(mark))?.[1]
  const [browser, system] = [of(BROWSERS), of(SYSTEMS)]
  return browser && system ? `${browser} on ${system}` : (browser ?? system ?? 'Unknown browser')
}
