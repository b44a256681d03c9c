<script setup lang="ts">
/** Name, bare weight, and what the maker allows. */
import type { Boat } from '@/api/client'
import type { Units } from '@/kit/units'
import ChoiceGroup from '@/kit/ChoiceGroup.vue'
import EvidenceChoice from '@/kit/EvidenceChoice.vue'
import QuantityInput from '@/kit/QuantityInput.vue'

const boat = defineModel<Boat>({ required: true })
const PROPULSION: [Boat['propulsion'], string][] = [
  ['paddle', 'paddle'],
  ['crank', 'pedals that turn'],
  ['push', 'pedals that push'],
  ['motor bow', 'motor at the bow'],
  ['motor side', 'motor at the side'],
  ['motor stern', 'motor at the stern'],
]
defineProps<{ units: Units; wrong: (field: string) => string }>()
</script>

<template>
  <h2>Weight and rating</h2>
  <div class="grid">
    <label for="boat-name">Name</label>
    <el-input id="boat-name" v-model="boat.name" size="small" />
    <p />
    <label>Bare weight</label>
    <QuantityInput
      v-model="boat.hull_mass_kg"
      label="Bare weight of the boat"
      kind="mass"
      :units="units"
      :wrong="wrong('hull_mass_kg')"
      testid="hull_mass_kg"
    />
    <EvidenceChoice v-model="boat.hull_evidence" />
    <label>Maker's rating</label>
    <QuantityInput
      v-model="boat.rated_kg"
      label="Maker's rating"
      kind="mass"
      :units="units"
      :wrong="wrong('rated_kg')"
      optional
      placeholder="if known"
    />
    <ChoiceGroup
      v-model="boat.rating_covers"
      label="What the rating covers"
      :options="[
        ['all aboard', 'all aboard'],
        ['all aboard and the boat', 'and the boat'],
      ]"
    />
    <label>Working load</label>
    <QuantityInput
      v-model="boat.working_share"
      label="Share of the rating that you load"
      kind="ratio"
      :units="units"
      :wrong="wrong('working_share')"
    />
    <p class="soft">of the rating; past the rating is a No-go</p>
    <label for="propulsion">Goes by</label>
    <select id="propulsion" v-model="boat.propulsion" data-testid="propulsion">
      <option v-for="[kind, word] in PROPULSION" :key="kind" :value="kind">{{ word }}</option>
    </select>
    <p class="soft">what the legs and hands need room for</p>
  </div>
</template>

<style scoped>
h2 {
  margin-top: 12px;
}
.grid {
  display: grid;
  grid-template-columns: 132px 118px 1fr;
  gap: 6px 10px;
  align-items: start;
}
select {
  height: 24px;
  border: 1px solid var(--line);
  border-radius: 6px;
  background: var(--card);
  color: var(--ink);
  font-size: 12px;
}
label {
  padding-top: 3px;
}
.grid p {
  margin: 0;
  padding-top: 4px;
  font-size: 12px;
}
</style>
