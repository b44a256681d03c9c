/** In what order and groups the rows of the gear table stand. */
import { computed, ref } from 'vue'
import type { Schemas } from '@/api/client'
import { groupOf, type GearGroup, type GearRow } from './columns'

export type SortColumn = 'name' | 'mass_kg' | 'kind' | 'use' | 'fixed' | 'price' | 'where'

interface Table {
  rows: GearRow[]
  groupBy: GearGroup
  sums: readonly Schemas['GearSum'][]
}

export function useGearOrder(table: Table) {
  const by = ref<SortColumn>('name')
  const down = ref(false)
  function sortBy(column: SortColumn): void {
    down.value = by.value === column ? !down.value : column === 'mass_kg' || column === 'price'
    by.value = column
  }
  function key(row: GearRow): string | number {
    if (by.value === 'where') return row.where
    return by.value === 'fixed' ? row.thing.fixing.by : (row.thing[by.value] ?? '')
  }
  const sorted = computed(() => {
    const way = down.value ? -1 : 1
    return [...table.rows].sort((a, b) => {
      const [x, y] = [key(a), key(b)]
      const order =
        typeof x === 'number' && typeof y === 'number' ? x - y : String(x).localeCompare(String(y))
      return way * order || a.id - b.id
    })
  })
  /** The rows in their groups, in the order of the sums; one group without a name where none are asked. */
  const groups = computed(() => {
    if (!table.groupBy) return [{ name: '', sum: null, rows: sorted.value }]
    const of = (name: string) => sorted.value.filter((row) => groupOf(row, table.groupBy) === name)
    return table.sums
      .filter((sum) => sum.name)
      .map((sum) => ({ name: sum.name, sum, rows: of(sum.name) }))
      .filter((group) => group.rows.length)
  })
  const aria = (column: SortColumn) =>
    by.value === column ? (down.value ? 'descending' : 'ascending') : 'none'
  return { by, down, sortBy, aria, groups }
}
