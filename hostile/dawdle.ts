import { connect } from 'node:net'
import type { Running } from '#server/test/running/process'
import type { Report } from './report'
import { aFirm, pause } from './world'

/** Sends a beginning, then a byte a second. @returns seconds until the server ended it, and what it said */
function trickle(
  server: Running,
  head: string,
  drip: string,
  mostSeconds: number,
): Promise<{ seconds: number; said: string }> {
  const { hostname, port } = new URL(server.url)
  return new Promise((done) => {
    const began = performance.now()
    let said = ''
    const socket = connect(Number(port), hostname, () => {
      socket.write(head)
    })
    const dripping = setInterval(() => {
      socket.write(drip)
    }, 1000)
    const end = () => {
      clearInterval(dripping)
      clearTimeout(late)
      socket.destroy()
      done({ seconds: (performance.now() - began) / 1000, said })
    }
    const late = setTimeout(end, mostSeconds * 1000)
    socket
      .on('data', (bytes: Buffer) => {
        said += bytes.toString()
        if (/^HTTP\/1\.1 [45]\d\d/.test(said)) end()
      })
      .on('close', end)
      .on('error', end)
  })
}

/** Headers and bodies that come a byte a second, many at once, while others ask. */
export async function dawdle(server: Running, report: Report): Promise<string> {
  const { owner, station } = await aFirm(server, 'Dawdle')
  const { host } = new URL(server.url)
  const common = `Host: ${host}\r\nOrigin: ${server.url}\r\nCookie: ${owner.cookie}\r\nX-Forwarded-Proto: http\r\n`
  const kinds = [
    { what: 'headers', head: 'GET /api/context HTTP/1.1\r\n', drip: 'X-a: b\r\n' },
    {
      what: 'a body of JSON',
      head: `POST /api/lawns HTTP/1.1\r\n${common}Content-Type: application/json\r\nContent-Length: 5000\r\n\r\n{`,
      drip: ' ',
    },
    {
      what: 'a file',
      head: `POST /api/stations/${station.id}/import HTTP/1.1\r\n${common}Content-Type: text/csv\r\nTransfer-Encoding: chunked\r\n\r\n`,
      drip: '1\r\na\r\n',
    },
  ]
  const other = await aFirm(server, 'Beside the dawdlers')
  const beside = (async () => {
    await pause(4000)
    return other.owner.sendFile(
      server,
      `/api/stations/${other.station.id}/import`,
      'date,high,low,rain\n2026-01-01,5,1,0\n',
    )
  })()
  const cut = await Promise.all(
    kinds.flatMap(({ what, head, drip }) =>
      Array.from({ length: 20 }, async () => ({ what, ...(await trickle(server, head, drip, 45)) })),
    ),
  )
  for (const { what, seconds, said } of cut)
    report.expect(`${what} that dawdled was cut after ${seconds.toFixed(1)} s: ${said.slice(0, 40)}`, seconds < 40)
  // Who dawdles with files keeps no other firm from sending one.
  report.heard('a file of another firm beside the dawdlers', (await beside).status)
  report.heard('an honest request beside the dawdlers', (await owner.ask(server, 'GET', '/api/context')).status)
  const longest = Math.max(...cut.map(({ seconds }) => seconds))
  return `60 connections that dawdled, all cut, the last after ${longest.toFixed(0)} s.`
}
