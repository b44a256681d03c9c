<script setup lang="ts">
/** The righting lever over the heel, small: how far the boat may lean before it stops helping. */
import { computed } from 'vue'
import type { Figures } from '@/api/client'
import { show, type Units } from '@/kit/units'
import { path } from '@/drawing/sheet'

const props = defineProps<{ curve: Figures['curve']; units: Units }>()

const [W, H, BASE, LEFT] = [270, 94, 76, 12]
const points = computed(() => {
  const c = props.curve
  if (!c) return []
  const out: { heel: number; gz: number }[] = []
  for (const [i, heel] of c.heel_deg.entries()) {
    const gz = c.gz_m[i]
    if (gz === null || gz === undefined) break
    const before = out.at(-1)
    if (before && before.gz * gz < 0) {
      // drawn straight to where it crosses the base line
      out.push({ heel: before.heel + ((heel - before.heel) * before.gz) / (before.gz - gz), gz: 0 })
      if (gz < 0) break
    }
    out.push({ heel, gz })
  }
  return out
})
const best = computed(() =>
  points.value.reduce((a, b) => (b.gz > a.gz ? b : a), { heel: 0, gz: 0 }),
)
const x = (heel: number) => LEFT + (heel / 60) * (W - LEFT - 14)
const y = (gz: number) => BASE - (gz / Math.max(best.value.gz, 0.02)) * (BASE - 22)
const line = computed(() =>
  path(points.value.filter((p) => p.gz >= 0).map((p) => [x(p.heel), y(p.gz)])),
)
const edge = computed(() => props.curve?.deck_edge_deg ?? null)
const label = computed(
  () =>
    `Greatest righting lever ${show(best.value.gz, 'length', props.units)} at about ${Math.round(best.value.heel)}°` +
    (edge.value === null ? '' : `; deck edge in the water at ${edge.value.toFixed(0)}°`),
)
</script>

<template>
  <svg :viewBox="`0 0 ${W} ${H}`" width="100%" role="img" :aria-label="label">
    <path
      v-if="line"
      class="area"
      :d="`${line}L${x(points.at(-1)!.heel)},${BASE}L${x(0)},${BASE}Z`"
    />
    <path class="base" :d="`M${LEFT},${BASE}H${W - 6}`" />
    <path class="curve" :d="line" />
    <template v-if="best.gz > 0">
      <circle class="best" :cx="x(best.heel)" :cy="y(best.gz)" r="3" />
      <text :x="x(best.heel)" :y="y(best.gz) + 16" class="middle">
        most {{ show(best.gz, 'length', units) }}
      </text>
    </template>
    <template v-if="edge !== null">
      <path class="edge" :d="`M${x(edge)},6V${BASE}`" />
      <text class="edge-text" :x="x(edge) + 4" y="14">deck edge {{ edge.toFixed(0) }}°</text>
    </template>
    <text v-for="deg in [0, 20, 40, 60]" :key="deg" :x="x(deg)" :y="BASE + 13" class="tick">
      {{ deg }}°
    </text>
  </svg>
</template>

<style scoped>
svg {
  display: block;
}
text {
  fill: var(--soft);
  font-size: 11px;
}
.tick {
  font: 10px var(--mono);
  text-anchor: middle;
}
.middle {
  text-anchor: middle;
}
.area {
  fill: var(--pick-pale);
}
.curve {
  fill: none;
  stroke: var(--pick);
  stroke-width: 2;
}
.base {
  stroke: var(--line);
}
.best {
  fill: var(--pick);
}
.edge {
  stroke: var(--stop);
  stroke-dasharray: 3 3;
}
.edge-text {
  fill: var(--stop);
}
</style>
