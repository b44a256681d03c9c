import { describe, expect, it } from 'vitest'
import type { SetupState } from '@/api/client'
import { laidOver } from './laidOver'
import type { Edit, Held } from './outbox'

const state = {
  setup_id: 1,
  setup: {
    name: 'Pond',
    boat: { name: 'Skiff', mass_kg: 30 },
    things: { 7: { name: 'Crate', mass_kg: 4 }, 8: { name: 'Tray', mass_kg: 1 } },
    places: {
      7: { x_m: 1, on: null },
      8: { x_m: 0, on: { kind: 'thing', thing: 7, where: 'in' } },
    },
    power: { air_c: 20, conductors: { 3: { end: 1 }, 4: { end: 2 } } },
  },
} as unknown as SetupState
const held = (...edits: Edit[]): Held[] =>
  edits.map((edit, i) => ({ key: `${i}`, setup_id: 1, label: '', call: { edits: [edit] } }))

describe('what is not confirmed yet', () => {
  it('stands over what is, in the order it was made, and for its own setup alone', () => {
    const edits = [{ mass_kg: 31 }, { mass_kg: 32 }].map((fields): Edit => ({
      what: 'boat',
      id: null,
      fields,
      was: null,
    }))
    expect(laidOver(state, held(...edits)).setup.boat).toEqual({ name: 'Skiff', mass_kg: 32 })
    const other = held(...edits).map((one) => ({ ...one, setup_id: 2 }))
    expect(laidOver(state, other)).toBe(state)
  })

  it('takes ashore with a thing all that it holds', () => {
    const gone = held({ what: 'place', id: 7, fields: null, was: null })
    expect(laidOver(state, gone).setup.places).toEqual({})
  })

  it('has no row that a change takes away, whatever else is changed after', () => {
    const change = (power: object): Edit => ({
      what: 'setup',
      id: null,
      fields: { power } as Edit['fields'],
      was: null,
    })
    const now = laidOver(
      state,
      held(
        change({ conductors: { 3: null } }),
        change({ air_c: 5, conductors: { 4: { end: 9 } } }),
      ),
    )
    expect(now.setup.power).toEqual({ air_c: 5, conductors: { 4: { end: 9 } } })
    expect(state.setup.power.conductors).toHaveProperty('3')
  })
})
