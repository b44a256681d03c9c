<script setup lang="ts">
/** At the water's edge: how deep it has to be to float, and for what hangs lower than the keel. */
import { computed } from 'vue'
import type { FullHaul, Schemas } from '@/api/client'
import { show, type Units } from '@/kit/units'
import BoatScene from './BoatScene.vue'
import type { Pose } from './scene'

const props = defineProps<{
  launch: Schemas['LaunchFigure']
  full: FullHaul
  named: string
  units: Units
  width: number
  height: number
}>()
const long = (value: number) => show(value, 'length', props.units, 0)
const BANK_M = 1.5 // of dry ground that is shown

const ends = computed(() => [props.full.outline[0]![0], props.full.outline.at(-1)![0]] as const)
const length = computed(() => ends.value[1] - ends.value[0])
const pose = computed<Pose>(() => ({
  about: [ends.value[1], 0],
  at: [0, props.launch.deepest_m - props.launch.depth_m],
  angle_deg: 0,
}))
</script>

<template>
  <BoatScene
    :label="`It floats off in ${long(launch.deepest_m)} of water`"
    :outline="full.outline"
    :pose="pose"
    :forces="[]"
    :along="[-0.3, length + BANK_M]"
    :high="1.3"
    :width="width"
    :height="height"
    testid="launch-scene"
  >
    <template #behind="{ p }">
      <polygon
        class="bank"
        :points="
          [
            [length + 0.15, 0],
            [length + 0.75, launch.deepest_m + 0.12],
            [length + 9, launch.deepest_m + 0.5],
            [length + 9, 0],
          ]
            .map((one) => p(one as [number, number]).join())
            .join(' ')
        "
      />
      <rect
        class="water"
        x="0"
        :y="p([0, launch.deepest_m])[1]"
        :width="p([length + 0.15 + (0.6 * launch.deepest_m) / (launch.deepest_m + 0.12), 0])[0]"
        :height="p([0, 0])[1] - p([0, launch.deepest_m])[1]"
      />
    </template>
    <template #default="{ p }">
      <line
        class="measure"
        :x1="p([length * 0.3, 0])[0]"
        :x2="p([length * 0.3, 0])[0]"
        :y1="p([0, 0])[1]"
        :y2="p([0, launch.deepest_m])[1]"
      />
      <text class="figure" :x="p([length * 0.3, 0])[0] + 6" :y="p([0, 0])[1] + 15">
        {{ long(launch.deepest_m) }} of water
      </text>
    </template>
  </BoatScene>
  <p v-if="named" class="soft">{{ named }} needs more than the hull, {{ long(launch.depth_m) }}.</p>
</template>

<style scoped src="./vehicles.css"></style>
<style scoped>
.water {
  fill: var(--water);
  opacity: 0.8;
}
.bank {
  fill: var(--deck);
}
.measure {
  stroke: var(--pick);
  stroke-width: 2;
}
</style>
