import type { Running, Stall } from '#server/test/running/process'

/** Wanted of a single request, ms. */
const MOST_BY_ONE_MS = 100

/** What the attacks came to. */
export class Report {
  probes = 0
  /** Answers of kind 500 that nobody provoked by killing something, and requests that got no answer. */
  readonly serverErrors: string[] = []
  /** Acknowledged and no longer there. */
  readonly lost: string[] = []
  /** Seen by who may not. */
  readonly leaked: string[] = []
  /** Anything else that is not as it should be. */
  readonly wrong: string[] = []
  mostMemoryMb = 0
  /** Of the server's own thread: in the storm, and while a single request was answered. */
  /** As the monitor of perf_hooks has it, time in which the attacker had the processor included. */
  longestWithWaitMs = 0
  longestStallMs = { storm: 0, one: 0, oneBy: '' }
  readonly sections: { name: string; probes: number; seconds: number; says: string }[] = []

  async section(name: string, work: () => Promise<string>): Promise<void> {
    const [before, began] = [this.probes, performance.now()]
    let says: string
    try {
      says = await work()
    } catch (error) {
      says = 'broke off'
      this.wrong.push(`${name} broke off: ${(error as Error).stack ?? String(error)}`)
    }
    const seconds = (performance.now() - began) / 1000
    this.sections.push({ name, probes: this.probes - before, seconds, says })
    console.log(`  ${name}: ${this.probes - before} probes in ${seconds.toFixed(1)} s. ${says}`)
  }

  /** Counts an answer. @returns its status */
  heard(what: string, status: number): number {
    this.probes++
    if (status >= 500 || status === 0) this.serverErrors.push(`${status} ${what}`)
    return status
  }

  expect(what: string, holds: boolean): void {
    this.probes++
    if (!holds) this.wrong.push(what)
  }

  stall(of: 'storm' | 'one', { stallMs, ownMs }: Stall, by = ''): void {
    this.longestWithWaitMs = Math.max(this.longestWithWaitMs, stallMs)
    if (ownMs <= this.longestStallMs[of]) return
    this.longestStallMs[of] = ownMs
    if (of === 'one') this.longestStallMs.oneBy = by
  }

  /**
   * Sends one request by itself and takes down how long it held the server's thread. Over the bound it is sent once more:
   * what it does itself comes again, a moment in which the machine stood still does not.
   */
  async alone<T>(server: Running, what: string, send: () => Promise<T>): Promise<T> {
    await server.stall()
    const heard = await send()
    let stall = await server.stall()
    if (stall.ownMs >= MOST_BY_ONE_MS) {
      await send()
      const again = await server.stall()
      if (again.ownMs < stall.ownMs) stall = again
    }
    this.stall('one', stall, what)
    return heard
  }

  /**
   * Wanted: nothing of kind 500, lost, leaked or wrong; less than 400 MB; 200 ms in the storm, 100 ms by any one request.
   * @param timed whether time and memory are judged: a test that runs on any machine only prints them
   */
  failures(timed: boolean): string[] {
    const { serverErrors, lost, leaked, wrong, mostMemoryMb, longestStallMs } = this
    return [
      ...serverErrors.map((one) => `5xx: ${one}`),
      ...lost.map((one) => `lost: ${one}`),
      ...leaked.map((one) => `leaked: ${one}`),
      ...wrong,
      ...(!timed
        ? []
        : [
            ...(mostMemoryMb >= 400 ? [`memory: ${mostMemoryMb} MB`] : []),
            ...(longestStallMs.storm >= 200 ? [`stall in the storm: ${longestStallMs.storm} ms`] : []),
            ...(longestStallMs.one >= MOST_BY_ONE_MS
              ? [`stall by one request: ${longestStallMs.one} ms, ${longestStallMs.oneBy}`]
              : []),
          ]),
    ]
  }

  get summary(): string {
    const {
      probes,
      serverErrors,
      lost,
      leaked,
      wrong,
      mostMemoryMb,
      longestStallMs: { storm, one, oneBy },
    } = this
    return [
      `probes ${probes}, 5xx ${serverErrors.length}, lost ${lost.length}, leaked ${leaked.length}, otherwise wrong ${wrong.length}`,
      `most memory ${Math.round(mostMemoryMb)} MB, longest stall ${Math.round(storm)} ms in the storm, ${Math.round(one)} ms by one request${oneBy ? ` (${oneBy})` : ''}; with waits for a processor ${Math.round(this.longestWithWaitMs)} ms`,
    ].join('\n')
  }
}
