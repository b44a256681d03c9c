/**
 * What a user changed of something, as a merge patch: the fields that differ, and what stood there.
 * The same rule as the core's: objects go in part by part, those of another `kind` and lists whole.
 */
import { KINDS } from '@/api/words'

export type Fields = Record<string, unknown>

export interface Patch {
  fields: Fields
  was: Fields
}

export const isObject = (value: unknown): value is Fields =>
  typeof value === 'object' && value !== null && !Array.isArray(value)

const apart: ReadonlySet<unknown> = new Set(KINDS)

/** Two objects of one kind: what the one leaves out stays as in the other. A `kind` that nothing is
 * told apart by is a field like others. */
const alike = (now: unknown, value: unknown): boolean =>
  isObject(now) &&
  isObject(value) &&
  (!('kind' in value) || now.kind === value.kind || !apart.has(value.kind))

/** Whatever order its fields have: ours are in another than the server's. What is null inside is as
 * good as not there. */
function equal(a: unknown, b: unknown): boolean {
  if (Array.isArray(a) && Array.isArray(b))
    return a.length === b.length && a.every((one, i) => equal(one, b[i]))
  if (!isObject(a) || !isObject(b)) return a === b
  return Object.keys({ ...a, ...b }).every((key) => equal(a[key] ?? null, b[key] ?? null))
}

/** The way from one to the other; null where there is none to go. */
export function patchOf(before: object, after: object): Patch | null {
  const [was, now] = [before as Fields, after as Fields]
  const patch: Patch = { fields: {}, was: {} }
  for (const key of Object.keys(now)) {
    const [here, there] = [was[key], now[key]]
    if (there === undefined || equal(here, there)) continue
    if (alike(here, there)) {
      const inside = patchOf(here as Fields, there as Fields)
      if (!inside) continue // a part of it, as it stands
      patch.fields[key] = inside.fields
      patch.was[key] = inside.was
    } else {
      patch.fields[key] = there
      patch.was[key] = here ?? null
    }
  }
  return Object.keys(patch.fields).length ? patch : null
}

/** The same with fields put in. */
export function merged<T extends object>(row: T, fields: Fields): T {
  const now = { ...row } as Fields
  for (const [key, value] of Object.entries(fields))
    now[key] = alike(now[key], value) ? merged(now[key] as Fields, value as Fields) : value
  return now as T
}

/** Of a row, what a patch tells of; null where there is none. */
export function partOf(row: unknown, patch: Fields): Fields | null {
  if (!isObject(row)) return null
  return Object.fromEntries(
    Object.entries(patch).map(([key, one]) => [
      key,
      isObject(one) ? partOf(row[key], one) : (row[key] ?? null),
    ]),
  )
}

/** Something made over `from`, now that `to` stands there in its place: what it has of the one, it
 * has of the other, element by element where lists are as long. */
export function rebased(mine: unknown, from: unknown, to: unknown): unknown {
  if (equal(mine, from) || gone(mine, from, to)) return to ?? null
  return inside(mine, from, to, rebased)
}

/** The same for fields that were changed: only the rest of a list, which goes in whole, is of what
 * it was made over, and of what does not stand there, which is made anew. */
export function rebasedFields(mine: unknown, from: unknown, to: unknown): unknown {
  if (gone(mine, from, to)) return merged(from as Fields, mine as Fields)
  if (Array.isArray(mine)) return equal(mine, from) ? mine : rebased(mine, from, to)
  return inside(mine, from, to, rebasedFields)
}

/** A part of something that does not stand there. */
const gone = (mine: unknown, from: unknown, to: unknown): boolean =>
  isObject(mine) && isObject(from) && (to ?? null) === null

function inside(mine: unknown, from: unknown, to: unknown, part: typeof rebased): unknown {
  if (Array.isArray(mine) && Array.isArray(from) && Array.isArray(to))
    return mine.length === from.length && mine.length === to.length
      ? mine.map((one, i) => part(one, from[i], to[i]))
      : mine
  if (!isObject(mine) || !isObject(from) || !isObject(to) || !alike(from, to)) return mine
  return Object.fromEntries(
    Object.entries(mine).map(([key, one]) => [
      key,
      key in from ? part(one, from[key], to[key]) : one,
    ]),
  )
}

/** Parts of a row with fields put in, those alone that fields tell of: to be tried whole. */
export function withFields<T extends object>(row: T, fields: Fields): Partial<T> {
  const now = merged(row, fields)
  return Object.fromEntries(
    Object.keys(fields).map((key) => [key, now[key as keyof T]]),
  ) as Partial<T>
}
