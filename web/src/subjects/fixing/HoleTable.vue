<script setup lang="ts">
/** Every hole in the hull: whose, how high over the water, and whether a hand comes behind it. */
import { ref } from 'vue'
import type { HoleFigure, Schemas } from '@/api/client'
import { CHOICES } from '@/api/words'
import { show, type Units } from '@/kit/units'
import VerdictMark from '@/kit/VerdictMark.vue'
import QuantityInput from '@/kit/QuantityInput.vue'
import { pick } from '@/kit/heard'

type Hole = Schemas['Hole']
const props = defineProps<{
  holes: readonly HoleFigure[]
  own: Readonly<Record<string, Hole>>
  bow_x_m: number
  units: Units
  /** where a template is, by its key */
  template: (key: string) => string
}>()
const emit = defineEmits<{ hole: [name: string, fields: Partial<Hole> | null] }>()

const name = ref('')
const from_bow_m = ref(1)
const aside_m = ref(0)
const over_floor_m = ref(0.3)
const d_mm = ref(6)
function add(): void {
  const called = name.value.trim()
  if (!called || props.own[called]) return
  emit('hole', called, {
    x_m: props.bow_x_m - from_bow_m.value,
    y_m: -aside_m.value,
    z_m: over_floor_m.value,
    d_mm: d_mm.value,
    state: 'drilled',
  })
  name.value = ''
}
/** Whose it is, and what seals it; a tube is its own. */
function whose(one: HoleFigure): string {
  const user = one.used_by === null ? 'used by nothing' : `for ${one.used_by}`
  const parts = [one.used_by === one.name ? '' : user, one.seal === 'none' ? '' : one.seal]
  return parts.filter(Boolean).join(', ')
}
const hand = (one: HoleFigure) =>
  !one.needs_hand
    ? 'not needed'
    : one.behind
      ? `by ${one.behind}`
      : one.spare_m === null
        ? 'no hatch'
        : `none: ${show(-one.spare_m, 'length', props.units)} short`
</script>

<template>
  <section aria-label="Holes">
    <table v-if="holes.length">
      <thead>
        <tr>
          <th>Hole</th>
          <th>state</th>
          <th class="num">across</th>
          <th class="num">above the water</th>
          <th class="num">to the next, diameters</th>
          <th class="num">to an edge</th>
          <th>a hand behind</th>
          <th />
        </tr>
      </thead>
      <tbody data-testid="holes">
        <tr v-for="one in holes" :key="one.name + (one.template ?? '')">
          <th scope="row">
            <VerdictMark :verdict="one.verdict" bare /> {{ one.name }}
            <small>{{ whose(one) }}</small>
          </th>
          <td>
            <select
              v-if="own[one.name]"
              :value="one.state"
              :aria-label="`${one.name}: state`"
              @change="emit('hole', one.name, { state: pick($event) as Hole['state'] })"
            >
              <option v-for="state in CHOICES.Hole.state" :key="state">{{ state }}</option>
            </select>
            <template v-else>{{ one.state }}</template>
          </td>
          <td class="num">{{ show(one.d_mm / 1000, 'thin', units) }}</td>
          <td class="num">
            {{ one.over_m === null ? '—' : show(one.over_m, 'length', units) }}
            <small v-if="one.over_m !== null">at {{ Math.abs(one.heel_deg).toFixed(0) }}°</small>
          </td>
          <td class="num">
            {{
              one.spacing_d === null ? '—' : one.spacing_d > 99 ? 'far' : one.spacing_d.toFixed(1)
            }}
          </td>
          <td class="num">
            {{ one.edge_d === null ? '—' : one.edge_d > 99 ? 'far' : one.edge_d.toFixed(1) }}
          </td>
          <td>{{ hand(one) }}</td>
          <td>
            <a v-if="one.template" :href="template(one.template)" target="_blank">template</a>
            <button
              v-if="own[one.name]"
              type="button"
              class="small"
              :aria-label="`Forget ${one.name}`"
              @click="emit('hole', one.name, null)"
            >
              ×
            </button>
          </td>
        </tr>
      </tbody>
    </table>
    <p v-else class="soft">No hole is known yet but those the boat was made with.</p>
    <form class="add" @submit.prevent="add">
      <label
        >A hole that is there <input v-model="name" maxlength="40" data-testid="hole-name"
      /></label>
      <label
        >from the bow
        <QuantityInput v-model="from_bow_m" label="From the bow" kind="length" :units="units"
      /></label>
      <label
        >to starboard
        <QuantityInput v-model="aside_m" label="To starboard" kind="length" :units="units"
      /></label>
      <label
        >over the bottom
        <QuantityInput
          v-model="over_floor_m"
          label="Above the lowest point of the hull"
          kind="length"
          :units="units"
          testid="hole-height"
      /></label>
      <label
        >across
        <QuantityInput
          :model-value="d_mm / 1000"
          label="Diameter"
          kind="thin"
          :units="units"
          @update:model-value="d_mm = $event * 1000"
      /></label>
      <button type="submit" class="small" :disabled="!name.trim()" data-testid="hole-add">
        Note it
      </button>
    </form>
  </section>
</template>

<style scoped src="./tables.css"></style>
<style scoped>
a {
  margin-left: 8px;
}
.add {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 10px;
  align-items: end;
  margin-top: 8px;
}
label {
  display: grid;
  gap: 2px;
  color: var(--soft);
  font-size: 12px;
}
label :deep(input) {
  width: 84px;
}
label > input {
  width: 150px;
  height: 28px;
}
</style>
