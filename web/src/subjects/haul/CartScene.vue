<script setup lang="ts">
/** On its cart, over the hardest stretch of the way: what hand and axle bear. The axle is dragged. */
import { computed, ref } from 'vue'
import type { FullHaul, Schemas } from '@/api/client'
import { show, type Units } from '@/kit/units'
import { useAlong } from '@/kit/useAlong'
import BoatScene from './BoatScene.vue'
import PersonMark from './PersonMark.vue'
import { posed, type Force, type Place, type Pose } from './scene'

const props = defineProps<{
  haul: Schemas['HaulFigures']
  full: FullHaul
  by: 'bow' | 'stern'
  stature_m: number
  units: Units
  width: number
  height: number
}>()
const emit = defineEmits<{ try: [axle_x_m: number]; take: [axle_x_m: number] }>()
const force = (value: number) => show(value, 'force', props.units)
const long = (value: number) => show(value, 'length', props.units, 0)

const cart = computed(() => props.haul.cart!)
const hardest = computed(() =>
  cart.value.grounds.reduce((worst, one) => (one.pull_n > worst.pull_n ? one : worst)),
)
const flip = computed(() => props.by === 'stern')
const pose = computed<Pose>(() => ({
  about: cart.value.axle,
  at: [0, cart.value.radius_m],
  angle_deg: (flip.value ? -1 : 1) * cart.value.pitch_deg,
  flip: flip.value,
}))
const to = computed(() => posed(pose.value))
const handle = computed(() => to.value(cart.value.handle))
const weight = computed(() => {
  const one = cart.value.state === 'loaded' ? props.haul.loaded : props.haul.bare
  return to.value([one.x_m, one.z_m])
})
const kg = computed(() =>
  cart.value.state === 'loaded' ? props.haul.loaded.kg : props.haul.bare.kg,
)
/** Straight down is not square to a slope. */
const down = computed<Place>(() => {
  const slope = (hardest.value.slope_deg * Math.PI) / 180
  return [Math.sin(slope), -Math.cos(slope)]
})
const forces = computed<Force[]>(() => [
  {
    at: handle.value,
    way: [0, hardest.value.hand_up_n >= 0 ? 1 : -1],
    label: `${force(Math.abs(hardest.value.hand_up_n))} in the hand`,
  },
  { at: handle.value, way: [-1, 0], label: force(hardest.value.pull_n), before: true },
  { at: [0, 0], way: [0, 1], label: force(hardest.value.axle_n), before: weight.value[0] > 0 },
  {
    at: weight.value,
    way: down.value,
    label: show(kg.value, 'mass', props.units),
    weight: true,
    before: weight.value[0] <= 0,
  },
])
const along = computed<[number, number]>(() => {
  const ends = props.full.outline.map(([x, , sheer]) => to.value([x, sheer])[0])
  return [Math.min(...ends, handle.value[0]) - 0.9, Math.max(...ends) + 0.15]
})

const scene = ref<InstanceType<typeof BoatScene> | null>(null)
const way = computed(() => (flip.value ? 1 : -1))
const { grab, drag, drop, press } = useAlong({
  at: () => cart.value.axle[0],
  grip: () => (across) => (way.value * across) / (scene.value?.scale ?? 1),
  keys: () => ({ ArrowLeft: -0.05 * way.value, ArrowRight: 0.05 * way.value }),
  tryOut: (axle_x_m) => emit('try', axle_x_m),
  take: (axle_x_m) => emit('take', axle_x_m),
})
const bow_x_m = computed(() => props.full.outline.at(-1)![0])
</script>

<template>
  <BoatScene
    ref="scene"
    :label="`On its cart over ${hardest.ground}: ${force(hardest.pull_n)} to pull`"
    :outline="full.outline"
    :pose="pose"
    :forces="forces"
    :along="along"
    :high="stature_m + 0.05"
    :slope_deg="hardest.slope_deg"
    :width="width"
    :height="height"
    testid="cart-scene"
  >
    <template #default="{ p, scale }">
      <PersonMark
        :foot="[handle[0] - 0.3, 0]"
        :hand="handle"
        :stature_m="stature_m"
        :p="p"
        :scale="scale"
      />
      <g
        class="axle"
        role="slider"
        tabindex="0"
        aria-label="The axle along the boat"
        :aria-valuenow="Number((bow_x_m - cart.axle[0]).toFixed(2))"
        :aria-valuetext="`${long(bow_x_m - cart.axle[0])} from the bow, ${force(cart.level_hand_n)} in the hand`"
        data-testid="axle"
        @pointerdown="grab"
        @pointermove="drag"
        @pointerup="drop"
        @pointercancel="drop"
        @keydown="press"
      >
        <circle
          class="wheel"
          :cx="p([0, cart.radius_m])[0]"
          :cy="p([0, cart.radius_m])[1]"
          :r="Math.max(8, cart.radius_m * scale)"
        />
        <circle class="hub" :cx="p([0, 0])[0]" :cy="p([0, cart.radius_m])[1]" r="3" />
      </g>
    </template>
  </BoatScene>
</template>

<style scoped src="./vehicles.css"></style>
<style scoped>
.axle {
  cursor: ew-resize;
  touch-action: none;
}
.axle:focus-visible {
  outline: none;
}
.axle:focus-visible .wheel {
  stroke: var(--pick);
  stroke-width: 3;
}
.hub {
  fill: var(--pick);
}
</style>
