<script setup lang="ts">
/** The boat in the wind, north up: how it lies adrift, free and behind its drogue, where it goes,
 * and the course it is steered on. */
import { computed } from 'vue'
import type { Drawing, Schemas, GlidePlan } from '@/api/client'
import { path, type Point } from '@/drawing/sheet'
import { show, type Units } from '@/kit/units'
import { toward } from '@/kit/compass'

const props = defineProps<{
  plan: GlidePlan
  drawing: Drawing
  drift: Schemas['DriftFigure'] | null
  drogued: Schemas['DriftFigure'] | null
  units: Units
  size: number
}>()
const half = computed(() => props.size / 2)
const ring = computed(() => half.value - 22)
const outline = computed(() => {
  const { x_m, half_breadth_m } = props.drawing
  const long = x_m.at(-1)! - x_m[0]!
  const scale = (0.62 * ring.value) / long
  const middle = (x_m.at(-1)! + x_m[0]!) / 2
  const side = (way: number): Point[] =>
    x_m.map((x, i) => [way * half_breadth_m[i]! * scale, -(x - middle) * scale])
  return path([...side(1), ...side(-1).reverse()], true)
})
const arrow = (deg: number, from: number, to: number): string => {
  const [x0, y0] = toward(deg, from)
  const [x1, y1] = toward(deg, to)
  const [ax, ay] = toward(deg + 155, 9, x1, y1)
  const [bx, by] = toward(deg - 155, 9, x1, y1)
  return (
    path([
      [x0, y0],
      [x1, y1],
    ]) +
    path([
      [ax, ay],
      [x1, y1],
      [bx, by],
    ])
  )
}
const lies = computed(() => {
  const rows = [
    { key: 'free', one: props.drift, words: 'adrift' },
    { key: 'towed', one: props.drogued, words: 'with the drift sock' },
  ]
  return rows.flatMap(({ key, one, words }) => {
    if (!one) return []
    const [x, y] = toward(one.ground_toward_deg, ring.value - 24)
    return [
      { key, one, words, x, y, d: arrow(one.ground_toward_deg, 0.2 * ring.value, ring.value - 40) },
    ]
  })
})
const told = computed(() =>
  lies.value
    .map(
      ({ one, words }) =>
        `${words}: ${show(one.ground_m_s, 'speed', props.units, 2)}, wind ${Math.round(one.wind_off_bow_deg)}° off the bow`,
    )
    .join('; '),
)
</script>

<template>
  <figure>
    <svg
      :width="size"
      :height="size"
      :viewBox="`${-half} ${-half} ${size} ${size}`"
      role="img"
      :aria-label="`The boat in the wind, north up. ${told}`"
      data-testid="rose"
    >
      <circle class="ring" :r="ring" />
      <g v-for="deg in [0, 90, 180, 270]" :key="deg">
        <text class="tick" :x="toward(deg, ring + 11)[0]" :y="toward(deg, ring + 11)[1] + 4">
          {{ { 0: 'N', 90: 'E', 180: 'S', 270: 'W' }[deg] }}
        </text>
      </g>
      <path class="course" :d="arrow(plan.heading_deg, 0, ring)" />
      <path
        v-if="plan.current_m_s > 0"
        class="current"
        :d="arrow(plan.current_toward_deg, -ring, -0.62 * ring)"
      />
      <path
        v-if="plan.wind_m_s > 0"
        class="blow"
        :d="arrow(plan.wind_from_deg + 180, -ring, -0.62 * ring)"
      />
      <g v-for="{ key, one, d } in lies" :key="key" :class="key">
        <path class="hull" :d="outline" :transform="`rotate(${one.heading_deg})`" />
        <path class="way" :d="d" />
      </g>
    </svg>
    <figcaption>
      <span class="key blow">wind</span>
      <span v-if="plan.current_m_s > 0" class="key current">current</span>
      <span class="key course">course</span>
      <span v-for="{ key, one, words } in lies" :key="key" class="key" :class="key"
        >{{ words }}
        <b :data-testid="`drift-${key}`">{{ show(one.ground_m_s, 'speed', units, 2) }}</b>
        <span class="soft">
          {{ Math.round(100 * one.share_of_wind) }} % of the wind, lies
          {{ Math.round(one.wind_off_bow_deg) }}° off it</span
        ></span
      >
    </figcaption>
  </figure>
</template>

<style scoped>
figure {
  margin: 0;
}
svg {
  display: block;
  margin: 0 auto;
}
.ring {
  fill: var(--water-pale);
  stroke: var(--line);
}
.tick {
  fill: var(--soft);
  font-size: 11px;
  text-anchor: middle;
}
path {
  fill: none;
}
.hull {
  fill: var(--hull);
  stroke: var(--ink);
  stroke-width: 1.2;
}
.towed .hull {
  fill: none;
  stroke-dasharray: 4 3;
}
.way {
  stroke: var(--ink);
  stroke-width: 1.8;
}
.towed .way {
  stroke-dasharray: 4 3;
}
.course {
  stroke: var(--soft);
  stroke-dasharray: 2 4;
}
.blow {
  stroke: var(--fix-mark);
  stroke-width: 2.6;
}
.current {
  stroke: var(--pick);
  stroke-width: 2.6;
}
figcaption {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 12px;
  font-size: 12px;
}
.key .soft {
  margin-left: 5px;
}
.key::before {
  content: '';
  display: inline-block;
  width: 16px;
  margin-right: 4px;
  border-top: 2px solid var(--ink);
  vertical-align: middle;
}
.key.blow::before {
  border-color: var(--fix-mark);
}
.key.current::before {
  border-color: var(--pick);
}
.key.course::before {
  border-top: 2px dotted var(--soft);
}
.key.towed::before {
  border-top-style: dashed;
}
</style>
