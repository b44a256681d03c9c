<script setup lang="ts">
/** In the bed of a truck: what its gate bears, and how far it reaches past. */
import { computed } from 'vue'
import type { FullHaul, HaulPlan, Schemas } from '@/api/client'
import { show, type Units } from '@/kit/units'
import BoatScene from './BoatScene.vue'
import { posed, type Force, type Pose } from './scene'

const props = defineProps<{
  haul: Schemas['HaulFigures']
  full: FullHaul
  plan: HaulPlan
  units: Units
  width: number
  height: number
}>()
const kg = (value: number) => show(value, 'mass', props.units)
const FLOOR_M = 0.8 // how high a bed is over the ground

const bed = computed(() => props.haul.bed!)
const plan = computed(() => props.plan.bed)
const edge = computed(() => plan.value.length_m + plan.value.gate_m)
const ends = computed(() => [props.full.outline[0]![0], props.full.outline.at(-1)![0]] as const)
/** The front wall at nothing; the end that lies in the bed at it. */
const pose = computed<Pose>(() => ({
  about: [plan.value.end_in === 'bow' ? ends.value[1] : ends.value[0], 0],
  at: [0, FLOOR_M],
  angle_deg: 0,
  flip: plan.value.end_in === 'stern',
}))
const weight = computed(() => posed(pose.value)([props.haul.bare.x_m, props.haul.bare.z_m]))
const forces = computed<Force[]>(() => [
  { at: [edge.value, FLOOR_M - 0.5], way: [0, 1], label: kg(bed.value.gate_kg) },
  {
    at: [plan.value.front_support_m, FLOOR_M - 0.5],
    way: [0, 1],
    label: kg(bed.value.front_kg),
    before: true,
  },
  { at: weight.value, way: [0, -1], label: kg(props.haul.bare.kg), weight: true },
])
const long = computed(() => ends.value[1] - ends.value[0])
</script>

<template>
  <BoatScene
    label="In the bed of a truck"
    :outline="full.outline"
    :pose="pose"
    :forces="forces"
    :along="[-2.6, Math.max(long, edge) + 0.3]"
    :high="1.9"
    :width="width"
    :height="height"
    testid="bed-scene"
  >
    <template #behind="{ p }">
      <polygon
        class="body"
        :points="
          [
            [plan.length_m, 0.4],
            [plan.length_m, FLOOR_M],
            [0, FLOOR_M],
            [0, 1.75],
            [-0.9, 1.75],
            [-1.3, 1.15],
            [-2.4, 1.05],
            [-2.5, 0.4],
          ]
            .map((one) => p(one as [number, number]).join())
            .join(' ')
        "
      />
      <line
        class="bar"
        :x1="p([plan.length_m, 0])[0]"
        :x2="p([edge, 0])[0]"
        :y1="p([0, FLOOR_M])[1] + 2"
        :y2="p([0, FLOOR_M])[1] + 2"
      />
      <circle
        v-for="x in [0.9, -1.8]"
        :key="x"
        class="wheel"
        :cx="p([x, 0.36])[0]"
        :cy="p([x, 0.36])[1]"
        :r="p([x, 0])[1] - p([x, 0.36])[1]"
      />
    </template>
    <template #default="{ p }">
      <text
        v-if="bed.overhang_m > 0"
        class="figure"
        :x="p([edge, 0])[0] + 6"
        :y="p([0, FLOOR_M + 0.7])[1]"
      >
        {{ show(bed.overhang_m, 'length', units, 0) }} past
      </text>
    </template>
  </BoatScene>
</template>

<style scoped src="./vehicles.css"></style>
