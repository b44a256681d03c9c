/** What a thing may be, and how it is used and fixed; the words the core knows. */
import type { Thing } from '@/api/client'

type Of<K extends keyof Thing> = NonNullable<Thing[K]>

export const KINDS: Of<'kind'>[] = [
  'rod',
  'holder',
  'electronics',
  'power',
  'safety',
  'anchor',
  'seat',
  'storage',
  'tackle',
  'clothes',
  'drive',
  'fish',
  'bait',
  'cart',
  'paddle',
  'other',
]
export const USES: Of<'use'>[] = ['each cast', 'each fish', 'hourly', 'once', 'ashore', 'emergency']
export const FIXINGS: Of<'fixed'>[] = [
  'track bolt',
  'ball',
  'flush tube',
  'strap',
  'bungee',
  'hook-and-loop',
  'plate',
  'loose',
]
export const EVIDENCES: Of<'evidence'>[] = ['weighed', 'label', 'guess']
export const SHAPES: [Of<'shape'>, string][] = [
  ['box', 'box'],
  ['cylinder', 'cylinder'],
  ['bag', 'soft bag'],
  ['rod', 'rod'],
  ['pole', 'pole'],
]
export const REELS: [Of<'reel'>, string][] = [
  ['none', 'none'],
  ['under', 'hangs under'],
  ['over', 'sits on top'],
]
export const OPENINGS: [Of<'opens'>, string][] = [
  ['open', 'open top'],
  ['lid', 'lid'],
  ['zip', 'zip'],
  ['roll top', 'roll top'],
]
/** The basics that a check looks for. */
export const SERVICES: Thing['serves'] = [
  'PFD',
  'whistle',
  'light',
  'warm clothing',
  'spare paddle',
  'call',
  'knife',
]
export const FLAGS = [
  ['leashed', 'leashed'],
  ['floats', 'floats'],
  ['wants_dry', 'wants dry'],
  ['worn', 'worn'],
] as const

/** A new thing, before anything is known of it. */
export const BLANK: Thing = {
  name: '',
  shape: 'box',
  mass_kg: 1,
  evidence: 'guess',
  length_m: 0.3,
  width_m: 0.2,
  height_m: 0.15,
  sloshes: false,
  kind: 'other',
  weighed_on: null,
  empty_kg: null,
  filled: 1,
  offset_x_m: 0,
  offset_y_m: 0,
  offset_z_m: 0,
  use: 'hourly',
  fixed: 'loose',
  leashed: false,
  floats: false,
  wants_dry: false,
  worn: false,
  price: null,
  bought: true,
  notes: '',
  photo: null,
  butt_m: null,
  reel: 'none',
  inner_length_m: null,
  inner_width_m: null,
  inner_height_m: null,
  opens: 'open',
  serves: [],
}
