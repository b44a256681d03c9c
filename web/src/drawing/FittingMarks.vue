<script setup lang="ts">
/** What the boat has, drawn as what it is: tracks with their slot, lids, tubes, scuppers, handles. */
import { computed } from 'vue'
import type { Fitting } from '@/api/client'
import { fittingParts } from './fittings'
import './gear/gear.css'
import { planY, sideY, toX, type Sheet } from './sheet'

const props = defineProps<{
  sheet: Sheet
  fittings: Fitting[]
  view: 'plan' | 'side'
  chosen?: number | null
  names?: boolean
}>()

const drawn = computed(() =>
  props.fittings.map((one) => {
    const k = props.sheet.scale / 100
    const [x, y, up] =
      props.view === 'plan'
        ? [toX(props.sheet, one.x_m), planY(props.sheet, one.y_m), k]
        : [toX(props.sheet, one.x_m), sideY(props.sheet, one.z_m), -k]
    const transform = `matrix(${-k} 0 0 ${up} ${x} ${y})`
    return { one, x, y, transform, parts: fittingParts(one, props.view) }
  }),
)
</script>

<template>
  <g class="fittings gear">
    <g
      v-for="({ one, x, y, transform, parts }, i) in drawn"
      :key="i"
      :class="{ chosen: i === chosen }"
    >
      <g :transform="transform">
        <path v-for="(part, j) in parts" :key="j" :class="part.paint" :d="part.d" />
      </g>
      <text
        v-if="view === 'plan' && (names || i === chosen)"
        :x="x"
        :y="y + (one.y_m >= 0 ? 18 : -10)"
      >
        {{ one.name }}
      </text>
      <title>{{ one.name }}</title>
    </g>
  </g>
</template>

<style scoped>
.fittings {
  --tint: var(--well);
  --edge: var(--soft);
}
.chosen {
  --tint: var(--pick-pale);
  --edge: var(--pick);
}
text {
  fill: var(--ink);
  font-size: 10.5px;
  text-anchor: middle;
  paint-order: stroke;
  stroke: var(--deck);
  stroke-width: 3px;
}
</style>
