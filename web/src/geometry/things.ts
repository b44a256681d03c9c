/** Outlines of things on the sheet, from where they stand; drawing only, no figures. */
import type { Thing } from '@/api/client'
import type { Drawn } from '@/drawing/types'
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

const LETTER_PX = 5.4

/** As much of a name as fits `px`, by whole words and then by letters; nothing under 3 letters. */
export function fitting(name: string, px: number): string {
  const most = Math.floor(px / LETTER_PX)
  if (name.length <= most) return name
  const words = name.split(/[ ,]+/)
  let text = words[0] ?? ''
  for (const word of words.slice(1)) {
    if (text.length + 1 + word.length > most) break
    text += ` ${word}`
  }
  if (text.length <= most) return text
  return most >= 4 ? `${text.slice(0, most - 1)}…` : ''
}
