/** Which columns the table of gear has beside name and weight, and what its rows are grouped by. */
import type { Thing } from '@/api/client'
import { FLAGS } from '@/setup/thingWords'

export interface GearRow {
  id: number
  thing: Thing
  /** as the core says it; empty ashore */
  place: string
  where: string
}
export type GearGroup = '' | 'place' | 'kind'
type Flag = (typeof FLAGS)[number][0]
export type GearColumn = 'kind' | 'use' | 'fixed' | Flag | 'price' | 'where'

export const COLUMNS: readonly (readonly [GearColumn, string])[] = [
  ['kind', 'Kind'],
  ['use', 'Used'],
  ['fixed', 'Mounted with'],
  ...FLAGS,
  ['price', 'Price'],
  ['where', 'Where now'],
]
export const groupOf = (row: GearRow, by: GearGroup): string =>
  by === 'kind' ? row.thing.kind : row.place || 'Ashore'
