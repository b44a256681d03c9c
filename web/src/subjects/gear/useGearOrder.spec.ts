import { describe, expect, it } from 'vitest'
import type { GearRow } from './columns'
import { useGearOrder } from './useGearOrder'

const row = (id: number, name: string, mass_kg: number, kind: string, where: string): GearRow =>
  ({
    id,
    place: where,
    where,
    thing: { name, mass_kg, kind, price: null, fixing: { by: 'loose' } },
  }) as GearRow
const rows = [
  row(3, 'Net', 0.4, 'net', 'Cockpit'),
  row(1, 'Anchor', 1.5, 'anchor', 'Bow'),
  row(2, 'Crate', 1.5, 'box', 'Cockpit'),
]
const ids = (of: readonly GearRow[]) => of.map((one) => one.id)

describe('the order of the gear table', () => {
  it('is by name at first; figures begin with the most, and a second press turns it', () => {
    const { groups, sortBy, aria } = useGearOrder({ rows, groupBy: '', sums: [] })
    expect(ids(groups.value[0]!.rows)).toEqual([1, 2, 3])
    sortBy('mass_kg')
    expect(ids(groups.value[0]!.rows)).toEqual([1, 2, 3])
    expect([aria('mass_kg'), aria('name')]).toEqual(['descending', 'none'])
    sortBy('mass_kg')
    expect(ids(groups.value[0]!.rows)).toEqual([3, 1, 2]) // equals stay by their number
    expect(aria('mass_kg')).toBe('ascending')
  })

  it('stands in groups in the order of the sums, without those that hold nothing', () => {
    const sums = ['Cockpit', 'Stern', 'Bow'].map((name) => ({ name }) as never)
    const { groups } = useGearOrder({ rows, groupBy: 'place', sums })
    expect(groups.value.map((one) => [one.name, ids(one.rows)])).toEqual([
      ['Cockpit', [2, 3]],
      ['Bow', [1]],
    ])
  })

  it('leaves the rows as they were', () => {
    const { sortBy } = useGearOrder({ rows, groupBy: '', sums: [] })
    sortBy('where')
    expect(ids(rows)).toEqual([3, 1, 2])
  })
})
