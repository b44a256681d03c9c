/** What to take a tape and a scale to, in the order one walks round the boat. */
import { MEASURES } from '@/setup/measures'

export interface Step {
  field: string
  label: string
  where: string
  how: string
  kind: 'length' | 'mass' | 'bottom' | 'chine'
  /** nothing can be computed without it */
  needed?: boolean
  /** there is no typical one: it is left open */
  open?: boolean
}

const TAKEN = [
  'length_m',
  'beam_m',
  'beam_at_m',
  'beam_fore_quarter_m',
  'beam_aft_quarter_m',
  'depth_m',
  'bow_height_m',
  'stern_height_m',
  'rocker_bow_m',
  'rocker_stern_m',
  'low_beam_m',
]
const lengths: Step[] = MEASURES.filter((one) => TAKEN.includes(one.field)).map((one) => ({
  field: one.field,
  label: one.label,
  where: one.where,
  how: one.how ?? '',
  kind: 'length',
  needed: one.field === 'length_m' || one.field === 'beam_m',
  open: one.optional,
}))

const SEAT: Step = {
  field: 'seat_from_bow_m',
  label: 'Seat',
  where: 'from the bow to where the pan meets the back',
  how: 'The seat where you fish from. It decides, more than any gear, which end lies deeper.',
  kind: 'length',
}
const BOTTOM: Step = {
  field: 'bottom',
  label: 'Bottom',
  where: 'look along it from the stern, boat turned over',
  how: 'Lay a straight stick across it amidships: what stands off the stick is the shape.',
  kind: 'bottom',
}
const CHINE: Step = {
  field: 'chine',
  label: 'Turn of the bilge',
  where: 'where the bottom turns up into the side',
  how: 'Run a hand round it: soft is round, hard is an edge.',
  kind: 'chine',
}
export const WEIGHT: Step = {
  field: 'hull_mass_kg',
  label: 'Boat weighs',
  where: 'without seat and gear',
  how: 'Weigh yourself with the boat on your shoulder, or lift each end on a scale and add the two.',
  kind: 'mass',
}
export const RATING: Step = {
  field: 'rated_kg',
  label: "Maker's rating",
  where: 'what it may carry, on its label',
  how: 'A plate in the cockpit or near the stern names it; leave it open where there is none.',
  kind: 'mass',
  open: true,
}

/** The walk: two that are needed, the seat while the tape is out, then the rest. */
export const STEPS: Step[] = [
  ...lengths.slice(0, 2),
  SEAT,
  ...lengths.slice(2, 6),
  BOTTOM,
  CHINE,
  ...lengths.slice(6),
  WEIGHT,
  RATING,
]
export const LABEL_STEPS: Step[] = [...lengths.slice(0, 2), WEIGHT, RATING]
