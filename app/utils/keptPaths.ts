/** What is asked of the server and kept on the device: who is at work, the list, and all that a lawn's views show. */
const KEPT =
  /^\/api\/(context|lawns|outlines|sill|lawns\/[^/]+(\/(sill|photos|jobs\/[^/]+\/(emergence|record|versions)))?)$/

/** The path of a question with its query in order; undefined for what is not kept. */
export function keptPath(request: string, query: Readonly<Record<string, unknown>> = {}): string | undefined {
  const [path, own = ''] = request.split('?', 2) as [string, string?]
  if (!KEPT.test(path)) return undefined
  const all = new URLSearchParams(own)
  for (const [name, value] of Object.entries(query))
    if (value !== undefined && value !== null) all.set(name, String(value))
  all.sort()
  return all.size ? `${path}?${all}` : path
}

interface JobKnown {
  id: string
  number: number
  endedOn: string | null
}

/** The job a lawn opens with: its oldest open one, else its latest. */
const opensWith = (jobs: readonly JobKnown[]): string | undefined => {
  const open = jobs.filter(({ endedOn }) => !endedOn)
  const inOrder = (open.length ? open : jobs).toSorted((a, b) => a.number - b.number)
  return (open.length ? inOrder[0] : inOrder.at(-1))?.id
}

/** Paths under which a lawn that a save answered with is asked for later. */
export function pathsOfLawn(answer: unknown): string[] {
  const lawn = answer as { id?: unknown; zones?: unknown; job?: { id?: unknown }; jobs?: JobKnown[] } | null
  if (typeof lawn?.id !== 'string' || typeof lawn.job?.id !== 'string' || !lawn.zones) return []
  const path = `/api/lawns/${lawn.id}`
  const ofJob = `${path}?job=${lawn.job.id}`
  return opensWith(lawn.jobs ?? []) === lawn.job.id ? [path, ofJob] : [ofJob]
}
