/**
 * What lies in something shut away, in a box or under a hatch: it shows as a count, until that or
 * something in it is selected.
 */
import type { Fitting, Place, Thing } from '@/api/client'
import { isLong } from './things'

interface Look {
  /** how many items lie in it */
  holds: number
  /** whether it, or what it stands in or on, is shut away */
  hidden: boolean
}

const thingUnder = (place: Place | undefined): number | null =>
  place?.on?.kind === 'thing' ? place.on.thing : null

/** How each item shows, where `selected` are looked into. */
export function looksInside(
  places: ReadonlyMap<number, Place>,
  things: Readonly<Record<string, Thing>>,
  fittings: readonly Fitting[],
  selected: readonly number[],
): (id: number) => Look {
  const hatches = new Set(fittings.filter((one) => one.kind === 'hatch').map((one) => one.name))
  const inside = new Map<number, number | string>()
  const holds = new Map<number | string, number>()
  for (const [id, { on }] of places) {
    if (!on || !('where' in on) || on.where !== 'in') continue
    let holder: number | string | null = null
    const box = on.kind === 'thing' ? things[String(on.thing)] : undefined
    const stands = box?.container?.opens === 'open' && isLong(things[String(id)]!)
    if (on.kind === 'thing' && !box?.holder && !stands) holder = on.thing
    else if (on.kind === 'fitting' && hatches.has(on.name)) holder = on.name
    if (holder === null) continue
    inside.set(id, holder)
    holds.set(holder, (holds.get(holder) ?? 0) + 1)
  }
  const open = new Set<number | string>(selected)
  for (const id of selected)
    for (let at: number | null = id; at !== null; at = thingUnder(places.get(at))) {
      const holder = inside.get(at)
      if (holder !== undefined) open.add(holder)
    }
  const hidden = (id: number): boolean => {
    for (let at: number | null = id; at !== null; at = thingUnder(places.get(at))) {
      const holder = inside.get(at)
      if (holder !== undefined && !open.has(holder)) return true
    }
    return false
  }
  return (id) => ({ holds: holds.get(id) ?? 0, hidden: hidden(id) })
}
