import { describe, expect, it } from 'vitest'
import { merged, patchOf } from './patch'

const place = { x_m: 1, z_m: null as number | null, on: null as object | null, group: 0 }
const thing = {
  name: 'Crate',
  mass_kg: 4,
  fixing: { by: 'loose', leashed: false },
  serves: ['light'],
}

describe('what was changed', () => {
  it('is only what differs, with what stood there', () => {
    expect(patchOf(thing, { ...thing, mass_kg: 5 })).toEqual({
      fields: { mass_kg: 5 },
      was: { mass_kg: 4 },
    })
    expect(patchOf(thing, structuredClone(thing))).toBeNull()
  })

  it('goes into objects, and takes lists and other kinds whole', () => {
    const leashed = { ...thing, fixing: { by: 'loose', leashed: true }, serves: [] }
    expect(patchOf(thing, leashed)).toEqual({
      fields: { fixing: { leashed: true }, serves: [] },
      was: { fixing: { leashed: false }, serves: ['light'] },
    })
    const well = { ...place, on: { kind: 'well', name: 'cockpit' } }
    const fitting = { ...place, on: { kind: 'fitting', name: 'Track', where: 'on' } }
    expect(patchOf(fitting, well)?.fields).toEqual({ on: well.on })
    expect(patchOf(well, place)?.fields).toEqual({ on: null })
    expect(patchOf(place, well)?.was).toEqual({ on: null })
  })

  it('laid over the newest keeps what others changed', () => {
    const mine = patchOf(thing, { ...thing, fixing: { by: 'strap', leashed: false } })!
    const newest = { ...thing, name: 'Box', fixing: { by: 'loose', leashed: true } }
    expect(merged(newest, mine.fields)).toEqual({
      ...newest,
      fixing: { by: 'strap', leashed: true },
    })
    expect(newest.fixing.by).toBe('loose')
  })

  it.each([
    [{ ...place, z_m: 0.3 }],
    [{ ...place, on: { kind: 'seat', where: 'under' } }],
    [{ ...place, x_m: 2, group: 3 }],
  ])('leads from the one to the other: %j', (after) => {
    expect(merged(place, patchOf(place, after)!.fields)).toEqual(after)
  })
})
