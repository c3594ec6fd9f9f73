import { closed, type Bounds, type Lag } from './network'

/** Something that wants a day. */
export interface Activity {
  name: string
  /** Day numbers between which it is looked for. */
  from: number
  to: number
  /** What a day costs it, 0 or more. */
  cost: (day: number) => number
  /** Somebody has to go there: a visit, which others of the same day share. */
  visit: boolean
}

export interface Problem {
  activities: readonly Activity[]
  lags: readonly Lag[]
  bounds: Bounds
  /** Cost of each day on which somebody goes there. */
  visitCost: number
  /** Steps of the search after which the best found so far is taken. */
  mostSteps?: number
}

export interface Laid {
  days: Map<string, number>
  cost: number
  /** False where the search was cut short: there may be something a little better. */
  exact: boolean
}

/** Tasks whose days hang together: one day decides all. */
interface Group {
  /** The activities and how many days after the group's own day each lies. */
  members: { activity: Activity; after: number }[]
  node: number
  from: number
  /** Cost of each day from `from` on. */
  costs: Float64Array
  /** Days after the group's own on which somebody has to be there. */
  visits: number[]
}

/** Plans that are cut short here are those of thousands of steps, found within three hundred of them. @source own */
const MOST_STEPS = 1200

/** Tasks that lags bind to each other to the day are one. */
function groupsOf({ activities }: Problem, distance: Float64Array, size: number): Group[] {
  const groups: Group[] = []
  activities.forEach((activity, i) => {
    const node = i + 1
    const together = groups.find(
      (group) => distance[group.node * size + node]! + distance[node * size + group.node]! === 0,
    )
    if (together) together.members.push({ activity, after: distance[together.node * size + node]! })
    else groups.push({ members: [{ activity, after: 0 }], node, from: 0, costs: new Float64Array(), visits: [] })
  })
  for (const group of groups) {
    const { members, node } = group
    const from = Math.max(-distance[node * size]!, ...members.map(({ activity, after }) => activity.from - after))
    const to = Math.min(distance[node]!, ...members.map(({ activity, after }) => activity.to - after))
    group.from = from
    group.costs = Float64Array.from({ length: Math.max(0, to - from + 1) }, (_, d) =>
      members.reduce((sum, { activity, after }) => sum + activity.cost(from + d + after), 0),
    )
    group.visits = [...new Set(members.filter(({ activity }) => activity.visit).map(({ after }) => after))]
  }
  return groups
}

/**
 * The bounds of a problem with the days between which each activity is looked for. They are part of the network, since only
 * in a network that knows every limit can any day of a span be completed: beside it, a search may find no plan for hours.
 */
function withWindows({ activities, bounds }: Problem): Bounds {
  const [notBefore, notAfter] = [new Map(bounds.notBefore), new Map(bounds.notAfter)]
  for (const { name, from, to } of activities) {
    notBefore.set(name, Math.max(from, notBefore.get(name) ?? from))
    notAfter.set(name, Math.min(to, notAfter.get(name) ?? to))
  }
  return { ...bounds, notBefore, notAfter }
}

/**
 * Days for all activities at the least cost: what each day costs each activity, and each visit once for all that share it.
 * Branch and bound over the closed network, where any day within a span can be completed to a whole plan; groups that
 * can neither share a visit nor are bound by a lag are laid by themselves.
 * @returns undefined where the lags and the days of the activities leave no plan
 * @source own: branch and bound over the network of Dechter, Meiri & Pearl 1991
 */
export function layOut(problem: Problem): Laid | undefined {
  const names = problem.activities.map(({ name }) => name)
  const { distance, size, possible } = closed(names, problem.lags, withWindows(problem))
  if (!possible) return undefined
  const groups = groupsOf(problem, distance, size)
  if (groups.some(({ costs }) => !costs.length)) return undefined
  const days = new Map<string, number>()
  let cost = 0
  let exact = true
  const budget = { steps: problem.mostSteps ?? MOST_STEPS }
  for (const part of separate(groups, distance, size)) {
    const laid = search(part, distance, size, problem.visitCost, budget)
    if (!laid) return undefined
    cost += laid.cost
    exact &&= laid.exact
    part.forEach(({ members }, g) => {
      for (const { activity, after } of members) days.set(activity.name, laid.days[g]! + after)
    })
  }
  return { days, cost, exact }
}

/** Whether one's day says anything about the other's, beyond what is known of both already. */
function bound(a: Group, b: Group, distance: Float64Array, size: number): boolean {
  const [lastA, lastB] = [a.from + a.costs.length - 1, b.from + b.costs.length - 1]
  return lastB - a.from > distance[a.node * size + b.node]! || lastA - b.from > distance[b.node * size + a.node]!
}

const mayMeet = (a: Group, b: Group): boolean =>
  a.visits.some((va) =>
    b.visits.some(
      (vb) => a.from + va <= b.from + b.costs.length - 1 + vb && b.from + vb <= a.from + a.costs.length - 1 + va,
    ),
  )

/** Groups that have nothing to do with each other, apart. */
function separate(groups: readonly Group[], distance: Float64Array, size: number): Group[][] {
  const parts: Group[][] = []
  for (const group of groups) {
    const near = parts.filter((part) =>
      part.some((other) => bound(group, other, distance, size) || mayMeet(group, other)),
    )
    parts.splice(0, parts.length, ...parts.filter((part) => !near.includes(part)), [...near.flat(), group])
  }
  return parts
}

interface Found {
  days: number[]
  cost: number
  exact: boolean
}

function search(
  groups: readonly Group[],
  distance: Float64Array,
  size: number,
  visitCost: number,
  budget: { steps: number },
): Found | undefined {
  const n = groups.length
  const placed = new Int32Array(n)
  const isPlaced = new Uint8Array(n)
  // Days by their place between the first and the last that any group can reach.
  const firstDay = Math.min(...groups.map(({ from, visits }) => from + Math.min(0, ...visits)))
  const days =
    Math.max(...groups.map(({ from, costs, visits }) => from + costs.length + Math.max(0, ...visits))) - firstDay
  /** Visits placed on each day. */
  const used = new Int32Array(days)
  /** How many groups could share a visit on each day, at each depth of the search. */
  const sharing = Array.from({ length: n + 1 }, () => new Int32Array(days))
  const counted = new Int32Array(days)
  let count = 0
  let best: Found | undefined
  let cut = false

  /** Days still open to a group, by what is placed. */
  const range = (g: number): [number, number] => {
    const { node, from, costs } = groups[g]!
    let [low, high] = [from, from + costs.length - 1]
    for (let p = 0; p < n; p++) {
      if (!isPlaced[p]) continue
      const other = groups[p]!.node
      low = Math.max(low, placed[p]! - distance[node * size + other]!)
      high = Math.min(high, placed[p]! + distance[other * size + node]!)
    }
    return [low, high]
  }
  const newVisits = (g: number, day: number): number => {
    let fresh = 0
    for (const after of groups[g]!.visits) if (!used[day + after - firstDay]) fresh++
    return fresh
  }

  const open = (cost: number, left: number): void => {
    if (left === 0) {
      if (!best || cost < best.cost - 1e-9) best = { days: Array.from(placed), cost, exact: true }
      return
    }
    if (budget.steps-- <= 0 && best) {
      cut = true
      return
    }
    const ranges: ([number, number] | undefined)[] = []
    // How many groups could share a visit on a day: none of them has to bear more than its share of it.
    const sharers = sharing[left]!.fill(0)
    for (let g = 0; g < n; g++) {
      if (isPlaced[g]) continue
      const [low, high] = range(g)
      // By the closed network this cannot be; a search that went on from here could do so for hours.
      if (low > high) throw new Error('No day is left to an activity within its span.')
      ranges[g] = [low, high]
      // A group counts once on a day, however many of its members could be there.
      count++
      for (const after of groups[g]!.visits) {
        for (let at = low + after - firstDay; at <= high + after - firstDay; at++) {
          if (counted[at] === count) continue
          counted[at] = count
          sharers[at]!++
        }
      }
    }
    let least = cost
    // The same without any visit: what the others cost whatever is done next.
    let plain = 0
    const plains = new Float64Array(n)
    let next = -1
    let fewest = Number.POSITIVE_INFINITY
    for (let g = 0; g < n; g++) {
      const own = ranges[g]
      if (!own) continue
      const { from, costs, visits } = groups[g]!
      let floor = Number.POSITIVE_INFINITY
      plains[g] = Number.POSITIVE_INFINITY
      for (let day = own[0]; day <= own[1]; day++) {
        let sum = costs[day - from]!
        if (sum < plains[g]!) plains[g] = sum
        for (const after of visits)
          if (!used[day + after - firstDay]) sum += visitCost / sharers[day + after - firstDay]!
        if (sum < floor) floor = sum
      }
      least += floor
      plain += plains[g]!
      if (own[1] - own[0] < fewest) [fewest, next] = [own[1] - own[0], g]
    }
    if (best && least >= best.cost - 1e-9) return
    const [low, high] = ranges[next]!
    const { from, costs, visits } = groups[next]!
    const choices: { day: number; cost: number }[] = []
    for (let day = low; day <= high; day++)
      choices.push({ day, cost: costs[day - from]! + visitCost * newVisits(next, day) })
    choices.sort((a, b) => a.cost - b.cost)
    isPlaced[next] = 1
    for (const choice of choices) {
      if (best && cost + choice.cost + plain - plains[next]! >= best.cost - 1e-9) break
      placed[next] = choice.day
      for (const after of visits) used[choice.day + after - firstDay]!++
      open(cost + choice.cost, left - 1)
      for (const after of visits) used[choice.day + after - firstDay]!--
    }
    isPlaced[next] = 0
  }
  open(0, n)
  return best && { ...best, exact: !cut }
}
