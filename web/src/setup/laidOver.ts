/** A setup with what the server has not confirmed yet: changes of fields, in the order they were made. */
import type { Place, Setup, SetupState, Thing, Trial } from '@/api/client'
import { ROWS, USUAL } from '@/api/words'
import { isObject, merged, patchOf, withFields, type Fields } from './patch'
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
  withRows(fields, (row, usual, at) => (isObject(found(setup, at)) ? row : { ...usual, ...row }))

/** The same fields where rows that were new are there by now: what is usual of a new one is not what
 * somebody wants of that. */
export const withoutUsual = (fields: Fields, was: Fields, now: unknown): Fields =>
  withRows(fields, (row, usual, at) =>
    found(was, at) === null && isObject(found(now, at)) ? (patchOf(usual, row)?.fields ?? {}) : row,
  )

type At = readonly [section: string, rows: string, key: string]
const found = (setup: unknown, at: At): unknown =>
  at.reduce((here: unknown, key) => (isObject(here) ? here[key] : undefined), setup)

/** Fields of sections, with those of each row that is an object changed. */
function withRows(fields: Fields, change: (row: Fields, usual: Fields, at: At) => Fields): Fields {
  const changed = { ...fields }
  for (const [section, part] of Object.entries(fields))
    for (const [rows, model] of Object.entries(rowsIn(section))) {
      const usual = (USUAL as Record<string, Fields>)[model ?? '']
      const there = isObject(part) ? part[rows] : null
      if (!usual || !isObject(there)) continue
      const now = Object.entries(there).map(([key, row]) => [
        key,
        isObject(row) ? change(row, usual, [section, rows, key]) : row,
      ])
      changed[section] = { ...(changed[section] as Fields), [rows]: Object.fromEntries(now) }
    }
  return changed
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
