import { describe, expect, it } from 'vitest'
import type { Fitting, Place, Thing } from '@/api/client'
import { looksInside } from './insides'

const thing = (more: Partial<Thing> = {}) => ({ shape: 'box', ...more }) as Thing
const on = (on: Place['on']) => ({ on }) as Place
const [CRATE, BOX, REEL, ROD, HOLDER, BAG] = [1, 2, 3, 4, 5, 6]
const THINGS = {
  [CRATE]: thing({ container: { opens: 'open' } }),
  [BOX]: thing({ container: { opens: 'lid' } }),
  [REEL]: thing(),
  [ROD]: thing({ shape: 'rod' }),
  [HOLDER]: thing({ holder: { tubes: 1 } }),
  [BAG]: thing(),
}
const HATCH = { kind: 'hatch', name: 'Bow hatch' } as Fitting
const inside = (id: number) => on({ kind: 'thing', thing: id, where: 'in' })
const PLACES = new Map([
  [CRATE, on(null)],
  [BOX, inside(CRATE)],
  [REEL, inside(BOX)],
  [ROD, inside(CRATE)],
  [HOLDER, on(null)],
  [BAG, on({ kind: 'fitting', name: 'Bow hatch', where: 'in' })],
])
const hidden = (...selected: number[]) => {
  const look = looksInside(PLACES, THINGS, [HATCH], selected)
  return [...PLACES.keys()].filter((id) => look(id).hidden)
}

describe('what lies in something', () => {
  it('is a count until it is looked into; a rod stands out of an open crate', () => {
    expect(hidden()).toEqual([BOX, REEL, BAG])
    expect(looksInside(PLACES, THINGS, [HATCH], [])(CRATE).holds).toBe(1)
  })
  it('is seen once what holds it, or it, is selected', () => {
    expect(hidden(CRATE)).toEqual([REEL, BAG])
    expect(hidden(REEL)).toEqual([BAG])
    expect(hidden(BAG)).toEqual([BOX, REEL])
  })
})
