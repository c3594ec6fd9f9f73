import { lookSchema, MOST_ZONES, notYet, type Look } from '#contract/look'
import type { Lawn } from '#contract/lawn'
import { questionsLeft, type OpenQuestion } from '#core/site/questions'
import { NEW_ZONE, type ZoneMeasure } from '#core/site/zone'
import { areaInForce } from '#core/site/measure'
import { fieldName } from '~/utils/fieldWords'
import type { Versioned } from '~/utils/edits'
import { fieldsOf } from '~/utils/api'

/** What of a lawn is edited in Look, and nothing else of it. */
export const lookFields = (lawn: Look): Look => lookSchema.parse(lawn)

type Measured = Omit<Look, 'typedAs'>
function measuredFields(look: Measured): Measured {
  const { typedAs: _typed, ...fields } = lookSchema.parse(look)
  return fields
}

export type Survey = ReturnType<typeof useSurvey>
const SURVEY: InjectionKey<Survey> = Symbol('survey')

/** The survey that the questions of this page are part of. */
export function useSurveyHere(): Survey {
  const survey = inject(SURVEY)
  if (!survey) throw new Error(t('look.questionsStandInsideOf'))
  return survey
}

/** Half-answered surveys, kept while other pages are looked at. */
const drafts = new Map<string, { version: number; draft: Look }>()

/** A survey being answered: a draft, what is wrong in it, and its saving. */
export function useSurvey(lawn: Lawn) {
  const store = useLawnsStore()
  const sill = useSillStore()
  const context = useContextStore()
  const left = drafts.get(lawn.id)
  const draft = reactive<Look>(left?.version === lawn.version ? left.draft : structuredClone(lookFields(lawn)))
  const opened = JSON.stringify(lookFields(lawn))
  const dirty = computed(() => JSON.stringify(draft) !== opened)
  watch(
    draft,
    () => {
      if (dirty.value) drafts.set(lawn.id, { version: lawn.version, draft: structuredClone(toRaw(draft)) as Look })
      else drafts.delete(lawn.id)
    },
    { deep: true },
  )

  const errors = ref<Record<string, string>>({})
  /** Fields whose text could not be read, by a name of their own; what was typed stands in them. */
  const unread = reactive(new Map<string, string>())
  const message = ref('')
  const {
    busy,
    problem,
    clash,
    save: saveMerging,
    settleClash,
  } = useMergingSave<Measured & Versioned>(
    // How something was typed is nothing to be of two minds about.
    (look) => store.saveLook(lawn.id, { ...look, typedAs: { ...draft.typedAs } }),
    measuredFields,
    (path) => fieldName(path, draft),
  )

  /** What follows from the drawing: its areas at once, its sun a moment later. */
  const { byZone: drawnSun } = useDrawnSun(draft, lawn)
  const measured = computed<Record<string, ZoneMeasure>>(() =>
    Object.fromEntries(
      Object.entries(draft.zones).map(([id, zone]) => [
        id,
        { areaM2: areaInForce(zone, id, draft.features), sunByMonthH: drawnSun.value[id] ?? null },
      ]),
    ),
  )
  const missing = computed<OpenQuestion[]>(() => questionsLeft(draft, measured.value))

  function tell(fields: Record<string, string>): void {
    errors.value = { ...fields }
    message.value = Object.keys(fields).length || unread.size ? t('look.nothingIsSavedYet') : ''
  }

  /** @returns true when it is saved */
  async function save(): Promise<boolean> {
    const parsed = lookSchema.safeParse(draft)
    const early = parsed.success ? notYet(parsed.data, context.today) : {}
    tell(parsed.success ? early : fieldsOf(parsed.error))
    if (!parsed.success || unread.size || Object.keys(early).length) return false
    if (await saveMerging(lawn, { ...parsed.data, version: lawn.version })) return kept()
    if (problem.value) {
      tell(problem.value.fields)
      message.value = problem.value.message
    }
    return false
  }
  async function settled(takeTheirs: Set<string>): Promise<boolean> {
    if (await settleClash(takeTheirs)) return kept()
    message.value = problem.value?.message ?? ''
    return false
  }
  function kept(): true {
    drafts.delete(lawn.id)
    message.value = ''
    // Nobody waits for the season: it follows on the page that comes next.
    void sill.show(lawn.id)
    return true
  }
  function forget(): void {
    drafts.delete(lawn.id)
    Object.assign(draft, structuredClone(lookFields(lawn)))
    unread.clear()
    tell({})
  }

  function addZone(name = ''): string | undefined {
    const count = Object.keys(draft.zones).length
    if (count >= MOST_ZONES) return undefined
    const id = crypto.randomUUID()
    draft.zones[id] = {
      ...structuredClone(NEW_ZONE),
      name: name || t('look.zone2', { count: count + 1 }),
      order: Math.max(0, ...Object.values(draft.zones).map(({ order }) => order)) + 1,
    }
    return id
  }
  /** Takes a zone and its outlines out; the last one stays. */
  function removeZone(id: string): void {
    if (Object.keys(draft.zones).length < 2) return
    for (const [key, feature] of Object.entries(draft.features))
      if (feature.zoneId === id) Reflect.deleteProperty(draft.features, key)
    Reflect.deleteProperty(draft.zones, id)
  }

  const survey = {
    lawn,
    draft,
    dirty,
    errors,
    unread,
    message,
    busy,
    clash,
    measured,
    missing,
    save,
    settled,
    forget,
    addZone,
    removeZone,
  }
  provide(SURVEY, survey)
  return survey
}
