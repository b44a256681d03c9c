/** Where a thing goes when it is put, nudged, mirrored or turned; places in, places out. */
import type { Place, Target, Thing } from '@/api/client'
import { BOAT, into, type Frame } from './stands'

/** To the millimetre: finer than anyone drills. */
export const tidy = (m: number): number => Math.round(m * 1000) / 1000

const wrap = (deg: number) => ((((deg + 180) % 360) + 360) % 360) - 180

/** A thing that was never aboard: level, along the boat, a rod with its tip up a little. */
export function blankPlace(thing: Thing): Place {
  return {
    x_m: 0,
    y_m: 0,
    z_m: null,
    turn_deg: 0,
    tilt_deg: thing.shape === 'rod' ? 12 : 0,
    on: null,
    bury_m: 0,
    order: 0,
    locked: false,
    group: 0,
  }
}

/** Within a hand's breadth of the hull; further out nothing can be fixed. */
export function withinReachOf(place: Place, bow_x_m: number): Place {
  if (place.on) return place
  return {
    ...place,
    x_m: clamp(place.x_m, -0.4, bow_x_m + 0.4),
    y_m: clamp(place.y_m, -0.9, 0.9),
  }
}

const clamp = (v: number, low: number, high: number) => Math.min(high, Math.max(low, v))

const HAIR_M = 0.0005

/** A place at boat coordinates (x, y), on what it is on and no further than that lets it slide. */
export function placedAt(
  place: Place,
  frame: Frame,
  slide: readonly [number, number] | null | undefined,
  x_m: number,
  y_m: number,
): Place {
  const [x, y] = into(place.on ? frame : BOAT, x_m, y_m)
  const [far, wide] = place.on && slide ? slide : [Infinity, Infinity]
  const out = Math.max(Math.abs(x) - far, Math.abs(y) - wide) > HAIR_M
  // A well has walls but no grip: beyond them a thing stands on the deck.
  if (place.on?.kind === 'well' && out)
    return { ...place, on: null, x_m: tidy(x_m), y_m: tidy(y_m) }
  return { ...place, x_m: tidy(clamp(x, -far, far)), y_m: tidy(clamp(y, -wide, wide)) }
}

/** What a pointer at boat coordinates would put a thing on: the smallest target there. */
export function targetAt(targets: Target[], x_m: number, y_m: number): Target | null {
  let best: Target | null = null
  const area = (one: Target) => one.extent_m[0] * one.extent_m[1]
  for (const one of targets) {
    if (!byPointer(one)) continue
    const [x, y] = into(frameOf(one), x_m, y_m)
    // A pole reaches one way from its butt; all else both ways from the middle.
    const inside = Math.abs(x) <= one.extent_m[0] && Math.abs(y) <= one.extent_m[1]
    if (inside && (!best || area(one) < area(best))) best = one
  }
  return best
}

/** Under the seat and on top of things one gets by name; a pointer means the deck there. */
export const byPointer = ({ on }: Target): boolean =>
  on.kind === 'fitting' || on.kind === 'well' || (on.kind === 'thing' && on.where === 'in')

export const frameOf = (one: Target): Frame => [one.x_m, one.y_m, one.turn_deg]

interface Press {
  key: string
  shiftKey: boolean
  altKey: boolean
}

/** How far a key moves a thing on the boat, in m to bow and to port; null for other keys. */
export function stepOf({ key, shiftKey, altKey }: Press): [number, number] | null {
  const step = shiftKey ? 0.05 : altKey ? 0.001 : 0.01
  const steps: Record<string, [number, number]> = {
    ArrowLeft: [step, 0],
    ArrowRight: [-step, 0],
    ArrowUp: [0, -step],
    ArrowDown: [0, step],
  }
  return steps[key] ?? null
}

/** Turned by 15°, to starboard with Shift; null for other keys. */
export function turnedByKey({ key, shiftKey }: Press, place: Place): Place | null {
  if (key.toLowerCase() !== 'r') return null
  return { ...place, turn_deg: wrap(place.turn_deg + (shiftKey ? -15 : 15)) }
}
