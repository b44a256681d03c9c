<script setup lang="ts">
/** The boat gone over, as a column of water: what drifts, what stays, what is on the bottom. */
import { computed } from 'vue'
import type { FullCapsize, Thing } from '@/api/client'
import GearPicture from '@/drawing/GearPicture.vue'
import { show, type Units } from '@/kit/units'
import { FATES } from './fates'

const props = defineProps<{
  full: FullCapsize
  things: Record<string, Thing>
  units: Units
}>()

const bands = computed(() =>
  FATES.map(([fate, word]) => {
    const rows = props.full.fates
      .filter((row) => row.fate === fate)
      .map((row) => ({ ...row, thing: props.things[String(row.thing_id)]! }))
      .filter((row) => row.thing)
    return {
      fate,
      word,
      rows,
      kg: rows.reduce((sum, row) => sum + row.thing.mass_kg, 0),
      gone: fate === 'sinks' || fate === 'floats off',
    }
  }),
)
</script>

<template>
  <div class="column" data-testid="over">
    <section
      v-for="band in bands"
      :key="band.fate"
      :class="band.fate.replace(' ', '-')"
      :aria-label="band.word"
    >
      <h3>
        {{ band.word }} <span class="soft">{{ band.rows.length || 'nothing' }}</span>
      </h3>
      <svg
        v-if="band.fate === 'stays'"
        class="keel"
        viewBox="0 0 400 40"
        preserveAspectRatio="none"
        aria-hidden="true"
      >
        <path d="M4,34C60,8 120,4 200,4S340,8 396,34Z" />
      </svg>
      <ul>
        <li v-for="row in band.rows" :key="row.thing_id" :class="{ parts: row.parts }">
          <GearPicture :thing="row.thing" :wide="26" :high="16" />
          {{ row.thing.name }}
          <span v-if="row.load_kg != null" class="soft">
            {{ row.parts ? 'line parts at' : 'on a line,' }} {{ show(row.load_kg, 'mass', units) }}
          </span>
          <span v-if="band.gone" class="soft">{{ row.price ?? 'no price' }}</span>
        </li>
      </ul>
    </section>
  </div>
</template>

<style scoped>
.column {
  display: grid;
  border: 1px solid var(--line);
  border-radius: 8px;
  overflow: hidden;
}
section {
  padding: 6px 10px 8px;
  background: color-mix(in srgb, var(--water) 45%, var(--card));
}
.floats-off {
  border-bottom: 3px solid var(--pick);
  background: var(--card);
}
.sinks {
  border-top: 2px dashed var(--stop);
  background: color-mix(in srgb, var(--water) 80%, var(--card));
}
h3 {
  margin: 0 0 4px;
  font-size: 13px;
}
.sinks h3 {
  color: var(--stop);
}
.keel {
  display: block;
  width: 100%;
  height: 26px;
  margin-bottom: 4px;
}
.keel path {
  fill: var(--hull);
  stroke: var(--ink);
  stroke-width: 2;
  vector-effect: non-scaling-stroke;
}
ul {
  display: flex;
  flex-wrap: wrap;
  gap: 4px;
  margin: 0;
  padding: 0;
  list-style: none;
}
li {
  display: inline-flex;
  gap: 5px;
  align-items: center;
  padding: 1px 7px 1px 3px;
  border: 1px solid var(--line);
  border-radius: 6px;
  background: var(--card);
  font-size: 12px;
}
li.parts {
  border: 1.5px dashed var(--fix);
}
</style>
