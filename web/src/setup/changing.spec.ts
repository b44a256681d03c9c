import { describe, expect, it } from 'vitest'
import type { Place, Setup, Thing } from '@/api/client'
import { USUAL } from '@/api/words'
import { changesOf } from './changing'
import type { Call } from './outbox'

const place = { x_m: 1, y_m: 0, z_m: null, on: null } as Place
const crate = { name: 'Crate', mass_kg: 4 } as Thing
const setup = {
  name: 'Pond',
  safety: { leashes: { '7': { length_m: 0.6, kind: 'coil', on_body: false } } },
  fixing: { done: {} },
  power: { air_c: 20, conductors: { '3': { start: 1, end: 2 } } },
} as unknown as Setup

/** What goes out, and what it is called. */
function changes(stands: Record<number, Place> = { 7: place }) {
  const out: { label: string; call: Call }[] = []
  const change = (label: string, call: Call) => {
    out.push({ label, call })
    return Promise.resolve(true)
  }
  const newest = { place: (id: number) => stands[id] ?? null, setup: () => setup }
  return { out, ...changesOf(change, (id) => `item ${id}`, newest) }
}

describe('a change', () => {
  it('is what was changed, with what stood there, and no more', async () => {
    const { out, put } = changes()
    await put(7, { ...place, x_m: 2 })
    expect(out).toEqual([
      {
        label: 'place for item 7',
        call: { edits: [{ what: 'place', id: 7, fields: { x_m: 2 }, was: { x_m: 1 } }] },
      },
    ])
  })

  it('is not sent where nothing was changed', async () => {
    const { out, put, putPower, putThing } = changes()
    expect(await put(7, { ...place })).toBe(true)
    expect(await putPower({ air_c: 20 })).toBe(true)
    expect(await putThing(7, { ...crate }, crate)).toBe(true)
    expect(out).toEqual([])
  })

  it('counts from what somebody saw, where that is older than the newest', async () => {
    const { out, put } = changes()
    await put(7, { ...place, x_m: 2, y_m: 0.3 }, { ...place, x_m: 2 })
    expect(out[0]!.call).toEqual({
      edits: [{ what: 'place', id: 7, fields: { y_m: 0.3 }, was: { y_m: 0 } }],
    })
  })

  it('puts what is ashore whole, and takes off what stands', async () => {
    const { out, put, takeAshore } = changes({ 7: place })
    await put(8, place)
    await takeAshore(7)
    expect(await takeAshore(8)).toBe(true) // it is not aboard
    expect(out.map((one) => 'edits' in one.call && one.call.edits)).toEqual([
      [{ what: 'place', id: 8, fields: place, was: null }],
      [{ what: 'place', id: 7, fields: null, was: null }],
    ])
  })

  it('takes a row away by its key, and leaves the others', async () => {
    const { out, putPower } = changes()
    await putPower({ conductors: { '3': null } })
    expect(out[0]!.call).toEqual({
      edits: [
        {
          what: 'setup',
          id: null,
          fields: { power: { conductors: { '3': null } } },
          was: { power: { conductors: { '3': { start: 1, end: 2 } } } },
        },
      ],
    })
  })

  it('of a row that is new has with it what is usual, and of one that is there no more', async () => {
    const { out, putSafety, putFixing } = changes()
    await putSafety({ leashes: { 7: { length_m: 0.4 }, 8: { length_m: 0.4 } } })
    const fields = {
      safety: { leashes: { 7: { length_m: 0.4 }, 8: { ...USUAL.Leash, length_m: 0.4 } } },
    }
    expect(out[0]!.call).toMatchObject({ edits: [{ fields }] })
    await putFixing({ done: { '5': 'drilled' } } as never) // rows that are no objects
    expect(out[1]!.call).toMatchObject({
      edits: [{ fields: { fixing: { done: { 5: 'drilled' } } } }],
    })
  })

  it('of several places is one step with one name', async () => {
    const { out, putPlaces } = changes({ 7: place, 8: place })
    await putPlaces('Take ashore', [
      [7, null],
      [8, null],
    ])
    expect(out).toHaveLength(1)
    expect(out[0]!.call).toMatchObject({ label: 'Take ashore: item 7 and 1 more', edits: [{}, {}] })
  })
})
