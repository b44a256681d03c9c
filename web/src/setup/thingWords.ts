/** What a thing may be, and how its aspects are asked for and told. */
import type { Thing } from '@/api/client'
import { CHOICES, USUAL } from '@/api/words'

export const KINDS = CHOICES.Thing.kind
export const USES = CHOICES.Thing.use
export const FIXINGS = CHOICES.Fixing.by
/** What a battery is made of, as people call it. */
export const CHEMISTRY = { lead_acid: 'lead-acid', lifepo4: 'LiFePO4', li_ion: 'Li-ion' }
export const EVIDENCES = CHOICES.Thing.evidence
export const PARTS = CHOICES.Thing.part
/** The basics that a check looks for. */
export const SERVICES = CHOICES.Thing.serves

const SHAPE_WORDS: Partial<Record<string, string>> = { bag: 'soft bag' }
export const SHAPES = CHOICES.Thing.shape.map((one) => [one, SHAPE_WORDS[one] ?? one] as const)
const REEL_WORDS = { none: 'none', under: 'hangs under', over: 'sits on top' }
export const REELS = CHOICES.Rod.reel.map((one) => [one, REEL_WORDS[one]] as const)
const OPEN_WORDS: Partial<Record<string, string>> = { open: 'open top' }
export const OPENINGS = CHOICES.Container.opens.map((one) => [one, OPEN_WORDS[one] ?? one] as const)

/** A change of a thing: what is said of it anew, given the thing as it is. */
export type Edit = (thing: Thing) => Partial<Thing>

type Flag = 'leashed' | 'floats' | 'wants_dry' | 'worn'
export const FLAGS: [Flag, string][] = [
  ['leashed', 'leashed'],
  ['floats', 'floats'],
  ['wants_dry', 'must stay dry'],
  ['worn', 'worn'],
]
export function hasFlag(thing: Thing, flag: Flag): boolean {
  if (flag === 'leashed') return thing.fixing.leashed
  if (flag === 'wants_dry') return thing.care?.wants_dry ?? false
  return thing[flag]
}
export const withFlag =
  (flag: Flag, on: boolean): Edit =>
  (thing) => {
    if (flag === 'leashed') return { fixing: { ...thing.fixing, leashed: on } }
    if (flag === 'wants_dry') return { care: on ? { wants_dry: true } : null }
    return { [flag]: on }
  }
export const mountedBy =
  (by: Thing['fixing']['by']): Edit =>
  (thing) => ({ fixing: { ...thing.fixing, by } })

/** What a thing can be on top of what it is by its shape: there or not, with usual figures. */
const ROLES = [
  ['holder', 'a rod holder', { tubes: 1 }],
  ['anchor', 'an anchor', USUAL.Anchor],
  ['drogue', 'a drogue', USUAL.Drogue],
  ['motor', 'a motor', { ...USUAL.Motor, thrust_n: 200 }],
  ['downrigger', 'a downrigger', { ball_kg: null }],
  ['battery', 'a battery', USUAL.Battery],
  ['draw', 'takes current', { ...USUAL.Draw, watts: 10 }],
  ['fuse', 'a fuse block', USUAL.FuseBlock],
  ['transducer', 'a transducer', USUAL.Transducer],
  ['lamp', 'a lamp', USUAL.Lamp],
  ['flag', 'a flag', USUAL.Flag],
  ['grip', 'a handle to lift by', USUAL.Grip],
] as const
export type Role = (typeof ROLES)[number][0]
export const ROLE_WORDS = ROLES.map(([role, words]) => [role, words] as const)
export function withRole(role: Role, on: boolean): Partial<Thing> {
  const usual = ROLES.find(([one]) => one === role)![2]
  return { [role]: on ? { ...usual } : null }
}

/** A thing as a form edits it: aspects that have fields in it are there to be typed into. */
export interface Draft extends Thing {
  battery: NonNullable<Thing['battery']> | null
  draw: NonNullable<Thing['draw']> | null
  anchor: NonNullable<Thing['anchor']> | null
  drogue: NonNullable<Thing['drogue']> | null
  motor: NonNullable<Thing['motor']> | null
  lamp: NonNullable<Thing['lamp']> | null
  flag: NonNullable<Thing['flag']> | null
  grip: NonNullable<Thing['grip']> | null
  bails: NonNullable<Thing['bails']> | null
  volume_l: number | null
  rod: NonNullable<Thing['rod']>
  container: NonNullable<Thing['container']>
  fill: NonNullable<Thing['fill']>
}
export function draftOf(thing: Thing): Draft {
  const plain = structuredClone(thing)
  return {
    ...plain,
    battery: plain.battery ?? null,
    draw: plain.draw ?? null,
    anchor: plain.anchor ?? null,
    drogue: plain.drogue ?? null,
    motor: plain.motor ?? null,
    lamp: plain.lamp ?? null,
    flag: plain.flag ?? null,
    grip: plain.grip ?? null,
    bails: plain.bails ?? null,
    volume_l: plain.volume_l ?? null,
    part: plain.part ?? null,
    rod: { ...USUAL.Rod, butt_m: null, ...plain.rod },
    container: {
      ...USUAL.Container,
      length_m: null,
      width_m: null,
      height_m: null,
      ...plain.container,
    },
    fill: { ...USUAL.Fill, empty_kg: null, ...plain.fill },
  }
}
/** What was typed, without aspects that say nothing. */
export function thingOf(draft: Draft): Thing {
  const { rod, container, fill, ...plain } = draft
  const isRod = draft.shape === 'rod'
  const holds = container.length_m != null || container.opens !== USUAL.Container.opens
  const filled = fill.empty_kg != null || fill.sloshes || fill.afloat
  return {
    ...plain,
    part: plain.part ?? null,
    rod: isRod ? rod : null,
    container: holds ? container : null,
    fill: filled ? fill : null,
  }
}

/** A new thing, before anything is known of it. */
export const BLANK: Thing = {
  ...USUAL.Thing,
  serves: [],
  name: '',
  shape: 'box',
  mass_kg: 1,
  evidence: 'guess',
  length_m: 0.3,
  width_m: 0.2,
  height_m: 0.15,
}
