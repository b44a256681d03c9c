/** Where names are written: in what is named where it fits, else off it with a leader, else not. */
import type { Point, Sheet } from './sheet'
import { corners, isLong, rodPlan, rodSide } from './things'
import type { Drawn } from './types'

export interface Label {
  id: number
  text: string
  x: number
  y: number
  /** from the item to its name */
  leader: readonly [number, number, number, number] | null
}

interface Extent {
  left: number
  right: number
  top: number
  bottom: number
}

const LETTER_PX = 5.7
const LINE_PX = 13
const INSIDE_PX = 6
const MARK_PX = 8
const LANES = 3
const STEPS = [0, 1, -1, 2, -2, 3, -3, 4, -4]
const STEP_PX = 22

export const widthOf = (text: string): number => text.length * LETTER_PX

const apart = (a: Extent, b: Extent): boolean =>
  a.right < b.left || a.left > b.right || a.bottom < b.top || a.top > b.bottom

function extentOf(s: Sheet, d: Drawn, view: 'plan' | 'side'): Extent {
  const spot = view === 'plan' ? rodPlan : rodSide
  const points = isLong(d.thing) ? [spot(s, d, 0), spot(s, d, 1)] : corners(s, d, view)
  const [xs, ys] = [points.map(([x]) => x), points.map(([, y]) => y)]
  return {
    left: Math.min(...xs),
    right: Math.max(...xs),
    top: Math.min(...ys),
    bottom: Math.max(...ys),
  }
}

const nameOf = (d: Drawn): string => (d.holds ? `${d.thing.name}, ${d.holds} inside` : d.thing.name)

const around = ([x, y]: Point): Extent => ({
  left: x - MARK_PX,
  right: x + MARK_PX,
  top: y - MARK_PX,
  bottom: y + MARK_PX,
})

/**
 * Names of what is seen in a view; no two overlap, and none lies under one of the marks. What is
 * selected, and what is large, goes first.
 */
export function labelled(
  s: Sheet,
  things: readonly Drawn[],
  view: 'plan' | 'side',
  leaders: boolean,
  inBoat: (px: number, py: number) => boolean,
  marks: readonly Point[] = [],
): Label[] {
  const [top, bottom] =
    view === 'plan' ? [s.planTop + 30, s.planBottom - 18] : [s.sideTop + 20, s.sideBottom - 6]
  const taken: Extent[] = marks.map(around)
  const found: Label[] = []
  const free = (one: Extent) =>
    one.left > 4 && one.right < s.width - 4 && taken.every((other) => apart(one, other))
  const size = (d: Drawn) => d.thing.length_m * d.thing.width_m + (d.selected ? 100 : 0)
  const seen = things.filter((d) => !d.hidden && !d.ghost).sort((a, b) => size(b) - size(a))
  const outside: [Drawn, Extent][] = []

  for (const one of seen) {
    const extent = extentOf(s, one, view)
    const text = nameOf(one)
    const [x, y] = [(extent.left + extent.right) / 2, (extent.top + extent.bottom) / 2]
    if (extent.bottom < top || extent.top > bottom) continue
    const half = widthOf(text) / 2
    const spot = { left: x - half, right: x + half, top: y - LINE_PX / 2, bottom: y + LINE_PX / 2 }
    const roomy =
      extent.right - extent.left > 2 * half + INSIDE_PX && extent.bottom - extent.top > LINE_PX
    if (!isLong(one.thing) && roomy && free(spot)) {
      taken.push(spot)
      found.push({ id: one.id, text, x, y: y + 3.5, leader: null })
    } else outside.push([one, extent])
  }
  if (!leaders) return found
  // Off the boat, on its own side, as near as there is room.
  for (const [one, extent] of outside) {
    const text = nameOf(one)
    const half = widthOf(text) / 2
    const share = isLong(one.thing) ? 0.3 : 0.5
    const spot = view === 'plan' ? rodPlan : rodSide
    const [x, y] = isLong(one.thing)
      ? spot(s, one, share)
      : [(extent.left + extent.right) / 2, (extent.top + extent.bottom) / 2]
    const below = y > (top + bottom) / 2
    const lanes = Array.from({ length: LANES }, (_, i) =>
      below ? bottom - i * LINE_PX : top + LINE_PX + i * LINE_PX,
    )
    const placed = lanes
      .flatMap((lane) => STEPS.map((step) => [lane, x + step * STEP_PX] as const))
      .find(
        ([lane, at]) =>
          !inBoat(at - half, lane) &&
          !inBoat(at + half, lane) &&
          !inBoat(at, below ? lane - LINE_PX : lane) &&
          free({ left: at - half, right: at + half, top: lane - LINE_PX + 3, bottom: lane + 3 }),
      )
    if (!placed) continue
    const [lane, at] = placed
    taken.push({
      left: at - half - 4,
      right: at + half + 4,
      top: lane - LINE_PX + 3,
      bottom: lane + 3,
    })
    const end = Math.max(at - half, Math.min(at + half, x))
    found.push({
      id: one.id,
      text,
      x: at,
      y: lane,
      leader: [x, y, end, below ? lane - LINE_PX + 3 : lane + 4],
    })
  }
  return found
}

export interface EdgeName {
  text: string
  of: number
  x: number
  y: number
  /** where its leader ends */
  edge: number
  from: readonly [number, number]
}

const ROW_PX = 13
const ROWS = 3
const GAP_PX = 8

/** Names along the upper and the lower edge, whichever is nearer, in rows so that no two overlap. */
export function besideEachOther(
  wanted: readonly { x: number; y: number; text: string; of: number }[],
  room: { width: number; height: number },
): EdgeName[] {
  const ends = { top: Array<number>(ROWS).fill(0), foot: Array<number>(ROWS).fill(0) }
  return [...wanted]
    .sort((a, b) => a.x - b.x)
    .flatMap(({ x, y, text, of }) => {
      const side = y < room.height / 2 ? 'top' : 'foot'
      const half = widthOf(text) / 2
      const middle = Math.min(Math.max(x, half + 2), room.width - half - 2)
      const row = ends[side].findIndex((end) => middle - half >= end)
      if (row < 0) return []
      ends[side][row] = middle + half + GAP_PX
      const at = side === 'top' ? 11 + row * ROW_PX : room.height - 4 - row * ROW_PX
      const edge = side === 'top' ? at + 3 : at - 10
      return [{ text, of, x: middle, y: at, edge, from: [x, y] as const }]
    })
}
