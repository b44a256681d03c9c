/** The words people use at the ramp, from signed figures in the body frame. */
import type { Aboard, Schemas, Thing, Verdict } from '@/api/client'
import { show, type Kind, type Units } from './units'

export const VERDICT_WORD: Record<Verdict, string> = {
  fine: 'OK',
  watch: 'Watch',
  fix: 'Fix',
  stop: 'No-go',
}

/** Trim is positive bow up; people name the end that is down. */
export function trimWords(trim_deg: number): string {
  const size = Math.abs(trim_deg).toFixed(1)
  if (size === '0.0') return 'level, bow to stern'
  return `${size}° ${trim_deg > 0 ? 'stern' : 'bow'} down`
}

/** Heel is positive starboard down. */
export function listWords(heel_deg: number): string {
  const size = Math.abs(heel_deg).toFixed(1)
  if (size === '0.0') return 'level, side to side'
  return `${size}° to ${heel_deg > 0 ? 'starboard' : 'port'}`
}

/** y is positive to port. */
export function sideWords(y_m: number, units: Units): string {
  const size = show(Math.abs(y_m), 'length', units, 0)
  if (Math.abs(y_m) < 0.005) return 'on the centerline'
  return `${size} to ${y_m > 0 ? 'port' : 'starboard'}`
}

export const ZONE_WORD: Record<Aboard['zone'], string> = {
  hand: 'within reach',
  lean: 'lean needed',
  twist: 'twist needed',
  leave: 'you leave the seat for it',
  ashore: "can't be reached on the water",
}

/** Short enough for a list row. */
export const ZONE_TAG: Record<Aboard['zone'], string> = {
  hand: 'hand',
  lean: 'lean',
  twist: 'twist',
  leave: 'leave',
  ashore: 'no reach',
}

/** A thing and where it is, for those who cannot see the drawing. */
export function placeWords(
  thing: Thing,
  from_bow_m: number,
  y_m: number,
  zone: Aboard['zone'] | undefined,
  units: Units,
): string {
  const mass = show(thing.mass_kg, 'mass', units)
  const words = [thing.name, mass, spotWords(from_bow_m, y_m, units)]
  return (zone ? [...words, ZONE_WORD[zone]] : words).join(', ')
}

export const spotWords = (from_bow_m: number, y_m: number, units: Units): string =>
  `${show(from_bow_m, 'length', units, 0)} from the bow, ${sideWords(y_m, units)}`

export const EVIDENCE_WORD = {
  weighed: 'weighed',
  label: 'from a label',
  guess: 'a guess',
} as const

/** Why fields were refused, each by what it is called. */
export const reasons = (fields: Schemas['FieldProblem'][]): string =>
  fields.map((one) => `${one.called}: ${one.why}`).join('; ')

const DIGITS: Partial<Record<Kind, number>> = { mass: 1, angle: 0, ratio: 0 }

/** Words of the core with a {} for each amount, in the user's units. */
export function told(text: string, amounts: Schemas['Amount'][], units: Units): string {
  const shown = amounts.map(({ kind, value }) => {
    const small = kind === 'length' && units === 'imperial' && value < 0.1
    return show(value, kind, units, kind === 'length' ? (small ? 1 : 0) : DIGITS[kind])
  })
  return text.split('{}').reduce((so_far, part, i) => `${so_far}${shown[i - 1] ?? ''}${part}`)
}

const FINE_DIGITS: Partial<Record<Kind, number>> = { mass: 1, angle: 1, length: 1, moment: 1 }
/** As finely as findings are told; a round angle is a round number. */
function fine(value: number, kind: Kind, units: Units): string {
  const round = kind === 'angle' && Number.isInteger(value)
  return show(value, kind, units, round ? 0 : FINE_DIGITS[kind]).replace('-', '−')
}

/** The same as precisely as a finding is told. */
export function said(words: Schemas['Said'], units: Units): string {
  const shown = words.amounts?.map(({ kind, value }) => fine(value, kind, units))
  return words.text
    .split('{}')
    .reduce((so_far, part, i) => `${so_far}${shown?.[i - 1] ?? ''}${part}`)
}

/** A figure against its limit, with its band: `1.1° ± 0.5°, limit 0.7°`. */
export function againstLimit(one: Schemas['Finding'], units: Units): string {
  if (!one.figure) return ''
  const { kind } = one.figure
  const value = fine(one.figure.value, kind, units)
  const band = one.band ? ` ±\u00a0${fine(one.band, kind, units)}` : ''
  const limit = one.limit ? `, limit ${fine(one.limit.value, kind, units)}` : ''
  return `${value}${band}${limit}`
}

/** A clash as seen from one of the two: how near, and how to clear it. */
export function clashWords(one: Schemas['Clash'], units: Units): string {
  const size = show(Math.abs(one.gap_m), 'length', units, 1)
  const near = one.gap_m < 0 ? `${size} into ${one.what}` : `only ${size} from ${one.what}`
  return `${near}. ${told(one.clear.text, one.clear.amounts ?? [], units)}`
}

/** So many items. */
export const counted = (count: number): string => `${count} ${count === 1 ? 'item' : 'items'}`
