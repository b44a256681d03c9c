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
const LINE_PX = 12

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

interface Label {
  text: string
  left: number
  middle: number
}

/** Where the name of a box is written, and as much of it as fits in. */
export function labelOf(s: Sheet, d: Drawn, view: 'plan' | 'side'): Label {
  const xs = corners(s, d, view).map(([x]) => x)
  const ys = corners(s, d, view).map(([, y]) => y)
  const left = Math.min(...xs)
  const text = fitting(d.thing.name, Math.max(...xs) - left - 8)
  return { text, left: left + 5, middle: (Math.min(...ys) + Math.max(...ys)) / 2 }
}

/** Whose names can be written without running into each other, what is chosen and large first. */
export function titled(s: Sheet, things: Drawn[], view: 'plan' | 'side'): Set<number> {
  const size = (d: Drawn) => d.thing.length_m * d.thing.width_m + (d.selected ? 100 : 0) - d.depth
  const taken: [number, number, number][] = []
  const found = new Set<number>()
  for (const one of things.filter((d) => !isLong(d.thing)).sort((a, b) => size(b) - size(a))) {
    const { text, left, middle } = labelOf(s, one, view)
    const right = left + text.length * LETTER_PX
    const clear = taken.every(
      ([l, r, m]) => right < l || left > r || Math.abs(middle - m) > LINE_PX,
    )
    if (!text || !clear) continue
    taken.push([left, right, middle])
    found.add(one.id)
  }
  return found
}

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
