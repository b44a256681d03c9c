<script setup lang="ts">
/** Righting levers to 90°, one line a posture or demand, with the limits of the first marked. */
import { computed } from 'vue'
import type { FullAfloat } from '@/api/client'
import { number, show, unitOf, type Units } from '@/kit/units'
import { path, type Point } from '@/drawing/sheet'
import { axis, onto, tick } from '@/kit/scale'

const props = defineProps<{ curves: FullAfloat['curves']; units: Units; width: number }>()

const [H, LEFT, FOOT, TOP, RIGHT] = [270, 44, 34, 34, 14]
const shown = (m: number) => Number(number(m, 'length', props.units, 3))
const ys = computed(() => {
  const all = props.curves.flatMap((one) => one.gz_m.filter((gz) => gz !== null).map(shown))
  const high = Math.max(...all, shown(0.02))
  // What lies far under the base line is of no use to anyone: the boat is over by then.
  return axis(Math.max(Math.min(...all, 0), -0.9 * high), high, 5)
})
const x = computed(() => onto({ low: 0, high: 90, ticks: [] }, LEFT, props.width - RIGHT))
const y = computed(() => onto(ys.value, H - FOOT, TOP))
const lines = computed(() =>
  props.curves.map((one, i) => {
    const points: Point[] = []
    for (const [k, heel] of one.heel_deg.entries()) {
      const gz = one.gz_m[k]
      if (gz === null || gz === undefined) break
      if (shown(gz) < ys.value.low) {
        if (points.length) break
        continue // a demand's curve starts far below the base line
      }
      points.push([x.value(heel), y.value(shown(gz))])
    }
    return {
      name: one.name,
      kind: i,
      d: path(points),
      best: [x.value(one.greatest_at_deg), y.value(shown(one.greatest_gz_m))] as const,
      text:
        one.greatest_gz_m > 0.0005
          ? `${one.name}: most ${show(one.greatest_gz_m, 'length', props.units)} at ${one.greatest_at_deg.toFixed(0)}°`
          : `${one.name}: does not right itself`,
    }
  }),
)
const limits = computed(() => {
  const first = props.curves[0]
  if (!first) return []
  return (
    [
      ['deck edge', first.deck_edge_deg],
      ['floods', first.flooding_deg],
      ['goes over', first.vanishing_deg],
    ] as const
  )
    .filter(([, deg]) => deg !== null)
    .map(([word, deg], i) => ({ word, deg: deg!, row: i }))
})
</script>

<template>
  <svg
    :width="width"
    :height="H"
    role="img"
    :aria-label="lines.map((one) => one.text).join('; ')"
    data-testid="righting-chart"
  >
    <g v-for="at in ys.ticks" :key="at">
      <line
        class="grid"
        :class="{ base: at === 0 }"
        :x1="LEFT"
        :x2="width - RIGHT"
        :y1="y(at)"
        :y2="y(at)"
      />
      <text class="tick end" :x="LEFT - 6" :y="y(at) + 3.5">{{ tick(at) }}</text>
    </g>
    <text
      v-for="deg in [0, 10, 20, 30, 40, 50, 60, 70, 80, 90]"
      :key="deg"
      class="tick mid"
      :x="x(deg)"
      :y="H - FOOT + 14"
    >
      {{ deg }}°
    </text>
    <text class="name" :x="8" :y="14">Righting lever GZ, {{ unitOf('length', units) }}</text>
    <text class="name end" :x="width - RIGHT" :y="H - 4">heel</text>
    <g v-for="one in limits" :key="one.word">
      <line class="limit" :x1="x(one.deg)" :x2="x(one.deg)" :y1="TOP - 4" :y2="H - FOOT" />
      <text class="limit-text" :x="x(one.deg) + 4" :y="TOP + 6 + 13 * one.row">
        {{ one.word }} {{ one.deg.toFixed(0) }}°
      </text>
    </g>
    <g v-for="one in lines" :key="one.name" :class="`curve k${one.kind}`">
      <path :d="one.d" />
      <circle :cx="one.best[0]" :cy="one.best[1]" r="3.500" />
    </g>
  </svg>
  <ul class="legend">
    <li v-for="one in lines" :key="one.name" :class="`k${one.kind}`">
      <svg width="26" height="10" aria-hidden="true"><path d="M1 5H25" /></svg>{{ one.text }}
    </li>
  </ul>
</template>

<style scoped src="@/kit/chart.css"></style>
<style scoped>
.base {
  stroke: var(--soft);
}
.limit {
  stroke: var(--stop);
  stroke-dasharray: 3 3;
}
.limit-text {
  fill: var(--stop);
  font-size: 11px;
  paint-order: stroke;
  stroke: var(--card);
  stroke-width: 3px;
}
.curve path,
.legend path {
  fill: none;
  stroke: var(--pick);
  stroke-width: 2.2;
}
.curve circle {
  fill: var(--pick);
}
.k1 path {
  stroke: var(--fix-mark);
  stroke-dasharray: 7 4;
}
.k1 circle {
  fill: var(--fix-mark);
}
.k2 path {
  stroke: var(--stop);
  stroke-dasharray: 2 3;
}
.k2 circle {
  fill: var(--stop);
}
.legend {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 16px;
  margin: 0;
  padding: 0 10px 6px;
  list-style: none;
  font-size: 12px;
}
.legend li {
  display: flex;
  gap: 6px;
  align-items: center;
}
</style>
