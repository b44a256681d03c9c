/** What mounts, checks and places on the hull are called. */
import type { MountFigure, Schemas } from '@/api/client'

type Check = NonNullable<MountFigure['governs']>
export const CHECK: Record<Check, string> = {
  bolt: 'bolts',
  hold: 'what they hold in',
  bearing: 'wall beside the bolts',
  tear: 'wall out to its edge',
  twist: 'grip of its one bolt',
  punch: 'wall at the base’s rim',
  wall: 'wall round the base',
  peel: 'bond, pulled off',
  bond_shear: 'bond, pushed aside',
}
export const BY: Record<MountFigure['by'], string> = {
  'track bolt': 'track bolts',
  'through bolt': 'bolts right through',
  'rivet nut': 'rivet nuts',
  'well nut': 'well nuts',
  screw: 'screws',
  clamp: 'clamp',
  strap: 'strap',
  glue: 'glue',
  tape: 'tape',
}
export const REGION: Record<MountFigure['region'], string> = {
  'fore deck': 'fore deck',
  'side deck': 'side deck',
  'aft deck': 'aft deck',
  cockpit: 'cockpit floor',
  well: 'floor of the well',
  lid: 'hatch lid',
}
export const MATERIAL: Record<Schemas['FixingPlan']['material'], string> = {
  rotomoulded: 'rotomoulded polyethylene',
  'blow-moulded': 'blow-moulded polyethylene',
  thermoformed: 'thermoformed sheet',
  'foam-cored': 'polyethylene with a foam core',
  laminate: 'glass laminate',
}
export const LASTS: Record<Schemas['SituationFigure']['duration'], string> = {
  snatch: 'a snatch',
  minutes: 'minutes',
  days: 'days',
}
/** Bolted kinds have a count, a size and holes. */
export const BOLTED = new Set<MountFigure['by']>([
  'track bolt',
  'through bolt',
  'rivet nut',
  'well nut',
  'screw',
])
