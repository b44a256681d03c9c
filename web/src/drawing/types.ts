/** What the drawings are given of one thing aboard. */
import type { Aboard, Thing } from '@/api/client'
import type { Stand } from './stands'

/** What the core answered of it that is drawn; much else of its row changes as the boat leans. */
export type Looks = Pick<Aboard, 'zone' | 'misfit' | 'reel' | 'reel_at_m'>

export interface Drawn {
  id: number
  thing: Thing
  stand: Stand
  aboard: Looks | undefined
  selected: boolean
  /** where it stood before it was picked up */
  ghost: boolean
  /** it is tried elsewhere, or goes along with what is */
  moving?: boolean
  /** how many things it stands on or in; those are drawn first */
  depth: number
  /** how many items lie inside it */
  holds: number
  /** shut away in something that is not looked into now */
  hidden: boolean
}
