<script setup lang="ts">
/** The place of one thing by number: the drawing is never the only way. */
import { computed } from 'vue'
import type { Aboard, Place, Thing } from '@/api/client'
import type { Units } from '@/edge/units'
import QuantityInput from './QuantityInput.vue'

const props = defineProps<{
  place: Place
  thing: Thing
  aboard: Aboard | undefined
  bow_x_m: number
  units: Units
}>()
const emit = defineEmits<{ place: [place: Place]; ashore: []; edit: [] }>()

const side = computed(() => (props.place.y_m < 0 ? -1 : 1))
const height = computed(() => props.place.z_m ?? props.aboard?.base_z_m ?? 0)

function put(change: Partial<Place>): void {
  emit('place', { ...props.place, ...change })
}
</script>

<template>
  <div class="editor" data-testid="place-editor">
    <label>From bow</label>
    <QuantityInput
      label="Distance from the bow"
      kind="length"
      :units="units"
      :model-value="bow_x_m - place.x_m"
      testid="from-bow"
      @update:model-value="put({ x_m: bow_x_m - $event })"
    />
    <label>To the side</label>
    <div class="pair">
      <QuantityInput
        label="Distance from the centreline"
        kind="length"
        :units="units"
        :model-value="Math.abs(place.y_m)"
        testid="to-side"
        @update:model-value="put({ y_m: side * $event })"
      />
      <button
        type="button"
        class="flip"
        :title="`now to ${side > 0 ? 'port' : 'starboard'}; press for the other side`"
        @click="put({ y_m: -place.y_m })"
      >
        {{ Math.abs(place.y_m) < 0.005 ? 'middle' : side > 0 ? 'port' : 'starb.' }}
      </button>
    </div>
    <label>Height</label>
    <div class="pair">
      <QuantityInput
        label="Height over the bottom of the boat"
        kind="length"
        :units="units"
        :model-value="height"
        testid="height"
        @update:model-value="put({ z_m: $event })"
      />
      <button
        type="button"
        class="flip"
        :aria-pressed="place.z_m === null"
        :title="
          place.z_m === null ? 'it rests on the deck or floor' : 'let it rest on the deck or floor'
        "
        @click="put({ z_m: place.z_m === null ? height : null })"
      >
        {{ place.z_m === null ? 'rests' : 'raised' }}
      </button>
    </div>
    <label>Turn</label>
    <QuantityInput
      label="Turn, from pointing at the bow toward port"
      kind="angle"
      :units="units"
      :digits="0"
      :model-value="place.turn_deg"
      @update:model-value="put({ turn_deg: $event })"
    />
    <template v-if="thing.shape === 'rod'">
      <label>Tilt up</label>
      <QuantityInput
        label="Tilt of the tip, up from level"
        kind="angle"
        :units="units"
        :digits="0"
        :model-value="place.tilt_deg"
        @update:model-value="put({ tilt_deg: $event })"
      />
    </template>
    <div class="acts">
      <button type="button" class="flip" @click="emit('edit')">Weight, size…</button>
      <button type="button" class="flip" @click="emit('ashore')">Ashore <kbd>A</kbd></button>
    </div>
  </div>
</template>

<style scoped>
.editor {
  display: grid;
  grid-template-columns: 66px 1fr;
  gap: 4px 6px;
  align-items: start;
  padding: 6px 8px 8px;
  border: 1px solid var(--pick);
  border-top: 0;
  border-radius: 0 0 6px 6px;
  background: var(--card);
}
label {
  padding-top: 3px;
  color: var(--soft);
  font-size: 12px;
}
.pair {
  display: flex;
  gap: 4px;
}
.pair > :first-child {
  flex: 1;
}
.flip {
  height: 24px;
  padding: 0 7px;
  border: 1px solid var(--line);
  border-radius: 6px;
  background: var(--paper);
  color: var(--ink);
  font-size: 12px;
  cursor: pointer;
  white-space: nowrap;
}
.flip:hover {
  border-color: var(--soft);
}
.acts {
  display: flex;
  grid-column: 1 / -1;
  gap: 6px;
  margin-top: 2px;
}
</style>
