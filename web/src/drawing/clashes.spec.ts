import { describe, expect, it } from 'vitest'
import type { TooNear } from '@/api/client'
import { clashMarks } from './clashes'

const near = (thing_id: number, with_thing: number | null, gap_m: number): TooNear => ({
  thing_id,
  with_thing,
  envelope: with_thing === null ? 'stroke port' : null,
  gap_m,
  verdict: 'fix',
  at: [0, 0, 0],
})
const CRATE = 9

describe('marks of what is too near', () => {
  const keys = (of: TooNear[], chosen: number[] = []) =>
    clashMarks(of, new Set(chosen)).map(({ key }) => key)

  it('keep their order while one gets deeper than another', () => {
    const [crate, rod] = [near(CRATE, 4, -0.02), near(2, null, -0.01)]
    expect(keys([crate, rod])).toEqual(keys([rod, { ...crate, gap_m: -0.005 }]))
  })

  it('lie over the others where what is chosen has a part, on either side of it', () => {
    const [first, second, other] = [near(CRATE, 4, 0), near(2, CRATE, 0), near(3, null, 0)]
    expect(clashMarks([first, second, other], new Set([CRATE])).map(({ mine }) => mine)).toEqual([
      false,
      true,
      true,
    ])
    expect(keys([first, second, other], [CRATE])[0]).toBe('3::stroke port')
  })

  it('are one each for a pair and for each room that one item stands in', () => {
    const rooms = ['stroke port', 'feet'].map((envelope) => ({ ...near(2, null, 0), envelope }))
    expect(new Set(keys([...rooms, near(2, 5, 0)])).size).toBe(3)
  })
})
