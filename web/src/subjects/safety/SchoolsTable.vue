<script setup lang="ts">
/** Three ways to tie what is aboard, side by side: what each loses, and what it tangles. */
import { computed } from 'vue'
import type { FullCapsize } from '@/api/client'

const props = defineProps<{
  schools: FullCapsize['schools']
  nameOf: (id: number | null) => string
  busy: boolean
}>()
const emit = defineEmits<{ take: [tied: number[]] }>()

type School = FullCapsize['schools'][number]
const listed = (ids: number[]) => ids.map(props.nameOf).join(', ')
const money = (price: number, ids: number[]) =>
  ids.length ? `${ids.length}, worth ${price}` : 'nothing'
const rows = computed(() => {
  const said = (word: string, of: (one: School) => string, title?: (one: School) => string) => ({
    word,
    cells: props.schools.map((one) => ({ text: of(one), title: title?.(one) })),
  })
  return [
    said(
      'sinks',
      (one) => money(one.lost_price, one.lost),
      (one) => listed(one.lost),
    ),
    said(
      'drifts off',
      (one) => money(one.adrift_price, one.adrift),
      (one) => listed(one.adrift),
    ),
    said('lines', (one) => String(one.lines)),
    said('around your legs', (one) => String(one.lines_in_legs)),
    said('that can cross there', (one) => String(one.crossings)),
  ]
})
</script>

<template>
  <table data-testid="schools">
    <thead>
      <tr>
        <th></th>
        <th v-for="one in schools" :key="one.way" scope="col">
          {{ one.way }}
          <button
            v-if="one.way !== 'as it is'"
            type="button"
            class="small"
            :disabled="busy"
            :aria-label="`Do it: ${one.way}`"
            @click="emit('take', one.tied)"
          >
            do it
          </button>
        </th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="row in rows" :key="row.word">
        <th scope="row">{{ row.word }}</th>
        <td v-for="(cell, n) in row.cells" :key="n" :title="cell.title">{{ cell.text }}</td>
      </tr>
    </tbody>
  </table>
</template>

<style scoped>
table {
  width: 100%;
  border-collapse: collapse;
  font-size: 12px;
}
th,
td {
  padding: 3px 6px;
  border-bottom: 1px solid var(--line);
  text-align: left;
}
tbody th {
  color: var(--soft);
  font-weight: 400;
}
</style>
