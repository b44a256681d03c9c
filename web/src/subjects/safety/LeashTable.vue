<script setup lang="ts">
/** What is loose or on a line: tie it, or let it be; how long, of what, and to whom. */
import { computed } from 'vue'
import type { FullCapsize, SafetyPlan, Thing } from '@/api/client'
import { CHOICES } from '@/api/words'
import { pick, ticked } from '@/kit/heard'
import QuantityInput from '@/kit/QuantityInput.vue'
import type { Units } from '@/kit/units'
import type { SafetyChange } from '@/setup/changing'

const props = defineProps<{
  full: FullCapsize
  plan: SafetyPlan
  things: Record<string, Thing>
  units: Units
}>()
const emit = defineEmits<{ take: [SafetyChange]; tie: [id: number, tied: boolean] }>()

type Leash = SafetyPlan['leashes'][string]
const rows = computed(() =>
  props.full.fates
    .filter((row) => row.fate === 'sinks' || row.fate === 'floats off' || row.load_kg != null)
    .map((row) => ({
      ...row,
      thing: props.things[String(row.thing_id)],
      leash: props.plan.leashes[String(row.thing_id)],
    }))
    .filter((row) => row.thing),
)
const change = (id: number, fields: Partial<Leash>) =>
  emit('take', { leashes: { [String(id)]: fields } })
</script>

<template>
  <table data-testid="leashes">
    <thead>
      <tr>
        <th scope="col">Tied</th>
        <th scope="col">Length</th>
        <th scope="col">By a</th>
        <th scope="col">To you</th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="row in rows" :key="row.thing_id">
        <th scope="row">
          <label
            ><input
              type="checkbox"
              :checked="row.thing!.fixing.leashed"
              :data-testid="`tie-${row.thing_id}`"
              @change="emit('tie', row.thing_id, ticked($event))"
            />
            {{ row.thing!.name }}</label
          >
        </th>
        <template v-if="row.thing!.fixing.leashed">
          <td>
            <QuantityInput
              :model-value="row.leash?.length_m ?? plan.tie_line_m"
              :label="`Length of the line of ${row.thing!.name}`"
              kind="length"
              :digits="0"
              :units="units"
              :testid="`leash-${row.thing_id}`"
              @update:model-value="change(row.thing_id, { length_m: $event })"
            />
          </td>
          <td>
            <select
              :value="row.leash?.kind ?? 'coil'"
              :aria-label="`What the line of ${row.thing!.name} is`"
              @change="change(row.thing_id, { kind: pick($event) as Leash['kind'] })"
            >
              <option v-for="one in CHOICES.Leash.kind" :key="one">{{ one }}</option>
            </select>
          </td>
          <td>
            <input
              type="checkbox"
              :checked="row.leash?.on_body ?? false"
              :aria-label="`${row.thing!.name} is tied to you`"
              @change="change(row.thing_id, { on_body: ticked($event) })"
            />
          </td>
        </template>
        <td v-else colspan="3" class="soft">
          {{ row.fate === 'sinks' ? 'sinks' : 'drifts off' }}
        </td>
      </tr>
    </tbody>
  </table>
  <p v-if="!rows.length" class="soft">Nothing is loose or on a line: all of it stays.</p>
</template>

<style scoped>
table {
  width: 100%;
  border-collapse: collapse;
  font-size: 12px;
}
th,
td {
  padding: 2px 4px;
  text-align: left;
  font-weight: 400;
}
thead th {
  color: var(--soft);
}
td :deep(.el-input) {
  width: 74px;
}
select {
  height: 24px;
  border: 1px solid var(--line);
  border-radius: 5px;
  background: var(--card);
  color: var(--ink);
  font: inherit;
}
</style>
