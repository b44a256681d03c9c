<script setup lang="ts">
/** What pulls at a mount in one situation, seen from its side: the load, and what it does to the
 * base; to scale among themselves. */
import { computed } from 'vue'
import type { Schemas } from '@/api/client'
import { show, type Units } from '@/kit/units'

const props = defineProps<{
  situation: Schemas['SituationFigure']
  length_m: number
  units: Units
}>()

const W = 250
const H = 170
/** Along or across, whichever the load tips it more. */
const across = computed(() => {
  const [m_u, m_v] = props.situation.moment_nm
  return Math.abs(m_u) > Math.abs(m_v)
})
const way = computed(() => {
  const n = across.value ? 1 : 0
  return {
    aside: props.situation.force_n[n]!,
    out: props.situation.force_n[2],
    at: props.situation.acts_at_m[n]!,
    up: props.situation.acts_at_m[2],
  }
})
const scale = computed(() => {
  const far = Math.max(props.length_m, Math.abs(way.value.at) * 2, way.value.up, 0.1)
  return 90 / far
})
const foot = computed(() => ({ x: W / 2, y: H - 34 }))
const head = computed(() => ({
  x: foot.value.x + way.value.at * scale.value,
  y: foot.value.y - Math.max(0, way.value.up) * scale.value,
}))
const size = computed(() => Math.hypot(way.value.aside, way.value.out) || 1)
const arrow = computed(() => {
  const long = 46
  return {
    x: head.value.x + (way.value.aside / size.value) * long,
    y: head.value.y - (way.value.out / size.value) * long,
  }
})
const half = computed(() => Math.max(8, (props.length_m / 2) * scale.value))
const moment = computed(() =>
  Math.hypot(props.situation.moment_nm[0], props.situation.moment_nm[1]),
)
/** A moment: an energy has its unit in feet and pounds. */
const turns = computed(() =>
  props.units === 'imperial'
    ? show(moment.value, 'energy', props.units)
    : `${moment.value.toFixed(1)} N·m`,
)
</script>

<template>
  <svg :width="W" :height="H" role="img" :aria-label="`Forces, ${situation.name}`">
    <defs>
      <marker
        id="force-tip"
        viewBox="0 0 8 8"
        refX="7"
        refY="4"
        markerWidth="7"
        markerHeight="7"
        orient="auto"
      >
        <path d="M0 0L8 4L0 8Z" fill="var(--stop)" />
      </marker>
    </defs>
    <path class="wall" :d="`M14 ${foot.y + 4}H${W - 14}`" />
    <rect class="base" :x="foot.x - half" :y="foot.y - 4" :width="half * 2" height="8" rx="1" />
    <path class="arm" :d="`M${foot.x} ${foot.y - 4}L${head.x} ${head.y}`" />
    <circle class="load" :cx="head.x" :cy="head.y" r="4" />
    <!-- The triangle: aside, then out or down, and what they come to. -->
    <path class="part" :d="`M${head.x} ${head.y}H${arrow.x}V${arrow.y}`" />
    <path
      class="force"
      :d="`M${head.x} ${head.y}L${arrow.x} ${arrow.y}`"
      marker-end="url(#force-tip)"
    />
    <text x="8" y="16">
      {{ show(size, 'force', units) }} {{ across ? 'across' : 'along' }} the base
    </text>
    <text x="8" y="31" class="soft">{{ turns }} on it, {{ situation.name }}</text>
    <text :x="foot.x" :y="H - 8" text-anchor="middle" class="soft">
      {{
        situation.press_n === null
          ? 'bond'
          : `pressed with ${show(situation.press_n, 'force', units)}`
      }}
    </text>
  </svg>
</template>

<style scoped>
svg {
  display: block;
}
.wall {
  stroke: var(--ink);
  stroke-width: 3;
}
.base {
  fill: var(--hull-mark, var(--soft));
}
.arm {
  stroke: var(--soft);
  stroke-width: 3;
}
.load {
  fill: var(--ink);
}
.force {
  stroke: var(--stop);
  stroke-width: 2;
}
.part {
  fill: none;
  stroke: var(--stop);
  stroke-dasharray: 2 3;
}
text {
  fill: var(--ink);
  font-size: 11px;
}
text.soft {
  fill: var(--soft);
}
</style>
