/**
 * What a boat's fittings are drawn with: centimetres about their middle, `x` to the bow and, from
 * above, `y` to port; from the side `y` up. As `gear/parts` has it.
 */
import type { Fitting, FittingKind } from '@/api/client'
import { bars, bend, box, lines, oval, part, type Part } from './gear/parts'

/** Usual sizes where nobody has measured one, in cm: length along the boat and width. */
const USUAL: Record<FittingKind, readonly [number, number]> = {
  track: [30, 3.2],
  'seat rail': [40, 2.4],
  hatch: [24, 20],
  'flush tube': [6, 6],
  scupper: [4.4, 4.4],
  handle: [3, 14],
  cleat: [9, 2],
  'foot brace': [4, 11],
  drive: [24, 16],
  rudder: [4, 8],
  recess: [18, 12],
}
const SPACING = 6 // between the screws of a track, at least

type Draw = (l: number, w: number, one: Fitting) => Part[]

const rail: Draw = (l, w) => {
  const screws = Math.max(2, Math.floor(l / SPACING))
  const apart = (l - 2 * w) / (screws - 1)
  const at = (i: number) => oval(w - l / 2 + apart * i, 0, w * 0.22)
  return [
    part('body', box(0, 0, l, w, w / 2)),
    part('dark', box(0, 0, l - w, w * 0.28, w * 0.14)),
    part('fine', ...Array.from({ length: screws }, (_, i) => at(i))),
  ]
}
const PLAN: Record<FittingKind, Draw> = {
  track: rail,
  'seat rail': (l, w) => [
    part('body', box(0, 0, l, w, 1)),
    part('fine', bars([-l / 2, -w / 2], [l / 2, -w / 2], [0, w], Math.floor(l / 4))),
  ],
  hatch: (l, w) => [
    part('soft', box(0, 0, l, w, Math.min(l, w) / 3)),
    part('fine', box(0, 0, l - 4, w - 4, Math.min(l, w) / 3 - 2)),
    part('dark', box(-l / 2 + 1.2, 0, 2.2, Math.min(7, w / 3), 1)),
    part('line', lines([l / 2, -w / 5], [l / 2, w / 5])),
  ],
  'flush tube': (l, _, one) => {
    // The mouth is cut at a slant: an oval the way the tube points.
    const [bearing, long] = one.kind === 'flush tube' ? [one.bearing_deg, l * 1.35] : [0, l]
    const turn = (bearing * Math.PI) / 180
    const [x, y] = [Math.cos(turn) * l * 0.1, Math.sin(turn) * l * 0.1]
    return [part('body', oval(0, 0, long / 2, long / 2)), part('dark', oval(x, y, l * 0.32))]
  },
  scupper: (l) => [
    part('body', oval(0, 0, l / 2)),
    part('fine', lines([-l / 3, 0], [l / 3, 0]), lines([0, -l / 3], [0, l / 3])),
  ],
  handle: (l, w) => [
    part('dark', oval(0, -w / 2, 1.3), oval(0, w / 2, 1.3)),
    part('grip', bend([0, -w / 2], [l, 0], [0, w / 2])),
  ],
  cleat: (l, w) => [
    part('body', box(0, 0, l * 0.45, w * 1.6, w / 2)),
    part('shaft', lines([-l / 2, 0], [l / 2, 0])),
  ],
  'foot brace': (l, w) => [
    part('body', box(0, 0, l, w, 1.5)),
    part('fine', bars([-l / 2, -w / 2], [-l / 2, w / 2], [l, 0], 3)),
  ],
  drive: (l, w) => [
    part('soft', box(0, 0, l, w, w / 2)),
    part('dark', box(0, 0, l * 0.7, w * 0.22, w * 0.11)),
  ],
  rudder: (l, w) => [part('body', box(0, 0, l, w, 1)), part('dark', oval(0, 0, 1.1))],
  recess: (l, w) => [part('soft', box(0, 0, l, w, 3))],
}
/** Those that stand out of the deck, or go through it; the others cannot be seen from the side. */
const SIDE: Partial<Record<FittingKind, Draw>> = {
  track: (l) => [part('body', box(0, 0.7, l, 1.4, 0.7))],
  'seat rail': (l) => [part('body', box(0, 0.8, l, 1.6, 0.6))],
  hatch: (l) => [part('body', bend([-l / 2, 0], [0, 5], [l / 2, 0]), 'z')],
  'flush tube': (_, __, one) => {
    if (one.kind !== 'flush tube') return []
    const [turn, rise] = [one.bearing_deg, one.elevation_deg].map((deg) => (deg * Math.PI) / 180)
    const deep = (one.depth_m || 0.24) * 100
    const [x, y] = [-Math.cos(rise!) * Math.cos(turn!) * deep, -Math.sin(rise!) * deep]
    return [part('fine', lines([-2.2, 0], [x - 2.2, y], [x + 2.2, y], [2.2, 0]))]
  },
  handle: () => [part('grip', bend([-6, 0], [0, 6], [6, 0]))],
  cleat: (l) => [
    part('shaft', lines([-l / 2, 2.4], [l / 2, 2.4])),
    part('line', lines([0, 0], [0, 2.4])),
  ],
  rudder: () => [part('line', lines([0, -6], [0, 4]))],
}

/** Its parts in a view, the outline first; none where it cannot be seen. */
export function fittingParts(one: Fitting, view: 'plan' | 'side'): Part[] {
  const [l, w] = USUAL[one.kind]
  const draw = view === 'plan' ? PLAN[one.kind] : SIDE[one.kind]
  return draw?.(one.length_m * 100 || l, one.width_m * 100 || w, one) ?? []
}
