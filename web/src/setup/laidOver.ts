/** A setup with what the server has not confirmed yet: changes of fields, in the order they were made. */
import type { Place, Setup, SetupState, Thing, Trial } from '@/api/client'
import { ROWS, USUAL } from '@/api/words'
import { isObject, merged, withFields, type Fields } from './patch'
import type { Edit, Held } from './outbox'

export function laidOver(state: SetupState, held: readonly Held[]): SetupState {
  const edits = held.flatMap((one) =>
    one.setup_id === state.setup_id && 'edits' in one.call ? one.call.edits : [],
  )
  return edits.length ? { ...state, setup: edits.reduce(edited, state.setup) } : state
}

function edited(setup: SetupState['setup'], edit: Edit): SetupState['setup'] {
  const fields = edit.fields as Fields | null
  if (edit.what === 'place') {
    const places = placesById(setup)
    const [key, now] = [Number(edit.id), places.get(Number(edit.id))]
    if (!fields) takeOff(places, key)
    else places.set(key, now ? merged(now, fields) : (fields as unknown as Place))
    return { ...setup, places: Object.fromEntries(places) }
  }
  if (!fields) return setup
  if (edit.what === 'thing') {
    const thing = (setup.things as Record<string, Thing>)[String(edit.id)]
    return thing
      ? { ...setup, things: { ...setup.things, [String(edit.id)]: merged(thing, fields) } }
      : setup
  }
  if (edit.what === 'setup') return withoutGone(merged(setup, fields), fields)
  return { ...setup, [edit.what]: merged(setup[edit.what], fields) }
}

/** The row of a setup that an edit is of. */
export function rowOf(setup: Setup, { what, id }: Edit): unknown {
  if (what === 'setup') return setup
  if (what === 'boat' || what === 'angler') return setup[what]
  return (what === 'thing' ? setup.things : setup.places)[String(id)]
}

/** Where a section keeps rows by key, and what model each is of. */
const rowsIn = (section: string) =>
  (ROWS as Record<string, Record<string, string | null>>)[section] ?? {}

/** Fields of sections; a row that is new among them is told whole, with what is usual of it. */
export const withWholeRows = (setup: Setup, fields: Fields): Fields =>
  Object.fromEntries(
    Object.entries(fields).map(([section, changed]) => [
      section,
      isObject(changed)
        ? wholeIn(section, (setup as unknown as Record<string, Fields>)[section], changed)
        : changed,
    ]),
  )

function wholeIn(section: string, here: Fields | undefined, changed: Fields): Fields {
  const now = { ...changed }
  for (const [rows, model] of Object.entries(rowsIn(section))) {
    const usual = (USUAL as Record<string, Fields>)[model ?? '']
    const there = changed[rows]
    if (!usual || !isObject(there)) continue
    const known = (here?.[rows] ?? {}) as Fields
    now[rows] = Object.fromEntries(
      Object.entries(there).map(([key, row]) => [
        key,
        isObject(row) && !(key in known) ? { ...usual, ...row } : row,
      ]),
    )
  }
  return now
}

/** Rows that a change made null are gone, as they will be when the server has confirmed it. */
function withoutGone<T extends object>(setup: T, fields: Fields): T {
  const now = { ...setup } as Record<string, Fields>
  for (const [section, changed] of Object.entries(fields))
    for (const rows of Object.keys(rowsIn(section))) {
      if (!(rows in (changed as Fields))) continue
      const left = Object.entries(now[section]![rows] as Fields).filter(([, row]) => row !== null)
      now[section] = { ...now[section], [rows]: Object.fromEntries(left) }
    }
  return now as T
}

export const placesById = (setup: SetupState['setup'] | undefined): Map<number, Place> =>
  new Map(Object.entries(setup?.places ?? {}).map(([id, place]) => [Number(id), place]))

/** Ashore goes a thing with all that stands on it. */
export function takeOff(all: Map<number, Place>, id: number): void {
  all.delete(id)
  for (const [held, place] of all)
    if (place.on?.kind === 'thing' && place.on.thing === id) takeOff(all, held)
}

/** What subjects keep in a setup, and a trial can change. */
type Section = Exclude<keyof Trial & keyof Setup, 'places'>

/** Sections with fields put in, those alone that fields tell of, each whole as a trial takes it. */
export const sectionsWith = (setup: Setup, fields: Fields): Partial<Pick<Setup, Section>> =>
  withFields<Pick<Setup, Section>>(setup, fields)
