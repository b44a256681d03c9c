/** Where boat metres fall on the bench sheet: one ruler for all views, bow at the left. */
import type { Drawing } from '@/api/client'

export interface Sheet {
  width: number
  height: number
  /** pixels per metre, the same across and up, so that all is to scale */
  scale: number
  bow_x_m: number
  left: number
  /** screen y of y = 0 in the view from above */
  planMiddle: number
  planTop: number
  planBottom: number
  /** screen y of z = 0 in the view from the side */
  sideBase: number
  sideTop: number
  sideBottom: number
  stripTop: number
  stripBottom: number
}

const RULER = 40
const MARGIN_LEFT = 34
const MARGIN_RIGHT = 30
const STRIP_SHARE = 0.2

/** Looked at `k` times as near, with the views moved by so many pixels. */
export interface Nearer {
  k: number
  along: number
  plan: number
  side: number
}

/** Lay out a sheet of the given size for a hull `aft_m` to `bow_m`; heights in pixels. */
export function layOut(
  width: number,
  height: number,
  aft_m: number,
  bow_m: number,
  nearer: Nearer = { k: 1, along: 0, plan: 0, side: 0 },
): Sheet {
  const scale = Math.max(20, (width - MARGIN_LEFT - MARGIN_RIGHT) / (bow_m - aft_m))
  const drawn = height - RULER
  const strip = Math.max(120, drawn * STRIP_SHARE)
  const plan = Math.min((drawn - strip) * 0.48, 1.4 * scale)
  const side = drawn - strip - plan
  const planTop = RULER
  const sideTop = planTop + plan
  const stripTop = sideTop + side
  return {
    width,
    height,
    scale: scale * nearer.k,
    bow_x_m: bow_m,
    left: MARGIN_LEFT + nearer.along,
    planTop,
    planMiddle: planTop + plan / 2 + nearer.plan,
    planBottom: sideTop,
    sideTop,
    // The angler's head sets how much is needed above the hull; the rest is water below.
    sideBase: sideTop + Math.min(side - 34, 1.33 * scale) + nearer.side,
    sideBottom: stripTop,
    stripTop,
    stripBottom: height,
  }
}

export const toX = (s: Sheet, x_m: number): number => s.left + (s.bow_x_m - x_m) * s.scale
export const planY = (s: Sheet, y_m: number): number => s.planMiddle + y_m * s.scale
export const sideY = (s: Sheet, z_m: number): number => s.sideBase - z_m * s.scale
export const fromX = (s: Sheet, px: number): number => s.bow_x_m - (px - s.left) / s.scale
export const fromPlanY = (s: Sheet, px: number): number => (px - s.planMiddle) / s.scale
export const fromSideY = (s: Sheet, px: number): number => (s.sideBase - px) / s.scale

export type Point = readonly [number, number]
/** A point of the boat, m: x forward, y to port, z up. */
export type Spot = readonly [number, number, number]

/** Where a point of the boat is drawn in one of the views. */
export const drawnAt = (s: Sheet, view: 'plan' | 'side', [x, y, z]: Spot): Point => [
  toX(s, x),
  view === 'plan' ? planY(s, y) : sideY(s, z),
]

/** An SVG path through points; rounded to a tenth of a pixel, which no eye can tell. */
export function path(points: readonly Point[], closed = false): string {
  const body = points.map(([x, y]) => `${x.toFixed(1)},${y.toFixed(1)}`).join('L')
  return points.length ? `M${body}${closed ? 'Z' : ''}` : ''
}

/** Outline of the hull from above, or of what lies so far within it. */
export function planOutline(s: Sheet, d: Drawing, within_m = 0): string {
  const half = d.half_breadth_m.map((y) => Math.max(0, y - within_m))
  const port = d.x_m.map((x, i) => [toX(s, x), planY(s, half[i]!)] as const)
  const starboard = d.x_m.map((x, i) => [toX(s, x), planY(s, -half[i]!)] as const)
  return path([...port, ...starboard.reverse()], true)
}

/** Outline of the hull from the side: keel and sheer. */
export function sideOutline(s: Sheet, d: Drawing): string {
  const keel = d.x_m.map((x, i) => [toX(s, x), sideY(s, d.keel_z_m[i]!)] as const)
  const sheer = d.x_m.map((x, i) => [toX(s, x), sideY(s, d.sheer_z_m[i]!)] as const)
  return path([...keel, ...sheer.reverse()], true)
}

export interface Tick {
  at_m: number
  long: boolean
  label: string
}

/** Ruler marks by distance from the bow: every 10 cm, or every 6 in with feet long. */
export function ticks(length_m: number, imperial: boolean): Tick[] {
  const step = imperial ? 0.0254 * 6 : 0.1
  const every = imperial ? 2 : 5
  return Array.from({ length: Math.floor(length_m / step + 1e-6) + 1 }, (_, i) => ({
    at_m: i * step,
    long: i % every === 0,
    label: i % every ? '' : imperial ? `${i / 2}′` : String(i * 10),
  }))
}
