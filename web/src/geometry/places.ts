/** Where a thing goes when it is put, nudged, mirrored or turned; places in, places out. */
import type { Place, Thing } from '@/api/client'

/** To the millimetre: finer than anyone drills. */
export const tidy = (m: number): number => Math.round(m * 1000) / 1000

const wrap = (deg: number) => ((((deg + 180) % 360) + 360) % 360) - 180

/** A thing that was never aboard: level, along the boat, a rod with its tip up a little. */
export function blankPlace(thing: Thing): Place {
  const rod = thing.shape === 'rod'
  return { x_m: 0, y_m: 0, z_m: null, turn_deg: 0, tilt_deg: rod ? 12 : 0 }
}

/** Within a hand's breadth of the hull; further out nothing can be fixed. */
export function withinReachOf(place: Place, bow_x_m: number): Place {
  const clamp = (v: number, low: number, high: number) => Math.min(high, Math.max(low, v))
  return {
    ...place,
    x_m: clamp(place.x_m, -0.4, bow_x_m + 0.4),
    y_m: clamp(place.y_m, -0.9, 0.9),
  }
}

interface Press {
  key: string
  shiftKey: boolean
  altKey: boolean
}

/** Where a key moves a thing, or null for a key that moves nothing. Bow is left, port is down. */
export function movedByKey({ key, shiftKey, altKey }: Press, place: Place): Place | null {
  const step = shiftKey ? 0.05 : altKey ? 0.001 : 0.01
  const moves: Record<string, Partial<Place>> = {
    ArrowLeft: { x_m: tidy(place.x_m + step) },
    ArrowRight: { x_m: tidy(place.x_m - step) },
    ArrowUp: { y_m: tidy(place.y_m - step) },
    ArrowDown: { y_m: tidy(place.y_m + step) },
    m: { y_m: -place.y_m, turn_deg: -place.turn_deg },
    r: { turn_deg: wrap(place.turn_deg + 15) },
    R: { turn_deg: wrap(place.turn_deg - 15) },
  }
  const move = moves[key]
  return move ? { ...place, ...move } : null
}
