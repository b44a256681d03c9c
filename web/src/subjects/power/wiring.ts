/** The wiring as the screen of power reads it: rows that are there, and what they are called. */
import type { Setup, Thing } from '@/api/client'
import { CHOICES } from '@/api/words'
import type { Wire } from '@/drawing/wires'

export type { Wire }
export type Power = Setup['power']
export type Duty = Power['duties'][string][number]

export const GAUGES = [...CHOICES.Conductor.awg].sort((a, b) => b - a)
export const gaugeWords = (wire: Wire): string =>
  wire.awg == null ? `${wire.area_mm2} mm²` : `AWG ${wire.awg}`

export const HELD_WORDS: Record<Wire['points'][number]['by'], string> = {
  point: 'nothing',
  clip: 'clip',
  gland: 'gland',
  hole: 'bare hole',
  hatch: 'hatch rim',
}

/** A key that no other window gives to another wire. */
export const newKey = (): number => Date.now() * 1000 + Math.floor(Math.random() * 1000)

/** Whether a thing has anything to do with wires. */
export const isElectric = (thing: Thing): boolean =>
  thing.battery != null || thing.fuse != null || (thing.draw != null && !thing.draw.own_cells)
