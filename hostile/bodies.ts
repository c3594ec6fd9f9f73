import { ROUTES } from '#server/test/routes'
import type { Running } from '#server/test/running/process'
import { CASES, pathOf, type Case } from './cases'
import { mutations, ODD_BODIES } from './mutate'
import type { Report } from './report'
import { aFirm, type Firm } from './world'

/** Requests under way at once. */
const AT_ONCE = 6

/** Picks evenly so many of a list. */
const spread = <T>(all: readonly T[], most: number): readonly T[] =>
  all.length <= most ? all : Array.from({ length: most }, (_, i) => all[Math.floor((i * all.length) / most)]!)

let address = 0
/** A place of its own for each request, or the limits on tries would answer most of them. */
const somewhere = () => `10.${(address >> 14) & 127}.${(address >> 7) & 127}.${address++ & 127}`

function texts(of: Case, firm: Firm, most: number): string[] {
  const valid = of.valid!(firm)
  const made = [...mutations(valid, of.schema!)].map((body) => JSON.stringify(body) ?? '')
  // What ends a session or a firm's time ends the attack.
  return [...spread(made, most), ...ODD_BODIES]
}

/** Bodies, questions and paths as nobody sends them, through every route. @param most bodies a route */
export async function bodies(server: Running, report: Report, most: number): Promise<string> {
  let firm = await aFirm(server, 'Bodies')
  const queries = [
    '',
    '?x=1',
    '?first=-1',
    '?first=1e9',
    '?first=a&first=b',
    '?of=',
    `?of=${'a,'.repeat(900)}`,
    '?of[]=1&of[x]=2',
    '?__proto__[x]=1',
    '?small=2',
    '?mapping={',
    '?mapping=%00',
    '?depthMm=1e-310',
    '?depthMm=NaN',
    `?mapping=${encodeURIComponent('{"columns":{"day":0,"tmax":199,"tmin":1,"rain":2},"temperature":"C","rain":"mm","only":null}')}`,
    `?what=forecast&mapping=${'9'.repeat(5000)}`,
  ]
  const params = [
    '%00',
    '..',
    '%ff',
    "' or 1=1",
    '__proto__',
    '00000000-0000-0000-0000-000000000000',
    '𝕏',
    'x'.repeat(3000),
  ]
  let sent = 0
  const one = async (
    label: string,
    method: string,
    path: string,
    body: string | undefined,
    type: string,
  ): Promise<void> => {
    sent++
    const answer = await fetch(server.url + path, {
      method: method.toUpperCase(),
      redirect: 'manual',
      headers: {
        origin: server.url,
        cookie: firm.owner.cookie,
        'x-forwarded-for': somewhere(),
        'x-forwarded-proto': 'http',
        ...CASES[label]?.headers?.(firm),
        ...(body === undefined ? {} : { 'content-type': type }),
      },
      ...(body === undefined ? {} : { body }),
    }).then(
      async (response) => ({ status: response.status, text: await response.text() }),
      (error: Error) => ({ status: 0, text: error.message }),
    )
    report.heard(`${label} ${path === label ? '' : path.slice(0, 80)} ${(body ?? '').slice(0, 200)}`, answer.status)
  }
  for (const { method, path } of ROUTES) {
    const of = CASES[`${method} ${path}`]
    if (!of) continue
    // A firm of its own for what takes away, so that what follows finds its things.
    if (of.ends) firm = await aFirm(server, 'Bodies again')
    const label = `${method} ${path}`
    const jobs: (() => Promise<void>)[] = []
    const target = () => pathOf(path, of.params?.(firm))
    if (of.schema)
      for (const body of texts(of, firm, most)) jobs.push(() => one(label, method, target(), body, 'application/json'))
    for (const query of spread(queries, most))
      jobs.push(() =>
        one(
          label,
          method,
          target() + query,
          method === 'get' || method === 'delete'
            ? undefined
            : of.file
              ? 'date,high,low,rain\n2026-01-01,5,1,0\n'
              : '{}',
          of.file ?? 'application/json',
        ),
      )
    if (path.includes(':'))
      for (const param of spread(params, most))
        jobs.push(() =>
          one(
            label,
            method,
            path.replace(/:\w+/g, encodeURI(param).replace(/%25(00|ff)/g, '%$1')),
            method === 'get' || method === 'delete' ? undefined : '{}',
            of.file ?? 'application/json',
          ),
        )
    if (method !== 'get' && method !== 'delete')
      for (const type of ['text/plain', 'multipart/form-data', 'application/json; charset=utf-16', ''])
        jobs.push(() => one(label, method, target(), '{"a":1}', type))
    const left = [...jobs]
    await Promise.all(
      Array.from({ length: AT_ONCE }, async () => {
        for (let job = left.shift(); job; job = left.shift()) await job()
      }),
    )
    if (of.ends) firm = await aFirm(server, 'Bodies after')
  }
  // After all of it an honest firm still works.
  await aFirm(server, 'After the bodies')
  return `${sent} bodies, questions and paths that nobody sends; an honest firm signs up and works after them.`
}
