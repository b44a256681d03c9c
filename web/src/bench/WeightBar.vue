<script setup lang="ts">
/** What is carried, as parts of one bar that ends at the maker's rating. */
import { computed } from 'vue'
import type { Figures } from '@/api/client'
import { number, show, type Units } from '@/kit/units'

const props = defineProps<{
  weight: Figures['weight']
  band_kg: number | null
  units: Units
}>()

const full = computed(() => Math.max(props.weight.rated_kg ?? 0, props.weight.counted_kg, 1))
const share = (kg: number) => `${(100 * kg) / full.value}%`
</script>

<template>
  <div>
    <div class="bar" aria-hidden="true">
      <i class="angler" :style="{ width: share(weight.angler_kg) }" />
      <i class="gear" :style="{ width: share(weight.gear_kg) }" />
      <i class="boat" :style="{ width: share(weight.counted_kg - weight.carried_kg) }" />
      <i v-if="weight.working_kg" class="mark" :style="{ left: share(weight.working_kg) }" />
      <i
        v-if="weight.rated_kg && weight.counted_kg > weight.rated_kg"
        class="mark rated"
        :style="{ left: share(weight.rated_kg) }"
      />
    </div>
    <p class="parts">
      <i class="key angler" />angler {{ number(weight.angler_kg, 'mass', units) }}
      <i class="key gear" />gear {{ number(weight.gear_kg, 'mass', units) }}
      <span v-if="band_kg !== null">±&nbsp;{{ number(band_kg, 'mass', units) }}</span>
      <span class="all">with the boat {{ show(weight.all_up_kg, 'mass', units) }}</span>
    </p>
  </div>
</template>

<style scoped>
.bar {
  position: relative;
  display: flex;
  height: 14px;
  margin-top: 3px;
  overflow: hidden;
  border-radius: 7px;
  background: var(--line);
}
.bar i {
  display: block;
  height: 100%;
}
.angler {
  background: #2e5e68;
}
.gear {
  background: #c9a24a;
}
.bar .boat {
  background: var(--seat);
}
.mark {
  position: absolute;
  width: 0;
  border-left: 2px solid var(--ink);
}
.bar .rated {
  border-left-color: var(--stop);
}
.parts {
  display: flex;
  gap: 4px;
  align-items: center;
  margin: 4px 0 10px;
  color: var(--soft);
  font-size: 12px;
}
.key {
  width: 8px;
  height: 8px;
  border-radius: 2px;
}
.key:not(:first-child) {
  margin-left: 6px;
}
.all {
  margin-left: auto;
}
</style>
