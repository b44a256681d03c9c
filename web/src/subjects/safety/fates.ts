/** Words and order of what becomes of things, and how the boat is drawn here. */
import type { Drawing, Schemas } from '@/api/client'
import type { Sheet } from '@/drawing/sheet'

export type Fate = Schemas['FateRow']['fate']

export const FATES: [Fate, string][] = [
  ['floats off', 'drifts off'],
  ['stays', 'stays with the boat'],
  ['with you', 'stays with you'],
  ['sinks', 'sinks'],
]

/** One view of the boat alone, bow at the left, so much room over and under it. */
export function sheetOf(drawing: Drawing, width: number, height: number, base: number): Sheet {
  const [aft, bow] = [drawing.x_m[0]!, drawing.x_m.at(-1)!]
  const scale = (width - 40) / (bow - aft)
  return {
    width,
    height,
    scale,
    bow_x_m: bow,
    left: 20,
    planMiddle: height / 2,
    planTop: 0,
    planBottom: height,
    sideBase: base,
    sideTop: 0,
    sideBottom: height,
    stripTop: height,
    stripBottom: height,
  }
}
