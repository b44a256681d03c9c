/** What somebody who starts has told so far, kept until it is a setup; and what it comes to. */
import { useDebounceFn, useLocalStorage } from '@vueuse/core'
import { computed, ref, watch } from 'vue'
import {
  api,
  ask,
  askStarted,
  Offline,
  Refusal,
  type Problem,
  type Schemas,
  type Started,
} from '@/api/client'
import { useAsked } from '@/kit/useAsked'
import { useSetup } from '@/setup/useSetup'
import { STEPS } from './measures'

export type Way = 'measure' | 'label'
export type Part = 'greeting' | 'boat' | 'you' | 'gear'
type First = Schemas['FirstMeasures']
export type KitItem = Schemas['KitItem']
export type TripKind = KitItem['trips'][number]

/** As typed: null where nobody has measured or weighed. */
export interface Told {
  way: Way
  part: Part
  boat_name: string
  sit_in: boolean
  pedals: boolean
  measures: Record<string, number | null>
  bottom: First['bottom']
  chine: First['chine']
  hull_evidence: First['hull_evidence']
  angler_name: string
  angler_evidence: First['angler_evidence']
  water: First['water']
  trip: TripKind
  /** how many of each, where that is not what most take on such a trip */
  counts: Record<string, number>
}

const nothing = (): Told => ({
  way: 'measure',
  part: 'greeting',
  boat_name: '',
  sit_in: false,
  pedals: false,
  measures: {},
  bottom: null,
  chine: null,
  hull_evidence: 'label',
  angler_name: '',
  angler_evidence: 'weighed',
  water: 'fresh',
  trip: 'pond',
  counts: {},
})

/** What most use to move the boat; the trip says nothing of it. */
const goesWith = (item: KitItem, told: Told): boolean =>
  item.goes === 'drive' ? told.pedals : item.trips.includes(told.trip)

export function useStart() {
  const store = useSetup()
  const told = useLocalStorage<Told>('neat-hull-start', nothing(), { mergeDefaults: true })
  const kit = ref<KitItem[]>([])
  const asked = useAsked<Started>()
  const refused = ref<Problem | null>(null)
  const trouble = ref('')

  const countOf = (item: KitItem): number =>
    told.value.counts[item.thing.name] ?? Number(goesWith(item, told.value))
  function setCount(item: KitItem, count: number): void {
    told.value.counts = { ...told.value.counts, [item.thing.name]: count }
  }

  function tickNone(): void {
    told.value.counts = Object.fromEntries(kit.value.map((item) => [item.thing.name, 0]))
  }

  const known = computed(
    () => told.value.measures.length_m != null && told.value.measures.beam_m != null,
  )
  /** The question as the core wants it; null before there is a length and a beam. */
  const first = computed<First | null>(() => {
    const { measures, part, boat_name, angler_name } = told.value
    const { length_m, beam_m, seat_from_bow_m, ...rest } = measures
    if (length_m == null || beam_m == null) return null
    const taken = part === 'gear' ? kit.value : []
    return {
      ...rest,
      length_m,
      beam_m,
      seat_x_m: seat_from_bow_m == null ? null : length_m - seat_from_bow_m,
      setup_name: 'First setup',
      boat_name: boat_name.trim() || 'My boat',
      angler_name: angler_name.trim() || 'Me',
      sit_in: told.value.sit_in,
      pedals: told.value.pedals,
      bottom: told.value.bottom,
      chine: told.value.chine,
      hull_evidence: told.value.hull_evidence,
      angler_evidence: told.value.angler_evidence,
      water: told.value.water,
      kit: taken.flatMap((item) => Array<string>(countOf(item)).fill(item.thing.name)),
    }
  })
  const look = useDebounceFn((body: First) => {
    void asked.put(() => askStarted(api.POST('/api/v1/start/preview', { body })))
  }, 120)
  watch(
    first,
    (body, before) => {
      if (!body) asked.forget()
      else if (JSON.stringify(body) !== JSON.stringify(before)) void look(body)
    },
    { immediate: true },
  )

  /** What stands beside a field: what was refused of the figures so far, or of the start. */
  const problem = computed(() => refused.value ?? asked.refusal.value?.problem ?? null)
  const wrong = (field: string): string => {
    const named = field === 'seat_from_bow_m' ? 'seat.x_m' : field
    const at = (one: string) => one === named || one.endsWith(`.${named}`)
    return problem.value?.fields.find((one) => at(one.field))?.why ?? ''
  }
  const fieldsShown = computed(() => new Set(STEPS.map((step) => step.field)))
  /** What was refused and stands beside no field. */
  const rest = computed(() => {
    if (trouble.value) return trouble.value
    if (!problem.value) return asked.trouble.value
    const shown = problem.value.fields.some((one) =>
      fieldsShown.value.has(one.field.split('.').at(-1) ?? ''),
    )
    return shown ? '' : (problem.value.fields[0]?.why ?? problem.value.detail)
  })

  async function loadKit(): Promise<void> {
    if (!kit.value.length) kit.value = await ask(api.GET('/api/v1/start/kit'))
  }
  async function tried(act: () => Promise<void>): Promise<boolean> {
    refused.value = null
    trouble.value = ''
    try {
      await act()
      return true
    } catch (error) {
      if (error instanceof Refusal) refused.value = error.problem
      else if (error instanceof Offline)
        trouble.value = 'The server cannot be reached; nothing you typed is lost. Try again.'
      else throw error
      return false
    }
  }
  /** Keep it as a setup; true where it was. */
  const finish = () =>
    tried(async () => {
      if (!first.value) return
      await store.start(first.value)
      told.value = nothing()
    })
  const openDemo = () =>
    tried(async () => {
      await store.open((await ask(api.POST('/api/v1/start/demo'))).setup_id)
    })

  return {
    told, kit, known, answer: asked.answer, rest, wrong,
    countOf, setCount, tickNone, loadKit, tried, finish, openDemo,
  } // prettier-ignore
}
