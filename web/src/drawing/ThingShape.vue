<script setup lang="ts">
/** One thing, from above or from the side; drawn where it is told, speaks by events. */
import { computed } from 'vue'
import { path, planY, toX, type Point, type Sheet } from './sheet'
import { corners, isLong, labelOf, rodPlan, rodSide } from './things'
import type { Drawn } from './types'

const props = defineProps<{
  sheet: Sheet
  drawn: Drawn
  view: 'plan' | 'side'
  label: string
  /** its whole name, over everything */
  named: boolean
  /** as much of its name as fits in it */
  titled?: boolean
  /** in the way of something, or something in its way */
  clashing?: boolean
}>()
defineEmits<{ grab: [event: PointerEvent]; key: [event: KeyboardEvent]; pick: []; edit: [] }>()

const box = computed(() => corners(props.sheet, props.drawn, props.view))
const rod = computed(() => {
  const spot = props.view === 'plan' ? rodPlan : rodSide
  const at = (share: number) => spot(props.sheet, props.drawn, share)
  return { butt: at(0), handle: at(props.drawn.thing.shape === 'rod' ? 0.16 : 0), tip: at(1) }
})
/** A reel hangs under its rod, or sits on it; from above it is beside neither. */
const reel = computed<Point | null>(() => {
  const spot = props.drawn.aboard?.reel
  const at_m = props.drawn.aboard?.reel_at_m
  const { rod, length_m } = props.drawn.thing
  if (!rod || at_m == null || !spot) return null
  const share = at_m / length_m
  const [x, y] = (props.view === 'plan' ? rodPlan : rodSide)(props.sheet, props.drawn, share)
  return props.view === 'plan' ? [x, y] : [x, y + (rod.reel === 'under' ? 5 : -5)]
})
const round = computed(() => ({
  x: toX(props.sheet, props.drawn.stand.x_m),
  y: planY(props.sheet, props.drawn.stand.y_m),
  r: (props.drawn.thing.length_m / 2) * props.sheet.scale,
}))
const label_at = computed(() => labelOf(props.sheet, props.drawn, props.view))
const middle_x = computed(() => {
  const xs = box.value.map(([x]) => x)
  return (Math.min(...xs) + Math.max(...xs)) / 2
})
const text = computed(() =>
  props.named ? props.drawn.thing.name : props.titled ? label_at.value.text : '',
)
const kind = computed(() => (isLong(props.drawn.thing) ? 'rod' : 'box'))
</script>

<template>
  <g
    class="thing"
    :class="[
      view,
      kind,
      {
        selected: drawn.selected,
        ghost: drawn.ghost,
        soft: drawn.thing.shape === 'bag',
        misfit: drawn.aboard?.misfit,
        clashing,
      },
    ]"
    :role="drawn.ghost ? undefined : 'button'"
    :tabindex="drawn.ghost || view === 'side' ? -1 : 0"
    :aria-label="drawn.ghost ? undefined : label"
    :aria-hidden="drawn.ghost || view === 'side' ? true : undefined"
    :data-thing="drawn.ghost ? undefined : drawn.id"
    @pointerdown.stop="$emit('grab', $event)"
    @dblclick.stop="$emit('edit')"
    @keydown="$emit('key', $event)"
    @focus="$emit('pick')"
  >
    <template v-if="kind === 'box'">
      <circle
        v-if="drawn.thing.shape === 'cylinder' && view === 'plan'"
        class="body"
        :cx="round.x"
        :cy="round.y"
        :r="round.r"
      />
      <path v-else class="body" :d="path(box, true)" />
      <text
        v-if="text && !drawn.ghost"
        class="name"
        :class="{ halo: named }"
        :x="named ? middle_x : label_at.left"
        :y="label_at.middle + 3.5"
      >
        {{ text }}
      </text>
    </template>
    <template v-else>
      <path class="hit" :d="path([rod.butt, rod.tip])" />
      <path class="body" :d="path([rod.butt, rod.tip])" />
      <path class="handle" :d="path([rod.butt, rod.handle])" />
      <circle v-if="reel" class="reel" :cx="reel[0]" :cy="reel[1]" r="4.5" />
      <circle class="tip" :cx="rod.tip[0]" :cy="rod.tip[1]" r="1.8" />
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
.rod .reel {
  fill: var(--card);
  stroke: var(--wood);
  stroke-width: 2;
}
.rod .tip {
  fill: var(--wood);
}
.soft .body {
  stroke-width: 3;
  stroke-opacity: 0.55;
}
.misfit .body {
  stroke: var(--fix);
  stroke-width: 2.4;
  stroke-dasharray: 7 3;
}
.clashing .body {
  stroke: var(--fix);
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
