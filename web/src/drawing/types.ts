/** What the drawings are given of one thing aboard. */
import type { Aboard, Place, Thing } from '@/api/client'

export interface Drawn {
  id: number
  thing: Thing
  place: Place
  aboard: Aboard | undefined
  selected: boolean
  /** where it stood before it was picked up */
  ghost: boolean
}
