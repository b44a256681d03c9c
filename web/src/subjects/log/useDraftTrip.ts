/** A trip as it is being told: kept in the browser until the server has it, over reloads and without
 * a network. */
import { useLocalStorage } from '@vueuse/core'
import { computed, type Ref } from 'vue'
import type { Schemas } from '@/api/client'
import { today } from '@/kit/clock'

export type Entry = Schemas['TripEntry']
export type Mark = Schemas['Mark']
export type Pack = Schemas['PackUse']
export type Draft = Omit<Entry, 'hours'> & { hours: number | null }

export const NOTHING: Mark = {
  uses: null,
  out_of_reach: false,
  broke: false,
  wet: false,
  lost: false,
  note: '',
}

export function freshDraft(setup: Schemas['Setup']): Draft {
  return {
    on_day: today(),
    out_at: null,
    hours: null,
    where: '',
    water: setup.water,
    wind: null,
    water_temp_c: null,
    marks: {},
    packs: {},
    note: '',
  }
}

/** What was told of a trip, each item's mark whole. */
export function toldOf(trip: Schemas['KeptTrip']): Entry {
  const marks: Record<string, Mark> = {}
  for (const [id, { uses, out_of_reach, broke, wet, lost, note }] of Object.entries(trip.marks))
    marks[id] = { uses, out_of_reach, broke, wet, lost, note }
  const { on_day, out_at, hours, where, water, wind, water_temp_c, packs, note } = trip
  return { on_day, out_at, hours, where, water, wind, water_temp_c, marks, packs, note }
}
/** The marks of all that was aboard, as they are told by now. */
export const allMarks = (trip: Schemas['KeptTrip'], entry: Entry): Record<string, Mark> =>
  Object.fromEntries(Object.keys(trip.marks).map((id) => [id, entry.marks?.[id] ?? NOTHING]))

export function draftOf(trip: Schemas['KeptTrip']): Draft {
  const told = toldOf(trip)
  const said = Object.entries(told.marks ?? {}).filter(([, mark]) => says(mark))
  return { ...told, marks: Object.fromEntries(said) }
}

const says = (mark: Mark) => JSON.stringify(mark) !== JSON.stringify(NOTHING)
const without = <T>(rows: Record<string, T>, key: string): Record<string, T> =>
  Object.fromEntries(Object.entries(rows).filter(([name]) => name !== key))

// Written as it is typed, and beyond the life of a form: one that closes as it saves would not be.
const all = useLocalStorage<Record<string, Draft>>('neat-hull-trips-told', {}, { flush: 'sync' })

/** Of one setup, or of one trip that is there. */
export function useDraftTrip(key: Ref<string>, fresh: () => Draft) {
  const draft = computed(() => all.value[key.value] ?? fresh())
  const begun = computed(() => key.value in all.value)

  function set(fields: Partial<Draft>): void {
    all.value = { ...all.value, [key.value]: { ...draft.value, ...fields } }
  }
  function mark(id: string, fields: Partial<Mark>): void {
    const now = { ...NOTHING, ...draft.value.marks?.[id], ...fields }
    const others = without(draft.value.marks ?? {}, id)
    set({ marks: says(now) ? { ...others, [id]: now } : others })
  }
  function pack(id: string, fields: Partial<Pack>): void {
    const was = draft.value.packs?.[id] ?? { start_share: 1, left_share: null, went_dark: false }
    set({ packs: { ...draft.value.packs, [id]: { ...was, ...fields } } })
  }
  function drop(): void {
    all.value = without(all.value, key.value)
  }
  return { draft, begun, set, mark, pack, drop }
}
