import { connect } from 'node:net'
import type { Running } from '#server/test/running/process'
import type { Report } from './report'
import { aFirm, pause } from './world'

/** Files begun and left: the places they took are free again at once. */
async function leavers(server: Running, report: Report): Promise<void> {
  const { owner, station } = await aFirm(server, 'Leavers')
  const { host, hostname, port } = new URL(server.url)
  const head = `POST /api/stations/${station.id}/readings-file HTTP/1.1\r\nHost: ${host}\r\nOrigin: ${server.url}\r\nCookie: ${owner.cookie}\r\nX-Forwarded-Proto: http\r\nContent-Type: text/csv\r\nContent-Length: 3000000\r\n\r\n`
  for (let i = 0; i < 20; i++)
    await new Promise<void>((left) => {
      const socket = connect(Number(port), hostname, () => {
        socket.write(`${head}${'x'.repeat(1000)}`)
        setTimeout(() => {
          socket.destroy()
          left()
        }, 20)
      })
      socket.on('error', left)
    })
  await pause(200)
  const file = 'time,depth_mm,temp_c\n2026-01-02 06:40,50,8\n'
  const { status } = await owner.sendFile(server, `/api/stations/${station.id}/readings-file`, file)
  report.heard('a file after twenty that were left', status)
  report.expect(`a file after twenty that were left is taken: ${status}`, status === 200)
}

/** Some thousand requests of one session, down hundreds of connections without waiting for an answer. */
async function flood(server: Running, report: Report): Promise<number> {
  const { owner, lawn } = await aFirm(server, 'Flood')
  const other = await aFirm(server, 'Beside the flood')
  const { host, hostname, port } = new URL(server.url)
  const one = `GET /api/lawns/${lawn.id} HTTP/1.1\r\nHost: ${host}\r\nCookie: ${owner.cookie}\r\n\r\n`
  const asked = async (): Promise<[status: number, ms: number]> => {
    const began = performance.now()
    const { status } = await other.owner.ask(server, 'GET', '/api/context')
    return [status, performance.now() - began]
  }
  const quiet: number[] = []
  for (let i = 0; i < 20; i++) quiet.push((await asked())[1])
  const alone = quiet.sort((a, b) => a - b)[10]!
  let refused = 0
  const sockets = Array.from({ length: 300 }, () => {
    const socket = connect(Number(port), hostname)
    socket.on('error', () => undefined)
    socket.on('data', (bytes: Buffer) => {
      if (bytes.toString('latin1').startsWith('HTTP/1.1 429')) refused++
    })
    socket.write(one.repeat(20))
    return socket
  })
  await pause(50)
  const [status, waitedMs] = await asked()
  report.heard('an honest request beside a flood', status)
  await pause(500)
  report.expect(`of a flood of 6,000 ${refused} are told to wait`, refused > 0)
  for (const socket of sockets) socket.destroy()
  return waitedMs / alone
}

/** Who leaves in the middle, and who asks for thousands of things at once. */
export async function crowds(server: Running, report: Report): Promise<string> {
  await leavers(server, report)
  const times = await flood(server, report)
  return `twenty files begun and left; beside a flood of 6,000 requests another firm waited ${times.toFixed(0)} times as long.`
}
