<script setup lang="ts">
/** One figure against the weight carried; today's load and the schools of capacity marked. */
import { computed } from 'vue'
import type { FullAfloat } from '@/api/client'
import { number, unitOf, type Units } from '@/kit/units'
import { path } from '@/drawing/sheet'
import { axis, onto, tick } from '@/kit/scale'

const props = defineProps<{
  loads: NonNullable<FullAfloat['by_load']>
  values_m: number[]
  name: string
  units: Units
  width: number
}>()

const [H, LEFT, FOOT, TOP, RIGHT] = [170, 40, 30, 26, 12]
const kg = (value: number) => Number(number(value, 'mass', props.units, 2))
const cm = (value: number) => Number(number(value, 'length', props.units, 3))
const xs = computed(() => axis(0, kg(Math.max(...props.loads.carried_kg)), 5))
const ys = computed(() =>
  axis(Math.min(0, ...props.values_m.map(cm)), Math.max(...props.values_m.map(cm)), 4),
)
const x = computed(() => onto(xs.value, LEFT, props.width - RIGHT))
const y = computed(() => onto(ys.value, H - FOOT, TOP))
const line = computed(() =>
  path(
    props.loads.carried_kg.map((load, i) => [x.value(kg(load)), y.value(cm(props.values_m[i]!))]),
  ),
)
const LETTER = { rating: 'R', 'working share': 'W', freeboard: 'F', 'dry floors': 'D' } as const
const schools = computed(() =>
  props.loads.capacities
    .filter((one) => one.carried_kg !== null && kg(one.carried_kg) <= xs.value.high)
    .map((one) => ({ letter: LETTER[one.school], at: x.value(kg(one.carried_kg!)) })),
)
</script>

<template>
  <svg :width="width" :height="H" role="img" :aria-label="`${name} against the weight carried`">
    <g v-for="at in ys.ticks" :key="`y${at}`">
      <line class="grid" :x1="LEFT" :x2="width - RIGHT" :y1="y(at)" :y2="y(at)" />
      <text class="tick end" :x="LEFT - 5" :y="y(at) + 3.5">{{ tick(at) }}</text>
    </g>
    <text v-for="at in xs.ticks" :key="`x${at}`" class="tick mid" :x="x(at)" :y="H - FOOT + 13">
      {{ tick(at) }}
    </text>
    <text class="name" x="6" y="13">{{ name }}, {{ unitOf('length', units) }}</text>
    <text class="name end" :x="width - RIGHT" :y="H - 3">carried, {{ unitOf('mass', units) }}</text>
    <g v-for="one in schools" :key="one.letter">
      <line class="school" :x1="one.at" :x2="one.at" :y1="TOP" :y2="H - FOOT" />
      <text class="school-text" :x="one.at" :y="TOP - 3">{{ one.letter }}</text>
    </g>
    <path class="line" :d="line" />
    <line
      class="today"
      :x1="x(kg(loads.today_kg))"
      :x2="x(kg(loads.today_kg))"
      :y1="TOP"
      :y2="H - FOOT"
    />
  </svg>
</template>

<style scoped src="@/kit/chart.css"></style>
<style scoped>
.school-text {
  text-anchor: middle;
}
.today {
  stroke: var(--ink);
  stroke-width: 2;
}
.school {
  stroke: var(--fix-mark);
  stroke-dasharray: 4 3;
}
.school-text {
  fill: var(--fix);
  font-size: 11px;
  font-weight: 600;
}
</style>
