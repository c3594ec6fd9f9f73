import type { Message } from '#core/explain/message'
import { saidBy, t, tell } from '~/utils/words'
import { outlineAreaM2, tapeOn, withSide, type PointM } from '#core/site/geometry'
import { joined, splitAlong } from '#core/site/overlay'
import { FEATURE_KINDS, featureProblem, outlineOf, type Feature, type FeatureKind } from '#core/site/sitePlan'
import { MOST_FEATURES } from '#contract/look'

const said = (problem: Message | undefined) => problem && tell(problem)

const MOST_UNDO = 60
type Shape = { points: PointM[]; holes: PointM[][] }

/** What is done to the drawing: every change can be undone, and nothing impossible is kept. */
export function usePlanEdit(zone: Ref<string | null>) {
  const survey = useSurveyHere()
  const { draft } = survey
  const selected = ref<string | null>(null)
  const message = ref('')
  const past = ref<string[]>([])

  function remember(): void {
    past.value.push(JSON.stringify([draft.features, draft.zones, draft.underlay]))
    if (past.value.length > MOST_UNDO) past.value.shift()
    message.value = ''
  }
  function undo(): void {
    const last = past.value.pop()
    if (!last) return
    const [features, zones, underlay] = JSON.parse(last) as [
      typeof draft.features,
      typeof draft.zones,
      typeof draft.underlay,
    ]
    draft.features = features
    draft.zones = zones
    draft.underlay = underlay
    selected.value = null
    message.value = ''
  }

  const blank = (kind: FeatureKind, shape: Shape, zoneId: string | null): Feature => ({
    kind,
    name: '',
    points: shape.points,
    holes: shape.holes,
    zoneId: kind === 'zone' ? zoneId : null,
    heightM: null,
    radiusM: null,
    depthMm: null,
    located: false,
  })

  /** @returns the id, or undefined where it cannot be kept; the reason is said */
  function put(feature: Feature): string | undefined {
    const problem =
      Object.keys(draft.features).length >= MOST_FEATURES
        ? t('plan.aPlanHoldsThings', { MOST_FEATURES })
        : said(featureProblem(feature))
    if (problem) {
      message.value = problem
      return undefined
    }
    const id = crypto.randomUUID()
    draft.features[id] = feature as (typeof draft.features)[string]
    return id
  }

  function add(kind: FeatureKind, shape: Shape): void {
    remember()
    let zoneId = zone.value
    if (kind === 'zone') {
      // An outline is of the zone that is chosen while that has none, and of a new one after that.
      const outlined = Object.values(draft.features).some((feature) => feature.zoneId === zoneId)
      const bare = Object.keys(draft.zones).find(
        (id) => !Object.values(draft.features).some((feature) => feature.zoneId === id),
      )
      if (!zoneId || outlined) zoneId = bare ?? survey.addZone() ?? null
      if (!zoneId) {
        message.value = t('plan.noMoreZonesCan')
        return
      }
    }
    const id = put(blank(kind, shape, zoneId))
    if (!id) return
    selected.value = id
    if (kind === 'zone' && zoneId) {
      draft.zones[zoneId]!.areaFrom = 'drawn'
      zone.value = zoneId
    }
  }
  function reshape(id: string, { points, holes }: Shape): void {
    const feature = draft.features[id]
    if (!feature) return
    const problem = said(featureProblem({ ...feature, points, holes }))
    remember()
    if (problem) message.value = t('plan.itStaysAsIt', { problem })
    else Object.assign(feature, { points, holes })
  }
  function remove(id: string): void {
    remember()
    Reflect.deleteProperty(draft.features, id)
    selected.value = null
    message.value = t('plan.takenOutUndoBrings')
  }

  function setSide(id: string, side: number, metres: number): void {
    const feature = draft.features[id]
    if (feature && metres > 0)
      reshape(id, { points: withSide(feature.points, side, metres), holes: feature.holes as PointM[][] })
  }

  /** Cuts a zone's outline in two; the smaller part becomes a zone of its own with the same answers. */
  function split(id: string, from: PointM, to: PointM): void {
    const feature = draft.features[id]
    if (!feature?.zoneId) return
    try {
      const { left, right } = splitAlong(outlineOf(feature), from, to)
      const area = (outlines: typeof left) => outlines.reduce((sum, outline) => sum + outlineAreaM2(outline), 0)
      const [large, small] = area(left) >= area(right) ? [left, right] : [right, left]
      remember()
      const zoneId = survey.addZone()
      if (!zoneId) {
        message.value = t('plan.noMoreZonesCan')
        return
      }
      const { name, order } = draft.zones[zoneId]!
      draft.zones[zoneId] = { ...structuredClone(toRaw(draft.zones[feature.zoneId]!)), name, order }
      Reflect.deleteProperty(draft.features, id)
      for (const { outer, holes } of large)
        put({ ...blank('zone', { points: [...outer], holes: holes.map((hole) => [...hole]) }, feature.zoneId) })
      for (const { outer, holes } of small)
        selected.value =
          put({ ...blank('zone', { points: [...outer], holes: holes.map((hole) => [...hole]) }, zoneId) }) ?? null
      zone.value = zoneId
    } catch (error) {
      message.value = saidBy(error)
    }
  }

  /** Takes another zone's outlines and ground into this one; that zone and its answers go. */
  function join(zoneId: string, other: string): void {
    remember()
    const mine = Object.entries(draft.features).filter(
      ([, feature]) => feature.zoneId === zoneId || feature.zoneId === other,
    )
    const outlines = joined(mine.map(([, feature]) => outlineOf(feature)))
    for (const [id] of mine) Reflect.deleteProperty(draft.features, id)
    for (const { outer, holes } of outlines)
      selected.value = put(blank('zone', { points: [...outer], holes: holes.map((hole) => [...hole]) }, zoneId)) ?? null
    survey.removeZone(other)
    zone.value = zoneId
    message.value = t('plan.joinedTheAnswersOf')
  }

  /** What is being laid out by tape and turn. */
  const taped = ref<PointM[]>([])
  function tape(alongM: number, turnDeg: number): void {
    const begun: PointM[] = taped.value.length ? taped.value : [[0, 0]]
    taped.value = [...begun, tapeOn(begun, alongM, turnDeg)]
  }
  function closeTape(kind: FeatureKind): void {
    const points = taped.value.map(([x, y]): PointM => [Math.round(x * 1000) / 1000, Math.round(y * 1000) / 1000])
    const [first, last] = [points[0], points.at(-1)]
    // A walk that comes back to its first corner says it twice.
    if (
      first &&
      last &&
      points.length > 3 &&
      FEATURE_KINDS[kind] === 'area' &&
      Math.hypot(first[0] - last[0], first[1] - last[1]) < 0.15
    )
      points.pop()
    add(kind, { points, holes: [] })
    if (!message.value) taped.value = []
  }
  return {
    selected,
    message,
    past,
    undo,
    add,
    put,
    remember,
    reshape,
    remove,
    setSide,
    split,
    join,
    taped,
    tape,
    closeTape,
  }
}
