/** What to measure on a boat and where to hold the tape, in the order one walks round it. */
import type { Boat } from '@/api/client'

type LengthField = Exclude<keyof Boat['tape'], 'bottom' | 'chine' | 'assumed'>

export interface Measure {
  field: LengthField
  label: string
  where: string
  /** how to do it, in the walk */
  how?: string
  optional?: boolean
}

export const MEASURES: Measure[] = [
  {
    field: 'length_m',
    label: 'Length',
    where: 'tip to tip, the tape straight over the deck',
    how: 'Stand a board upright at each end and measure between the boards, not along the curve.',
  },
  {
    field: 'beam_m',
    label: 'Beam',
    where: 'over all at the widest place',
    how: 'Two straight sticks against the sides, plumb; measure between them. Mark the place with tape.',
  },
  {
    field: 'beam_at_m',
    label: 'Widest at',
    where: 'from the bow to that place',
    how: 'From the board at the bow to your mark, along the centerline.',
  },
  {
    field: 'beam_fore_quarter_m',
    label: 'Beam, bow quarter',
    where: 'a quarter of the length from the bow',
    how: 'Divide the length by four, mark that from the bow, and measure across with the sticks.',
  },
  {
    field: 'beam_aft_quarter_m',
    label: 'Beam, stern quarter',
    where: 'a quarter of the length from the stern',
    how: 'The same from the stern.',
  },
  {
    field: 'depth_m',
    label: 'Depth',
    where: 'amidships, ground to gunwale, boat level on flat ground',
    how: 'Boat on bare ground, chocked level. A straightedge across the gunwales; ground to its underside.',
  },
  {
    field: 'bow_height_m',
    label: 'Bow height',
    where: 'ground to the tip of the bow',
    how: 'Plumb down from the top of the bow to the ground, the boat still level.',
  },
  {
    field: 'stern_height_m',
    label: 'Stern height',
    where: 'ground to the tip of the stern',
    how: 'The same at the stern.',
  },
  {
    field: 'rocker_bow_m',
    label: 'Keel rise, bow',
    where: 'ground to keel, where the keel line meets the stem',
    how: 'Slide a ruler under the bow until the bottom turns up into the stem; read the gap there.',
  },
  {
    field: 'rocker_stern_m',
    label: 'Keel rise, stern',
    where: 'the same at the stern',
    how: 'The same where the bottom turns up at the stern.',
  },
  {
    field: 'bottom_beam_m',
    label: 'Bottom breadth',
    where: 'across the bottom, turn to turn, amidships',
    how: 'Boat turned over: where the flat of the bottom starts to turn up on each side. Leave it empty for what is usual.',
    optional: true,
  },
  {
    field: 'low_beam_m',
    label: 'Breadth low down',
    where: 'across the hull 10 cm above the ground, at the widest place',
    how: 'Boat level on the ground. Stand two blocks 10 cm high against the sides and measure between them: no other measure tells as much about stability.',
    optional: true,
  },
  {
    field: 'low_beam_fore_m',
    label: 'Low down, bow quarter',
    where: 'the same a quarter from the bow',
    how: 'The same blocks, a quarter of the length from the bow.',
    optional: true,
  },
  {
    field: 'low_beam_aft_m',
    label: 'Low down, stern quarter',
    where: 'the same a quarter from the stern',
    how: 'The same a quarter from the stern.',
    optional: true,
  },
  {
    field: 'hollow_m',
    label: 'Hollow or rise',
    where: 'how far the bottom stands off the ground amidships',
    how: 'A tunnel: the gap above the ground. A V or an arch: the gap where the bilge turns. Ridges: the gap between them.',
    optional: true,
  },
  {
    field: 'stern_beam_m',
    label: 'Transom',
    where: 'breadth of a square stern, 0 if it is pointed',
    how: 'Across the flat end at the gunwale. A pointed stern is 0.',
  },
]

export const BOTTOMS: { value: Boat['tape']['bottom']; label: string }[] = [
  { value: 'flat', label: 'flat' },
  { value: 'shallow_arch', label: 'shallow arch' },
  { value: 'shallow_v', label: 'shallow V' },
  { value: 'twin_ridge', label: 'twin ridge' },
  { value: 'tunnel', label: 'tunnel' },
]

/** What both tests afloat know of what stood in the boat. */
export interface TestLoad {
  water: 'fresh' | 'salt'
  load_kg: number
  load_x_m: number
  load_z_m: number
}

/** All that a setup carries, as one weight. */
export interface Aboard {
  kg: number
  x_m: number
  z_m: number
}

/** To begin a test with: the load of this setup as it stands, rounded as a scale and tape are. */
export const loadOf = (aboard: Aboard) => ({
  water: 'fresh' as const,
  load_kg: Math.round(aboard.kg * 10) / 10,
  load_x_m: Math.round(aboard.x_m * 1000) / 1000,
  load_z_m: Math.round(aboard.z_m * 1000) / 1000,
})
