/** Outlines of things on the sheet, from where they stand; drawing only, no figures. */
import type { Thing } from '@/api/client'
import type { Drawn } from './types'
import { planY, sideY, toX, type Point, type Sheet } from './sheet'

const RAD = Math.PI / 180

export const isLong = (thing: Thing): boolean => thing.shape === 'rod' || thing.shape === 'pole'

/** Corners of a box from above, in screen pixels. */
export function planCorners(s: Sheet, d: Drawn): Point[] {
  const [l, w] = [d.thing.length_m / 2, d.thing.width_m / 2]
  const [cos, sin] = [Math.cos(d.stand.turn_deg * RAD), Math.sin(d.stand.turn_deg * RAD)]
  return (
    [
      [l, w],
      [l, -w],
      [-l, -w],
      [-l, w],
    ] as const
  ).map(([a, b]) => [
    toX(s, d.stand.x_m + a * cos - b * sin),
    planY(s, d.stand.y_m + a * sin + b * cos),
  ])
}

/** Half of how far a box reaches fore and aft as turned, in m. */
export function halfAlong(d: Drawn): number {
  if (d.thing.shape === 'cylinder') return d.thing.length_m / 2
  const turn = d.stand.turn_deg * RAD
  return (
    (Math.abs(d.thing.length_m * Math.cos(turn)) + Math.abs(d.thing.width_m * Math.sin(turn))) / 2
  )
}

interface Spot {
  x: number
  y: number
  z: number
}

/** A point `share` of the way from butt to tip of a rod. */
export function rodSpot(d: Drawn, share: number): Spot {
  const [turn, tilt] = [d.stand.turn_deg * RAD, d.stand.tilt_deg * RAD]
  const along = d.thing.length_m * share
  return {
    x: d.stand.x_m + along * Math.cos(turn) * Math.cos(tilt),
    y: d.stand.y_m + along * Math.sin(turn) * Math.cos(tilt),
    z: d.stand.base_z_m + along * Math.sin(tilt),
  }
}

/** Its tip is aft of its butt, and its picture from the side upside down. */
export const pointsAft = (d: Drawn): boolean => rodSpot(d, 1).x < d.stand.x_m

export function rodPlan(s: Sheet, d: Drawn, share: number): Point {
  const spot = rodSpot(d, share)
  return [toX(s, spot.x), planY(s, spot.y)]
}

export function rodSide(s: Sheet, d: Drawn, share: number): Point {
  const spot = rodSpot(d, share)
  return [toX(s, spot.x), sideY(s, spot.z)]
}

/** How far a thing reaches along the ruler, in m, aft end first. */
export function alongRuler(d: Drawn): [number, number] {
  if (!isLong(d.thing)) {
    const half = halfAlong(d)
    return [d.stand.x_m - half, d.stand.x_m + half]
  }
  const ends = [d.stand.x_m, rodSpot(d, 1).x]
  return [Math.min(...ends), Math.max(...ends)]
}

/** Corners of a box on the sheet, in either view. */
export function corners(s: Sheet, d: Drawn, view: 'plan' | 'side'): Point[] {
  if (view === 'plan') return planCorners(s, d)
  const half = halfAlong(d)
  const [fwd, aft] = [toX(s, d.stand.x_m + half), toX(s, d.stand.x_m - half)]
  const base = d.stand.base_z_m
  const [top, foot] = [sideY(s, base + d.thing.height_m), sideY(s, base)]
  return [
    [fwd, top],
    [aft, top],
    [aft, foot],
    [fwd, foot],
  ]
}

const CM = 0.01

/** How an item's picture is put on the sheet, and the size it is drawn for, in cm. */
export interface LaidOut {
  transform: string
  /** px of one of its cm */
  k: number
  l: number
  w: number
  h: number
  /** the lesser side of it on the screen */
  small_px: number
}

/** A picture's own axes, see `gear/parts`, as they lie on the sheet. */
export function laidOut(s: Sheet, d: Drawn, view: 'plan' | 'side'): LaidOut {
  const { length_m, width_m, height_m } = d.thing
  const [turn, tilt] = [d.stand.turn_deg * RAD, d.stand.tilt_deg * RAD]
  const [cos, sin] = [Math.cos(turn), Math.sin(turn)]
  const k = s.scale * CM
  const x = toX(s, d.stand.x_m)
  const w = width_m / CM
  const h = height_m / CM
  if (isLong(d.thing)) {
    if (view === 'plan') {
      const l = (length_m * Math.abs(Math.cos(tilt))) / CM
      const way = Math.cos(tilt) < 0 ? -1 : 1
      const axes = [-k * cos * way, k * sin * way, k * sin, k * cos]
      return {
        transform: matrix(axes, x, planY(s, d.stand.y_m)),
        k,
        l,
        w,
        h,
        small_px: w * k,
      }
    }
    const [along, up] = [cos * Math.cos(tilt), Math.sin(tilt)]
    const far = Math.hypot(along, up)
    const [ux, uz] = far > 1e-6 ? [along / far, up / far] : [1, 0]
    const axes = [-k * ux, -k * uz, k * uz, -k * ux]
    const l = (length_m * far) / CM
    const at_y = sideY(s, d.stand.base_z_m)
    return { transform: matrix(axes, x, at_y), k, l, w: h, h: w, small_px: h * k }
  }
  if (view === 'plan') {
    const l = length_m / CM
    const axes = [-k * cos, k * sin, k * sin, k * cos]
    return {
      transform: matrix(axes, x, planY(s, d.stand.y_m)),
      k,
      l,
      w,
      h,
      small_px: Math.min(l, w) * k,
    }
  }
  const l = (2 * halfAlong(d)) / CM
  const across = (length_m * Math.abs(sin) + width_m * Math.abs(cos)) / CM
  const axes = [cos < -1e-9 ? k : -k, 0, 0, -k]
  const at_y = sideY(s, d.stand.base_z_m)
  return {
    transform: matrix(axes, x, at_y),
    k,
    l,
    w: across,
    h,
    small_px: Math.min(l, h) * k,
  }
}

const matrix = (axes: number[], x: number, y: number): string =>
  `matrix(${axes.map((one) => one.toFixed(4)).join(' ')} ${x.toFixed(2)} ${y.toFixed(2)})`
