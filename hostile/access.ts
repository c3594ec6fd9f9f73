import { ROUTES } from '#server/test/routes'
import { owner } from '#server/test/database'
import { Visitor, type Running } from '#server/test/running/process'
import { CASES, pathOf } from './cases'
import type { Report } from './report'
import { aFirm, type Firm } from './world'

const LABEL = (method: string, path: string) => `${method} ${path}`
const sample = (route: { method: string; path: string }, firm: Firm): unknown =>
  CASES[LABEL(route.method, route.path)]?.valid?.(firm)

/** Everything a firm has, as one sum. */
async function everythingOf(firm: Firm): Promise<Map<string, string>> {
  const [row] = await owner<{ id: string }>(`select firm_id as id from people where email = $1`, [firm.email])
  const tables = await owner<{ name: string }>(
    `select table_name as name from information_schema.columns
      where table_schema = 'public' and column_name = 'firm_id' and table_name not in ('sessions', 'kept_outlooks', 'kept_outlines')`,
  )
  const sums = await Promise.all(
    tables.map(async ({ name }): Promise<[string, string]> => [
      name,
      JSON.stringify(
        await owner(`select md5(string_agg(t::text, '|' order by t::text)) as sum from ${name} t where firm_id = $1`, [
          row!.id,
        ]),
      ),
    ]),
  )
  return new Map(sums)
}

/** Tables of a firm that are not as they were. */
const changedSince = (before: ReadonlyMap<string, string>, now: ReadonlyMap<string, string>): string[] =>
  [...now].flatMap(([name, sum]) => (before.get(name) === sum ? [] : [name]))

/** Everything of a firm once nothing moves any more: what its own last visit set going may still be written down. */
async function settled(firm: Firm): Promise<Map<string, string>> {
  let before = await everythingOf(firm)
  for (let quiet = 0; quiet < 2;) {
    await new Promise((resolve) => setTimeout(resolve, 500))
    const now = await everythingOf(firm)
    quiet = changedSince(before, now).length ? 0 : quiet + 1
    before = now
  }
  return before
}

async function send(
  server: Running,
  who: Visitor,
  method: string,
  path: string,
  body: unknown,
  headers: Record<string, string> = {},
): Promise<{ status: number; text: string }> {
  const type = CASES[LABEL(method, path)]?.file
  const sends = method !== 'get' && method !== 'delete'
  const response = await fetch(server.url + path, {
    method: method.toUpperCase(),
    redirect: 'manual',
    headers: {
      ...who.proxied,
      origin: server.url,
      cookie: who.cookie,
      ...(sends ? { 'content-type': type ?? 'application/json' } : {}),
      ...headers,
    },
    ...(sends ? { body: type ? 'a,b\n' : JSON.stringify(body ?? {}) } : {}),
  })
  return { status: response.status, text: await response.text() }
}

/** Every route there is, asked by who has no business there. */
export async function access(server: Running, report: Report): Promise<string> {
  const ours = await aFirm(server, 'Ours')
  const theirs = await aFirm(server, 'Theirs', 'their-secret-word')
  const before = await settled(theirs)
  const nobody = new Visitor()
  for (const route of ROUTES) {
    const label = LABEL(route.method, route.path)
    const of = CASES[label]
    if (!of) {
      report.wrong.push(`${label} has no case in hostile/cases.ts: a route that nobody attacks`)
      continue
    }
    const ask = async (who: Visitor, things: Firm, headers: Record<string, string> = {}) => {
      const answer = await send(
        server,
        who,
        route.method,
        pathOf(route.path, of.params?.(things)),
        sample(route, things),
        headers,
      )
      report.heard(label, answer.status)
      return answer
    }
    if (!of.open) {
      const { status, text } = await ask(nobody, theirs)
      if (status !== 401 || text.includes('their-secret-word'))
        report.leaked.push(`${label} answers ${status} to nobody`)
      const forged = new Visitor()
      forged.cookie = `upper-sill=Fe26.2*1*${'a'.repeat(64)}*${'b'.repeat(22)}*${'c'.repeat(200)}*${Date.now() + 1e9}*${'d'.repeat(64)}*${'e'.repeat(43)}~2`
      const lied = await ask(forged, theirs)
      if (lied.status !== 401) report.leaked.push(`${label} answers ${lied.status} to a forged cookie`)
    }
    if (of.byKey) {
      for (const who of [ours.owner, ours.technician]) {
        const { status } = await ask(who, ours, { authorization: `Bearer ${'a'.repeat(43)}` })
        if (status !== 401 && status !== 429)
          report.leaked.push(`${label} answers ${status} to a cookie and a made-up key`)
      }
      continue
    }
    if (of.params && !of.open) {
      const { status, text } = await ask(ours.owner, theirs)
      // One's own sessions and links are told by their firm; others' are not there, or taking them away again is no
      // error.
      if (text.includes('their-secret-word') || (status === 200 && !/me\/sessions|marks\/:mark/.test(route.path)))
        report.leaked.push(`${label} of another firm answers ${status}`)
    }
    if (of.ownerOnly) {
      const { status } = await ask(ours.technician, ours)
      if (status !== 403) report.leaked.push(`${label} answers ${status} to a technician`)
    }
    if (route.method === 'get' && !of.params) {
      const { text } = await ask(ours.owner, ours)
      if (text.includes('their-secret-word')) report.leaked.push(`${label} shows another firm's words`)
    }
    if (route.method !== 'get') {
      for (const origin of [
        'https://elsewhere.example',
        server.url.replace('http:', 'https:'),
        server.url.replace(/\d+$/, '1'),
        'null',
        '',
      ]) {
        const { status } = await ask(ours.owner, ours, { origin })
        if (status !== 403) report.leaked.push(`${label} takes a write from ${origin || 'no page'}: ${status}`)
      }
    }
    const { status, text } = await send(server, ours.owner, 'patch', pathOf(route.path, of.params?.(ours)), {})
    report.heard(`patch ${route.path}`, status)
    if (status !== 405 || text.includes('<html')) report.wrong.push(`PATCH ${route.path} answers ${status}`)
  }
  for (const path of [
    '/api/nothing',
    '/api/%00',
    '/api/lawns/%2e%2e',
    '/api//lawns',
    '/api/lawns/' + 'x'.repeat(4000),
  ]) {
    const { status, text } = await send(server, ours.owner, 'get', path, undefined)
    report.heard(path, status)
    if (status === 200 && text.includes('<html')) report.wrong.push(`${path} answers with the page`)
  }
  const changed = changedSince(before, await everythingOf(theirs))
  if (changed.length) report.leaked.push(`something of another firm was changed: ${changed.join(', ')}`)
  return `${ROUTES.length} routes asked by nobody, with a forged cookie, for another firm's things, as technician, from other sites and by a wrong method.`
}
