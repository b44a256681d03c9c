<script setup lang="ts">
/** One thing, from above or from the side; drawn where it is told, speaks by events. */
import { computed } from 'vue'
import { path, sideY, toX, type Point, type Sheet } from '@/geometry/sheet'
import { baseZ, fitting, halfAlong, planCorners, rodPlan, rodSide } from '@/geometry/things'
import type { Drawn } from './types'

const props = defineProps<{
  sheet: Sheet
  drawn: Drawn
  view: 'plan' | 'side'
  label: string
  named: boolean
}>()
defineEmits<{ grab: [event: PointerEvent]; key: [event: KeyboardEvent]; pick: [] }>()

const corners = computed<Point[]>(() => {
  if (props.view === 'plan') return planCorners(props.sheet, props.drawn)
  const { thing, place } = props.drawn
  const half = halfAlong(props.drawn)
  const [fwd, aft] = [toX(props.sheet, place.x_m + half), toX(props.sheet, place.x_m - half)]
  const base = baseZ(props.drawn)
  const [top, foot] = [sideY(props.sheet, base + thing.height_m), sideY(props.sheet, base)]
  return [
    [fwd, top],
    [aft, top],
    [aft, foot],
    [fwd, foot],
  ]
})
const rod = computed(() => {
  const spot = props.view === 'plan' ? rodPlan : rodSide
  const at = (share: number) => spot(props.sheet, props.drawn, share)
  return { butt: at(0), handle: at(0.16), tip: at(1) }
})
const middle = computed<Point>(() => {
  const xs = corners.value.map(([x]) => x)
  const ys = corners.value.map(([, y]) => y)
  return [(Math.min(...xs) + Math.max(...xs)) / 2, (Math.min(...ys) + Math.max(...ys)) / 2]
})
const left = computed(() => Math.min(...corners.value.map(([x]) => x)))
const room = computed(() => 2 * (middle.value[0] - left.value) - 8)
const text = computed(() =>
  props.named ? props.drawn.thing.name : fitting(props.drawn.thing.name, room.value),
)
</script>

<template>
  <g
    class="thing"
    :class="[view, drawn.thing.shape, { selected: drawn.selected, ghost: drawn.ghost }]"
    :role="drawn.ghost ? undefined : 'button'"
    :tabindex="drawn.ghost || view === 'side' ? -1 : 0"
    :aria-label="drawn.ghost ? undefined : label"
    :aria-hidden="drawn.ghost || view === 'side' ? true : undefined"
    :data-thing="drawn.ghost ? undefined : drawn.id"
    @pointerdown.stop="$emit('grab', $event)"
    @keydown="$emit('key', $event)"
    @focus="$emit('pick')"
  >
    <template v-if="drawn.thing.shape === 'box'">
      <path class="body" :d="path(corners, true)" />
      <text
        v-if="text && !drawn.ghost"
        class="name"
        :class="{ halo: named }"
        :x="named ? middle[0] : left + 5"
        :y="middle[1] + 3.5"
      >
        {{ text }}
      </text>
    </template>
    <template v-else>
      <path class="hit" :d="path([rod.butt, rod.tip])" />
      <path class="body" :d="path([rod.butt, rod.tip])" />
      <path class="handle" :d="path([rod.butt, rod.handle])" />
      <text
        v-if="named && !drawn.ghost"
        class="name halo"
        :x="rod.handle[0]"
        :y="rod.handle[1] - 7"
      >
        {{ drawn.thing.name }}
      </text>
    </template>
    <title v-if="!drawn.ghost">{{ label }}</title>
  </g>
</template>

<style scoped>
.thing {
  cursor: grab;
  touch-action: none;
  outline: none;
}
.body {
  stroke: var(--ink);
  stroke-width: 1.4;
  stroke-linejoin: round;
}
.box .body {
  fill: var(--card);
}
.box .body {
  fill-opacity: 0.9;
}
.rod .body {
  fill: none;
  stroke: var(--wood);
  stroke-width: 2.2;
  stroke-linecap: round;
}
.rod .handle {
  stroke: var(--wood);
  stroke-width: 4.5;
  stroke-linecap: round;
}
.rod .hit {
  stroke: transparent;
  stroke-width: 12;
}
.selected .body,
.thing:focus-visible .body {
  stroke: var(--pick);
  stroke-width: 3;
}
.selected.box .body {
  fill: var(--pick-pale);
}
.thing:focus-visible .body {
  stroke-dasharray: 6 3;
}
.ghost {
  pointer-events: none;
  opacity: 0.5;
}
.ghost .body {
  fill: none;
  stroke-dasharray: 3 3;
}
.name {
  fill: var(--ink);
  font-size: 10.5px;
  pointer-events: none;
}
.halo {
  text-anchor: middle;
  paint-order: stroke;
  stroke: var(--card);
  stroke-width: 3px;
}
</style>
