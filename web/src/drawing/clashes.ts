/** The marks of what is too near to what, each the same mark while things are moved about. */
import type { TooNear } from '@/api/client'

export const clashKey = ({ thing_id, with_thing, envelope }: TooNear): string =>
  `${thing_id}:${with_thing ?? ''}:${envelope ?? ''}`

export interface ClashMark {
  clash: TooNear
  key: string
  /** what is chosen has a part in it */
  mine: boolean
}

/**
 * As they are drawn: those of what is chosen lie over the others. In either lot they keep their order
 * while one gets deeper than another, or they would be put in anew at every move.
 */
export const clashMarks = (tooNear: readonly TooNear[], chosen: ReadonlySet<number>): ClashMark[] =>
  tooNear
    .map((clash) => ({
      clash,
      key: clashKey(clash),
      mine: [clash.thing_id, clash.with_thing].some((id) => id != null && chosen.has(id)),
    }))
    .sort((a, b) => Number(a.mine) - Number(b.mine) || (a.key < b.key ? -1 : 1))
