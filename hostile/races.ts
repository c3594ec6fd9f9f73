import { randomUUID } from 'node:crypto'
import type { LinkMade, SecondFactorProposed } from '#contract/firm'
import type { Lawn } from '#contract/lawn'
import type { Station } from '#contract/station'
import type { StockItem } from '#contract/stock'
import { codesOf } from '#server/test/totp'
import { Visitor, type Heard, type Running } from '#server/test/running/process'
import type { Report } from './report'
import { aFirm, aPhoto, PASSWORD, TODAY } from './world'

const place = { latDeg: 38, lonDeg: -9, heightM: null, coastal: false }

/** Many at once on everything there may be one of, through two servers by turns. @param many how many at once */
export async function races(servers: readonly [Running, Running], report: Report, many: number): Promise<string> {
  const [one] = servers
  let races = 0
  /** Sends them together, by turns to the two servers. @returns how many were taken */
  const together = async <T>(
    what: string,
    send: (server: Running, i: number) => Promise<Heard<T>>,
    taken: number | null,
    n = many,
    patient = false,
  ): Promise<Heard<T>[]> => {
    races++
    const heard = await Promise.all(Array.from({ length: n }, (_, i) => send(servers[i % 2]!, i)))
    for (const { status } of heard) report.heard(what, status === 503 && patient ? 429 : status)
    const good = heard.filter(({ status }) => status === 200).length
    if (taken !== null)
      report.expect(
        `${what}: ${good} of ${n} were taken, ${taken} wanted; ${JSON.stringify(heard.map(({ status }) => status))}`,
        good === taken,
      )
    return heard
  }
  const firm = await aFirm(one, 'Races')
  const { owner, technician, lawn, stock } = firm
  const get = async <T>(path: string) => (await owner.ask<T>(one, 'GET', path)).body

  const email = `${randomUUID()}@example.org`
  await together(
    'one address signs up',
    (server, i) =>
      new Visitor().ask(server, 'POST', '/api/door/sign-up', {
        firmName: `R${i}`,
        units: 'us',
        currency: 'USD',
        timeZone: 'UTC',
        name: 'R',
        email: i % 2 ? email.toUpperCase() : email,
        password: PASSWORD,
      }),
    1,
    6,
  )
  const { secret } = (
    await owner.ask<LinkMade>(one, 'POST', '/api/people/links', { kind: 'invitation', role: 'technician' })
  ).body
  await together(
    'one invitation is used',
    (server) =>
      new Visitor().ask(server, 'POST', '/api/door/join', {
        secret,
        name: 'J',
        email: `${randomUUID()}@example.org`,
        password: PASSWORD,
      }),
    1,
    6,
  )

  const bare = new Visitor()
  await bare.ask(one, 'POST', '/api/door/sign-up', {
    firmName: 'Bare',
    units: 'us',
    currency: 'USD',
    timeZone: 'UTC',
    name: 'B',
    email: `${randomUUID()}@example.org`,
    password: PASSWORD,
  })
  await together(
    'the first stations are added',
    (server, i) => bare.ask(server, 'POST', '/api/stations', { name: `First ${i}`, ...place }),
    many,
  )
  const stations = (await bare.ask<Station[]>(one, 'GET', '/api/stations')).body
  report.expect('one of the first stations is home', stations.filter(({ home }) => home).length === 1)
  await together(
    'home is moved to each',
    (server, i) => bare.ask(server, 'PUT', `/api/stations/${stations[i]!.id}`, { ...stations[i], home: true }),
    many,
  )
  report.expect(
    'one station is home after',
    (await bare.ask<Station[]>(one, 'GET', '/api/stations')).body.filter(({ home }) => home).length === 1,
  )
  await together(
    'all are called the same',
    (server, i) =>
      bare.ask(server, 'PUT', `/api/stations/${stations[i]!.id}`, {
        ...stations[i],
        version: 2,
        name: 'Same',
        home: false,
      }),
    1,
  )
  await together(
    'one station is added by many',
    (server) => bare.ask(server, 'POST', '/api/stations', { name: 'Only', ...place }),
    1,
  )

  const id = randomUUID()
  await together(
    'one lawn is added by many clicks',
    (server) =>
      owner.ask(server, 'POST', '/api/lawns', {
        id,
        client: 'Once',
        address: '',
        areaM2: 50,
        areaTyped: '',
        growsNow: '',
      }),
    many,
  )
  report.expect('it is there once', (await get<Lawn[]>('/api/lawns')).filter((each) => each.id === id).length === 1)
  const now = await get<Lawn>(`/api/lawns/${lawn.id}`)
  await together(
    'one survey is saved by many',
    (server, i) => owner.ask(server, 'PUT', `/api/lawns/${lawn.id}`, { ...now, address: `by ${i}` }),
    1,
  )
  await together(
    'one plan is saved by many',
    (server, i) =>
      (i % 2 ? owner : technician).ask(server, 'PUT', `/api/lawns/${lawn.id}/jobs/${lawn.job.id}/plan`, {
        ...now.plan,
        programme: 'overseed',
        overruleNote: `by ${i}`,
      }),
    1,
  )

  const mark = { id: randomUUID(), task: 'dethatch', doneOn: TODAY, used: { [stock.id]: 1 } }
  await together(
    'one mark is clicked many times',
    (server) => owner.ask(server, 'POST', `/api/lawns/${lawn.id}/jobs/${lawn.job.id}/marks`, mark),
    many,
  )
  const tenth = () => ({ id: randomUUID(), task: 'level', doneOn: TODAY, share: 0.1, used: { [stock.id]: 0.5 } })
  const parts = await together<Lawn>(
    'two people mark tenths of one task',
    (server, i) =>
      (i % 2 ? owner : technician).ask<Lawn>(
        server,
        'POST',
        `/api/lawns/${lawn.id}/jobs/${lawn.job.id}/marks`,
        tenth(),
      ),
    Math.min(10, many),
  )
  const marked = (await get<Lawn>(`/api/lawns/${lawn.id}`)).done.filter(({ key }) => key === 'level')
  report.expect(
    'their tenths add up to what was acknowledged',
    marked.length === parts.filter(({ status }) => status === 200).length,
  )
  await together(
    'whole tasks are marked by many',
    (server) =>
      owner.ask(server, 'POST', `/api/lawns/${lawn.id}/jobs/${lawn.job.id}/marks`, {
        id: randomUUID(),
        task: 'core',
        doneOn: TODAY,
      }),
    1,
  )
  const used = 1 + marked.length * 0.5
  const onHand = async () => (await get<StockItem[]>('/api/stock'))[0]!.onHand
  report.expect('the shed has what is left', Math.abs((await onHand()) - (40 - used)) < 1e-9)
  await together(
    'one mark is taken back by many',
    (server) => owner.ask(server, 'DELETE', `/api/lawns/${lawn.id}/jobs/${lawn.job.id}/marks/${mark.id}`),
    many,
  )
  report.expect('it is given back once', Math.abs((await onHand()) - (41 - used)) < 1e-9)

  const moves = Array.from({ length: many }, () => randomUUID())
  await together(
    'seed comes in by many',
    (server, i) =>
      owner.ask(server, 'POST', `/api/stock/${stock.id}/moves`, {
        id: moves[i >> 1],
        why: 'came',
        day: TODAY,
        amount: 2,
        note: '',
      }),
    many,
  )
  report.expect('each came in once', Math.abs((await onHand()) - (41 - used + 2 * Math.ceil(many / 2))) < 1e-9)
  await together(
    'many count one line',
    (server) =>
      owner.ask(server, 'POST', `/api/stock/${stock.id}/moves`, {
        id: randomUUID(),
        why: 'counted',
        day: TODAY,
        amount: 7,
        note: '',
      }),
    many,
  )
  report.expect('it says what was counted', (await onHand()) === 7)
  await together(
    'one line is renamed by many',
    (server, i) => owner.ask(server, 'PUT', `/api/stock/${stock.id}`, { version: 1, name: `N${i}`, putAway: false }),
    1,
  )
  const line = randomUUID()
  await together(
    'one line is added by many',
    (server) =>
      owner.ask(server, 'POST', '/api/stock', { id: line, matter: 'seed TF 100', name: 'L', day: TODAY, amount: 3 }),
    many,
  )

  const { id: photoId, ...picture } = aPhoto()
  await together(
    'one photo is sent many times',
    (server) => owner.ask(server, 'POST', `/api/lawns/${lawn.id}/photos`, { id: photoId, ...picture }),
    many,
  )
  const { firm: settings } = await get<{ firm: object }>('/api/context')
  await together(
    'settings are saved by many',
    (server, i) => owner.ask(server, 'PUT', '/api/firm', { ...settings, name: `Races ${i}` }),
    1,
  )

  const days = (reversed: boolean, rain: number) => {
    const rows = Array.from(
      { length: 3000 },
      (_, i) => `${new Date(Date.UTC(2012, 0, 1 + i)).toISOString().slice(0, 10)},20,10,${rain}`,
    )
    return `date,high,low,rain\n${(reversed ? rows.reverse() : rows).join('\n')}`
  }
  const mapping = JSON.stringify({
    columns: { day: 0, tmax: 1, tmin: 2, rain: 3 },
    temperature: 'C',
    rain: 'mm',
    only: null,
  })
  await together(
    'the same days are imported in opposite order',
    (server, i) =>
      owner.sendFile(server, `/api/stations/${firm.station.id}/import`, days(i % 2 > 0, i % 3), { mapping }),
    null,
    6,
    true,
  )

  const proposed = (await owner.ask<SecondFactorProposed>(one, 'POST', '/api/me/second-factor', { current: PASSWORD }))
    .body
  const code = codesOf(proposed.secret)
  const confirmed = await together<{ codes: string[] }>(
    'a second factor is confirmed by many',
    (server) => owner.ask<{ codes: string[] }>(server, 'PUT', '/api/me/second-factor', { code: code(0) }),
    1,
    4,
  )
  const { codes } = confirmed.find(({ status }) => status === 200)!.body
  const signIn = (server: Running, with_: string) =>
    new Visitor().ask(server, 'POST', '/api/door/sign-in', { email: firm.email, password: PASSWORD, code: with_ })
  await together('one code is used by many', (server) => signIn(server, code(1)), 1, 4)
  await together('one recovery code is used by many', (server) => signIn(server, codes[0]!), 1, 4)

  const second = await aFirm(one, 'Owners')
  const { secret: asOwner } = (
    await second.owner.ask<LinkMade>(one, 'POST', '/api/people/links', { kind: 'invitation', role: 'owner' })
  ).body
  const ida = new Visitor()
  await ida.ask(one, 'POST', '/api/door/join', {
    secret: asOwner,
    name: 'Ida',
    email: `${randomUUID()}@example.org`,
    password: PASSWORD,
  })
  const people = (await second.owner.ask<{ id: string; role: string }[]>(one, 'GET', '/api/people')).body.filter(
    ({ role }) => role === 'owner',
  )
  await together(
    'two owners let each other go',
    (server, i) =>
      [second.owner, ida][i]!.ask(server, 'PUT', `/api/people/${people[i]!.id}`, { role: 'owner', active: false }),
    null,
    2,
  )
  return `${races} races of up to ${many} at once over two servers.`
}
