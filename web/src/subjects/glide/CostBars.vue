<script setup lang="ts">
/** What holds the boat back at the effort's speed, longest first; gear can be lifted or laid down. */
import { computed } from 'vue'
import type { Schemas } from '@/api/client'
import type { HowFigure } from '@/setup/how'
import { show, type Units } from '@/kit/units'
import { CAUSES } from './causes'

const props = defineProps<{
  at: Schemas['Newtons']
  costs: readonly Schemas['ThingCost'][]
  up: Record<string, boolean>
  names: Record<string, string>
  units: Units
}>()
const emit = defineEmits<{ up: [id: number, on: boolean]; how: [figure: HowFigure] }>()

const SHOWN = 14
const LEAST_N = 0.02
interface Bar {
  key: string
  id: number | null
  name: string
  tone: string
  lifts: boolean
  n: number
  how: HowFigure
}
const bars = computed<Bar[]>(() => {
  const hull = CAUSES.filter(({ field }) => ['friction_n', 'base_n', 'wave_n'].includes(field)).map(
    ({ field, name, tone, how }) => ({
      key: field,
      id: null,
      name,
      tone,
      lifts: false,
      n: props.at[field],
      how,
    }),
  )
  const things = props.costs.map((one) => ({
    key: `${one.thing_id ?? one.name}`,
    id: one.thing_id,
    name: one.name,
    tone: one.water_n > one.air_n ? 'hangs' : 'wind',
    lifts: one.lifts,
    n: one.water_n + one.air_n,
    how: 'glide windage' as const,
  }))
  return [...hull, ...things]
    .filter((one) => one.n > LEAST_N)
    .sort((a, b) => b.n - a.n)
    .slice(0, SHOWN)
})
const longest = computed(() => Math.max(1e-9, ...bars.value.map((one) => one.n)))
const lifted = computed(() =>
  Object.entries(props.up)
    .filter(([id, on]) => on && props.names[id])
    .map(([id]) => ({ id: Number(id), name: props.names[id]! })),
)
</script>

<template>
  <ul class="bars" data-testid="costs">
    <li v-for="one in bars" :key="one.key">
      <button
        type="button"
        class="name"
        title="How was this computed?"
        @click="emit('how', one.how)"
      >
        {{ one.name }}
      </button>
      <span class="track"
        ><span class="bar" :class="one.tone" :style="{ width: `${(100 * one.n) / longest}%` }"
      /></span>
      <span class="num">{{ show(one.n, 'force', units, 1) }}</span>
      <button
        v-if="one.lifts"
        type="button"
        class="small"
        :aria-label="`${one.name}: up, or laid down, on the way`"
        @click="emit('up', one.id!, true)"
      >
        up
      </button>
      <span v-else />
    </li>
    <li v-for="one in lifted" :key="`up${one.id}`">
      <span class="name soft">{{ one.name }}</span>
      <span class="soft">up, or laid down, on the way</span>
      <span />
      <button
        type="button"
        class="small"
        :aria-label="`${one.name}: down again`"
        @click="emit('up', one.id, false)"
      >
        down
      </button>
    </li>
  </ul>
</template>

<style scoped src="./tones.css"></style>
<style scoped>
.bars {
  margin: 6px 0 0;
  padding: 0;
  list-style: none;
}
li {
  display: grid;
  grid-template-columns: 150px minmax(60px, 1fr) 62px 50px;
  gap: 8px;
  align-items: center;
  min-height: 24px;
  padding: 1px 0;
}
.name {
  overflow: hidden;
  padding: 0;
  border: 0;
  background: none;
  color: var(--ink);
  font: inherit;
  text-align: left;
  text-overflow: ellipsis;
  white-space: nowrap;
}
button.name {
  cursor: help;
}
.num {
  text-align: right;
}
.track {
  height: 12px;
}
.bar {
  display: block;
  height: 100%;
  border-radius: 3px;
}
.small {
  padding: 0 6px;
  border: 1px solid var(--line);
  border-radius: 5px;
  background: var(--card);
  color: var(--ink);
  font: inherit;
  font-size: 12px;
  cursor: pointer;
}
</style>
