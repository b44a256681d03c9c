<script setup lang="ts">
/** On the bars of a car, or the bunks of a trailer; dragged along them to see what each bears. */
import { computed, ref } from 'vue'
import type { FullHaul, HaulPlan, Schemas } from '@/api/client'
import { show, type Units } from '@/kit/units'
import { useAlong } from '@/kit/useAlong'
import BoatScene from './BoatScene.vue'
import { keelAt, posed, type Force, type Pose } from './scene'

const props = defineProps<{
  haul: Schemas['HaulFigures']
  full: FullHaul
  plan: HaulPlan
  units: Units
  width: number
  height: number
}>()
const emit = defineEmits<{ try: [rear_x_m: number]; take: [rear_x_m: number] }>()
const kg = (value: number) => show(value, 'mass', props.units)
const long = (value: number) => show(value, 'length', props.units, 0)
const BUNK_M = 0.55 // how high a trailer's bunks are over the ground

const bars = computed(() => props.haul.bars!)
const car = computed(() => props.plan.rides === 'roof')
const bar_m = computed(() => (car.value ? props.plan.roof.bar_height_m : BUNK_M))
const pose = computed<Pose>(() => {
  const { rear_x_m, spacing_m } = bars.value
  const rear = keelAt(props.full.outline, rear_x_m)
  const front = keelAt(props.full.outline, rear_x_m + spacing_m)
  return {
    about: [rear_x_m, rear],
    at: [0, bar_m.value],
    angle_deg: (-Math.atan2(front - rear, spacing_m) * 180) / Math.PI,
  }
})
const weight = computed(() => posed(pose.value)([props.haul.bare.x_m, props.haul.bare.z_m]))
const forces = computed<Force[]>(() => [
  { at: [0, bar_m.value - 0.45], way: [0, 1], label: kg(bars.value.rear_kg) },
  {
    at: [-bars.value.spacing_m, bar_m.value - 0.45],
    way: [0, 1],
    label: kg(bars.value.front_kg),
    before: true,
  },
  { at: weight.value, way: [0, -1], label: kg(props.haul.bare.kg), weight: true },
])
const rear = computed(() => (car.value ? props.plan.roof.behind_m : props.plan.trailer.behind_m))
const ahead = computed(() => (car.value ? props.plan.roof.ahead_m : 1.4))
const along = computed<[number, number]>(() => {
  const to = posed(pose.value)
  const ends = props.full.outline.map(([x, , sheer]) => to([x, sheer])[0])
  return [
    Math.min(...ends, -bars.value.spacing_m - ahead.value) - 0.1,
    Math.max(...ends, rear.value) + 0.1,
  ]
})
/** The car from its rear to its front, with its roof under the bars; or the trailer's frame. */
const body = computed(() => {
  const [front, roof] = [
    -bars.value.spacing_m - ahead.value,
    bar_m.value - props.plan.roof.over_roof_m,
  ]
  if (!car.value)
    return [
      [rear.value, 0.42],
      [front, 0.42],
      [front, 0.5],
      [rear.value, 0.5],
    ]
  return [
    [rear.value, 0.35],
    [rear.value, 0.6 * roof],
    [0.55 * rear.value, roof],
    [-bars.value.spacing_m - 0.12 * ahead.value, roof],
    [-bars.value.spacing_m - 0.45 * ahead.value, 0.64 * roof],
    [front + 0.1, 0.56 * roof],
    [front, 0.35],
  ]
})
const wheels = computed(() =>
  car.value
    ? [0.45 * rear.value, -bars.value.spacing_m - 0.6 * ahead.value]
    : [-0.45 * bars.value.spacing_m],
)

// Dragged along the bars: the place of the rear bar on the boat goes the other way.
const scene = ref<InstanceType<typeof BoatScene> | null>(null)
const { grab, drag, drop, press } = useAlong({
  at: () => bars.value.rear_x_m,
  grip: () => (across) => across / (scene.value?.scale ?? 1),
  keys: () => ({ ArrowLeft: -0.05, ArrowRight: 0.05 }),
  tryOut: (rear_x_m) => emit('try', rear_x_m),
  take: (rear_x_m) => emit('take', rear_x_m),
})
</script>

<template>
  <BoatScene
    ref="scene"
    :label="car ? 'On the roof' : 'On the trailer'"
    :outline="full.outline"
    :pose="pose"
    :forces="forces"
    :along="along"
    :high="bar_m + 0.75"
    :width="width"
    :height="height"
    testid="bars-scene"
  >
    <template #behind="{ p }">
      <polygon
        class="body"
        :points="body.map((one) => p(one as [number, number]).join()).join(' ')"
      />
      <circle
        v-for="x in wheels"
        :key="x"
        class="wheel"
        :cx="p([x, 0.31])[0]"
        :cy="p([x, 0.31])[1]"
        :r="p([x, 0])[1] - p([x, 0.31])[1]"
      />
      <line
        v-for="x in [0, -bars.spacing_m]"
        :key="x"
        class="bar"
        :x1="p([x, 0])[0]"
        :x2="p([x, 0])[0]"
        :y1="p([x, bar_m])[1]"
        :y2="p([x, bar_m - (car ? plan.roof.over_roof_m : 0.06)])[1]"
      />
    </template>
    <template #default="{ p }">
      <g
        class="hand"
        role="slider"
        tabindex="0"
        aria-label="Where the boat lies on its bars"
        :aria-valuenow="Number(bars.rear_x_m.toFixed(2))"
        :aria-valuetext="`rear bar ${long(bars.rear_x_m)} from the stern`"
        data-testid="boat-on-bars"
        @pointerdown="grab"
        @pointermove="drag"
        @pointerup="drop"
        @pointercancel="drop"
        @keydown="press"
      >
        <rect
          :x="p([-bars.spacing_m, 0])[0]"
          :y="p([0, bar_m + 0.42])[1]"
          :width="p([0, 0])[0] - p([-bars.spacing_m, 0])[0]"
          :height="p([0, bar_m])[1] - p([0, bar_m + 0.42])[1]"
          rx="6"
        />
        <text :x="p([-bars.spacing_m / 2, 0])[0]" :y="p([0, bar_m + 0.12])[1]">↔</text>
      </g>
      <text
        v-if="bars.overhang_rear_m > 0"
        class="figure"
        :x="p([rear, 0])[0] + 4"
        :y="p([0, bar_m - 0.2])[1]"
      >
        {{ long(bars.overhang_rear_m) }} past
      </text>
    </template>
  </BoatScene>
</template>

<style scoped src="./vehicles.css"></style>
<style scoped>
.hand {
  cursor: ew-resize;
  touch-action: none;
}
.hand rect {
  fill: transparent;
  stroke: var(--pick);
  stroke-dasharray: 4 4;
}
.hand:focus-visible {
  outline: none;
}
.hand:focus-visible rect {
  stroke-width: 2.5;
  stroke-dasharray: none;
}
.hand text {
  fill: var(--pick);
  font-size: 15px;
  text-anchor: middle;
  pointer-events: none;
}
</style>
