<script setup lang="ts">
/** The heavier end lifted: what each person bears, and what rests on the ground. */
import { computed } from 'vue'
import type { FullHaul, Schemas } from '@/api/client'
import { show, type Units } from '@/kit/units'
import BoatScene from './BoatScene.vue'
import PersonMark from './PersonMark.vue'
import { posed, type Force, type Place, type Pose } from './scene'

const props = defineProps<{
  haul: Schemas['HaulFigures']
  full: FullHaul
  lift: Schemas['LiftFigure']
  people: number
  hand_m: number
  stature_m: number
  units: Units
  width: number
  height: number
}>()
const kg = (value: number) => show(value, 'mass', props.units)

const bow = computed(() => props.lift.end === 'bow')
const pose = computed<Pose>(() =>
  props.people === 2
    ? { about: props.lift.other, at: [0, props.hand_m], angle_deg: 0 }
    : {
        about: props.lift.other,
        at: [0, 0],
        angle_deg: (bow.value ? 1 : -1) * props.lift.angle_deg,
      },
)
const to = computed(() => posed(pose.value))
const hold = computed(() => to.value(props.lift.hold))
const rest = computed(() => to.value(props.lift.other))
const weight = computed(() => to.value([props.haul.bare.x_m, props.haul.bare.z_m]))
const along = computed<[number, number]>(() => {
  const ends = props.full.outline.map(([x, , sheer]) => to.value([x, sheer])[0])
  return [Math.min(...ends, hold.value[0]) - 0.55, Math.max(...ends, hold.value[0]) + 0.55]
})
const forces = computed<Force[]>(() => [
  {
    at: hold.value,
    way: [0, 1],
    label: kg(props.lift.each_kg),
    before: hold.value[0] > weight.value[0],
  },
  {
    at: rest.value,
    way: [0, 1],
    label: kg(props.lift.other_kg),
    before: rest.value[0] > weight.value[0],
  },
  { at: weight.value, way: [0, -1], label: kg(props.haul.bare.kg), weight: true },
])
const stands = (at: Place): Place => [at[0] + (at[0] > weight.value[0] ? 0.25 : -0.25), 0]
</script>

<template>
  <BoatScene
    :label="`Lifting the ${lift.end}: ${kg(lift.each_kg)} each`"
    :outline="full.outline"
    :pose="pose"
    :forces="forces"
    :along="along"
    :high="stature_m + 0.1"
    :width="width"
    :height="height"
    testid="lift-scene"
  >
    <template #default="{ p, scale }">
      <PersonMark :foot="stands(hold)" :hand="hold" :stature_m="stature_m" :p="p" :scale="scale" />
      <PersonMark
        v-if="people === 2"
        :foot="stands(rest)"
        :hand="rest"
        :stature_m="stature_m"
        :p="p"
        :scale="scale"
      />
    </template>
  </BoatScene>
</template>
