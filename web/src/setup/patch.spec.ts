import { describe, expect, it } from 'vitest'
import { merged, partOf, patchOf, rebased, rebasedFields } from './patch'

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

  it('takes a kind that nothing is told apart by for a field like others', () => {
    const line = { kind: 'coil', length_m: 0.6 }
    expect(patchOf({ line }, { line: { kind: 'cord' } })).toEqual({
      fields: { line: { kind: 'cord' } },
      was: { line: { kind: 'coil' } },
    })
    expect(merged({ line }, { line: { kind: 'cord' } }).line).toEqual({ ...line, kind: 'cord' })
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

describe('what was made over something that never came to be', () => {
  const from = { a: 9, on: { kind: 'well', name: 'Tank' }, phases: [{ h: 99, air: 20 }, { h: 2 }] }
  const to = { a: 1, on: { kind: 'well', name: 'Bow' }, phases: [{ h: 4, air: 20 }, { h: 2 }] }

  it('was as it is in its place', () => {
    expect(rebased({ a: 9, b: 5 }, from, to)).toEqual({ a: 1, b: 5 })
    expect(rebased({ a: 8 }, from, to)).toEqual({ a: 8 })
    expect(rebased({ on: { name: 'Tank' } }, from, to)).toEqual({ on: { name: 'Bow' } })
    expect(rebased({ a: 9 }, from, {})).toEqual({ a: null })
  })

  it('is the same in whatever order its fields stand', () => {
    const ours = { duties: { 13: [{ level: 1, cycle: null, phase: 'day' }] } }
    const theirs = { duties: { 13: [{ phase: 'day', level: 1 }] } }
    expect(patchOf(ours, theirs)).toBeNull()
    expect(rebased(ours, theirs, { duties: {} })).toEqual({ duties: {} })
  })

  it('is of a row what a patch tells of', () => {
    const row = { a: 1, on: { kind: 'well', name: 'Bow' }, phases: [{ h: 4 }] }
    expect(partOf(row, { on: { name: 'Tank' }, phases: [], air: 3 })).toEqual({
      on: { name: 'Bow' },
      phases: [{ h: 4 }],
      air: null,
    })
    expect(partOf(null, { a: 9 })).toBeNull()
  })

  it('stays as it was where another kind of thing stands there', () => {
    const rail = { ...to, on: { kind: 'fitting', name: 'Bow' } }
    expect(rebased({ on: { name: 'Tank' } }, from, rail)).toEqual({ on: { name: 'Tank' } })
  })

  it('keeps what was changed of a list, and no more of it', () => {
    const mine = { a: 9, phases: [{ h: 99, air: 25 }, { h: 3 }] }
    expect(rebasedFields(mine, from, to)).toEqual({ a: 9, phases: [{ h: 4, air: 25 }, { h: 3 }] })
    const shorter = { phases: [{ h: 2 }] }
    expect(rebasedFields(shorter, from, to)).toEqual(shorter)
  })

  it('is made anew, whole, where only a part of it was changed', () => {
    const row = { lines: { 7: { kind: 'coil', on_body: false, length_m: 99 } } }
    const [none, mine] = [{ lines: { 7: null } }, { lines: { 7: { length_m: 1 } } }]
    expect(rebasedFields(mine, row, none)).toEqual({
      lines: { 7: { kind: 'coil', on_body: false, length_m: 1 } },
    })
    expect(rebased({ lines: { 7: { length_m: 99 } } }, row, none)).toEqual(none)
  })
})
