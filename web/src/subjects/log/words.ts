/** What the log calls things. */
import type { Schemas } from '@/api/client'

export type Flag = Schemas['TroubleRow']['flag']
export const USES_WORD: Record<NonNullable<Schemas['Mark']['uses']>, string> = {
  '0': '0',
  '1-3': '1–3',
  '4-15': '4–15',
  more: '16 +',
}
export const FLAG_WORD: Record<Flag, string> = {
  out_of_reach: 'out of reach',
  broke: 'broke',
  wet: 'got wet',
  lost: 'lost',
}
export const FLAGS = Object.keys(FLAG_WORD) as Flag[]
/** Uses an hour, as people say it. */
export const perHour = (per_h: number) =>
  per_h === 0
    ? 'never'
    : per_h >= 1
      ? `${Math.round(per_h)} an hour`
      : `once in ${Math.round(1 / per_h)} h`
