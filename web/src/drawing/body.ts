/** The angler's limbs as a body is drawn: each tapers from its upper end, and all have one outline. */
import type { Drawing, Place, Thing } from '@/api/client'
import type { Point } from './sheet'

type Limb = Drawing['limbs'][number]

export interface Shape {
  d: string
  cloth: 'legs' | 'sleeve' | 'vest' | 'skin' | 'shoe'
}

// How thick each is at its two ends, against how thick it is on the whole.
const TAPER: Record<string, readonly [number, number]> = {
  trunk: [0.92, 1],
  thigh: [1.05, 0.78],
  shank: [0.95, 0.6],
  foot: [0.95, 0.7],
  'upper arm': [1, 0.82],
  forearm: [0.95, 0.62],
  hand: [0.9, 0.8],
}
const CLOTH: Record<string, Shape['cloth']> = {
  trunk: 'vest',
  thigh: 'legs',
  shank: 'legs',
  foot: 'shoe',
  'upper arm': 'sleeve',
  forearm: 'sleeve',
  hand: 'skin',
}

/** Round ends joined by straight sides. */
function tapered(from: Point, to: Point, r0: number, r1: number): string {
  const [dx, dy] = [to[0] - from[0], to[1] - from[1]]
  const far = Math.hypot(dx, dy) || 1
  const [nx, ny] = [-dy / far, dx / far]
  const spot = (p: Point, r: number) =>
    `${(p[0] + r * nx).toFixed(1)},${(p[1] + r * ny).toFixed(1)}`
  return (
    `M${spot(from, r0)}L${spot(to, r1)}A${r1.toFixed(1)},${r1.toFixed(1)} 0 0 0 ${spot(to, -r1)}` +
    `L${spot(from, -r0)}A${r0.toFixed(1)},${r0.toFixed(1)} 0 0 0 ${spot(from, r0)}Z`
  )
}

/** Limbs in the order they are painted: legs, trunk, arms. */
export function bodyShapes(
  limbs: readonly Limb[],
  at: (spot: [number, number, number]) => Point,
  scale: number,
  vest: boolean,
): Shape[] {
  const order = ['foot', 'shank', 'thigh', 'trunk', 'upper arm', 'forearm', 'hand']
  return [...limbs]
    .filter((limb) => limb.name in CLOTH)
    .sort((a, b) => order.indexOf(a.name) - order.indexOf(b.name))
    .map((limb) => {
      const [thick, thin] = TAPER[limb.name]!
      const half = (limb.width_m / 2) * scale
      return {
        d: tapered(at(limb.upper), at(limb.far), half * thick, half * thin),
        cloth: limb.name === 'trunk' && !vest ? 'sleeve' : CLOTH[limb.name]!,
      }
    })
}

/** Whether a life jacket is worn. */
export const wearsVest = (
  places: ReadonlyMap<number, Place>,
  things: Readonly<Record<string, Thing>>,
): boolean =>
  [...places].some(
    ([id, { on }]) => on?.kind === 'body' && things[String(id)]?.serves.includes('PFD'),
  )
