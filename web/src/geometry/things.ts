/** Outlines of things on the sheet, from where they stand; drawing only, no figures. */
import type { Drawn } from '@/drawing/types'
import { planY, sideY, toX, type Point, type Sheet } from './sheet'

const RAD = Math.PI / 180

export const baseZ = (d: Drawn): number => d.place.z_m ?? d.aboard?.base_z_m ?? 0

/** Corners of a box from above, in screen pixels. */
export function planCorners(s: Sheet, d: Drawn): Point[] {
  const [l, w] = [d.thing.length_m / 2, d.thing.width_m / 2]
  const [cos, sin] = [Math.cos(d.place.turn_deg * RAD), Math.sin(d.place.turn_deg * RAD)]
  return (
    [
      [l, w],
      [l, -w],
      [-l, -w],
      [-l, w],
    ] as const
  ).map(([a, b]) => [
    toX(s, d.place.x_m + a * cos - b * sin),
    planY(s, d.place.y_m + a * sin + b * cos),
  ])
}

/** Half of how far a box reaches fore and aft as turned, in m. */
export function halfAlong(d: Drawn): number {
  const turn = d.place.turn_deg * RAD
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
  const [turn, tilt] = [d.place.turn_deg * RAD, d.place.tilt_deg * RAD]
  const along = d.thing.length_m * share
  return {
    x: d.place.x_m + along * Math.cos(turn) * Math.cos(tilt),
    y: d.place.y_m + along * Math.sin(turn) * Math.cos(tilt),
    z: baseZ(d) + along * Math.sin(tilt),
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
  if (d.thing.shape === 'box') {
    const half = halfAlong(d)
    return [d.place.x_m - half, d.place.x_m + half]
  }
  const ends = [d.place.x_m, rodSpot(d, 1).x]
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
