<script setup lang="ts">
/** Every thing aboard, the one that is come by worst for its use first. */
import { computed } from 'vue'
import type { Aboard, FullReach, Thing } from '@/api/client'
import { show, type Units } from '@/kit/units'
import { ZONE_TAG, ZONE_WORD } from '@/kit/words'
import VerdictMark from '@/kit/VerdictMark.vue'

const props = defineProps<{
  aboard: Aboard[]
  needs: FullReach['needs']
  things: Record<string, Thing>
  chosen: number | null
  units: Units
}>()
const emit = defineEmits<{ choose: [id: number] }>()

const need = computed(() => new Map(props.needs.map((one) => [one.thing_id, one])))
const rows = computed(() =>
  [...props.aboard].sort((a, b) => {
    const far = (row: Aboard) => need.value.get(row.thing_id)?.steps_too_far ?? 0
    return far(b) - far(a) || (b.margin_used ?? 0) - (a.margin_used ?? 0)
  }),
)
/** Less than a finger's breadth is not worth a line. */
const short = (row: Aboard): boolean => row.thing_id === props.chosen && row.short_m > 0.015
const degrees = (value: number | null | undefined): string =>
  value == null ? '' : `${Math.round(Math.abs(value))}°`
/** The largest of the three turns of the trunk, and which it is. */
function lean(row: Aboard): string {
  const turns: [string, number][] = [
    ['fwd', row.pitch_deg ?? 0],
    [(row.lean_deg ?? 0) > 0 ? 'port' : 'starb.', Math.abs(row.lean_deg ?? 0)],
    ['twist', Math.abs(row.twist_deg ?? 0)],
  ]
  const [word, most] = turns.sort((a, b) => b[1] - a[1])[0]!
  if (most > 0.5) return `${degrees(most)} ${word}`
  return row.zone === 'twist' ? 'behind' : ''
}
</script>

<template>
  <div class="frame">
    <table aria-label="Reach of items aboard" data-testid="reach-table">
      <thead>
        <tr>
          <th scope="col">Item</th>
          <th scope="col">Used</th>
          <th scope="col" title="How near it should be, for how often you use it">Should be</th>
          <th scope="col" title="How near it is from your seat">Is now</th>
          <th scope="col">Body leans</th>
          <th scope="col" class="number">Boat heels</th>
          <th scope="col" class="number" title="Stability margin used while you lean for it">
            Margin used
          </th>
        </tr>
      </thead>
      <tbody>
        <template v-for="row in rows" :key="row.thing_id">
          <tr :class="{ chosen: row.thing_id === chosen }" :data-reach="row.thing_id">
            <th scope="row">
              <button
                type="button"
                :aria-pressed="row.thing_id === chosen"
                @click="emit('choose', row.thing_id)"
              >
                <VerdictMark
                  v-if="need.get(row.thing_id)?.steps_too_far"
                  :verdict="need.get(row.thing_id)!.steps_too_far > 1 ? 'fix' : 'watch'"
                  bare
                />
                {{ things[String(row.thing_id)]?.name }}
              </button>
            </th>
            <td>{{ things[String(row.thing_id)]?.use }}</td>
            <td>
              {{ need.get(row.thing_id) ? ZONE_TAG[need.get(row.thing_id)!.needed] : '' }}
            </td>
            <td :title="ZONE_WORD[row.zone]">{{ ZONE_TAG[row.zone] }}</td>
            <td>{{ lean(row) }}</td>
            <td class="number num">
              {{ row.heels_deg == null ? '–' : `${Math.abs(row.heels_deg).toFixed(1)}°` }}
            </td>
            <td class="number num">
              {{ row.margin_used == null ? '–' : `${Math.round(100 * row.margin_used)} %` }}
            </td>
          </tr>
          <tr v-if="row.steps.length || short(row)" class="more">
            <td colspan="7">
              <template v-if="row.steps.length">first {{ row.steps.join(', then ') }}</template>
              <template v-if="short(row)">
                {{ row.steps.length ? '; ' : '' }}a hand stays
                {{ show(row.short_m, 'length', units, 0) }} short while you sit still
              </template>
            </td>
          </tr>
        </template>
      </tbody>
    </table>
    <p v-if="rows.length === 0" class="soft">
      Nothing is aboard yet. Put items on the boat on the Bench; here you see what you can reach.
    </p>
  </div>
</template>

<style scoped>
.frame {
  overflow-x: auto;
}
table {
  width: 100%;
  border-collapse: collapse;
}
th,
td {
  padding: 2px 6px 2px 0;
  border-top: 1px solid var(--line);
  text-align: left;
  font-weight: 400;
  white-space: nowrap;
}
thead th {
  border: 0;
  color: var(--soft);
  font-size: 12px;
}
.number {
  text-align: right;
}
th button {
  display: flex;
  gap: 5px;
  align-items: center;
  padding: 1px 0;
  border: 0;
  background: none;
  color: var(--ink);
  font: inherit;
  cursor: pointer;
}
.chosen {
  background: var(--pick-pale);
}
.more td {
  padding-bottom: 3px;
  border: 0;
  color: var(--soft);
  font-size: 12px;
  white-space: normal;
}
</style>
