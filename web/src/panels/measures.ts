/** What to measure on a boat and where to hold the tape, in the order one walks round it. */
import type { Boat } from '@/api/client'

type LengthField = Exclude<keyof Boat['tape'], 'bottom' | 'chine'>

export const MEASURES: { field: LengthField; label: string; where: string }[] = [
  { field: 'length_m', label: 'Length', where: 'tip to tip, the tape straight over the deck' },
  { field: 'beam_m', label: 'Beam', where: 'over all at the widest place' },
  { field: 'beam_at_m', label: 'Widest at', where: 'from the bow to that place' },
  {
    field: 'beam_fore_quarter_m',
    label: 'Beam, fore quarter',
    where: 'a quarter of the length from the bow',
  },
  {
    field: 'beam_aft_quarter_m',
    label: 'Beam, aft quarter',
    where: 'a quarter of the length from the stern',
  },
  {
    field: 'depth_m',
    label: 'Depth',
    where: 'amidships, floor to gunwale, boat level on a flat floor',
  },
  { field: 'bow_height_m', label: 'Bow height', where: 'floor to the tip of the bow' },
  { field: 'stern_height_m', label: 'Stern height', where: 'floor to the tip of the stern' },
  {
    field: 'rocker_bow_m',
    label: 'Keel rise, bow',
    where: 'floor to keel, where the keel line meets the stem',
  },
  { field: 'rocker_stern_m', label: 'Keel rise, stern', where: 'the same at the stern' },
]

export const BOTTOMS: { value: Boat['tape']['bottom']; label: string }[] = [
  { value: 'flat', label: 'flat' },
  { value: 'shallow_arch', label: 'shallow arch' },
  { value: 'shallow_v', label: 'shallow V' },
  { value: 'twin_ridge', label: 'twin ridge' },
  { value: 'tunnel', label: 'tunnel' },
]
