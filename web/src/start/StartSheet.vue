<script setup lang="ts">
/** The boat as told so far, from above and from the side, with what is taken along. */
import { useElementSize } from '@vueuse/core'
import { computed, useTemplateRef } from 'vue'
import { wearsVest } from '@/drawing/body'
import AnglerShape from '@/drawing/AnglerShape.vue'
import FittingMarks from '@/drawing/FittingMarks.vue'
import HullPlan from '@/drawing/HullPlan.vue'
import HullSide from '@/drawing/HullSide.vue'
import MeasureMark from '@/drawing/MeasureMark.vue'
import ThingShape from '@/drawing/ThingShape.vue'
import type { Sheet } from '@/drawing/sheet'
import { rowsById } from '@/drawing/stands'
import type { Drawn } from '@/drawing/types'
import { show } from '@/kit/units'
import { placesById } from '@/setup/laidOver'
import { useLook } from '@/setup/look'
import type { Started } from '@/api/client'

const props = defineProps<{ started: Started; high: number; field?: string }>()
const look = useLook()
const frame = useTemplateRef<HTMLDivElement>('frame')
const { width: size } = useElementSize(frame)
// In metres: the view from above with what stands out at the sides, from the ground up to the head
// of whoever sits, and the water below.
const PLAN_M = 1.2
const SIDE_M = 1.26
const BELOW_M = 0.28
const MARGIN = 32
/** As large as both views fit, in the middle; no ruler, and no weights along the boat. */
const sheet = computed<Sheet>(() => {
  const { x_m } = props.started.drawing
  const [aft, fwd] = [x_m[0]!, x_m.at(-1)!]
  const width = Math.max(280, size.value)
  const scale = Math.min(
    (width - 2 * MARGIN) / (fwd - aft),
    props.high / (PLAN_M + SIDE_M + BELOW_M),
  )
  const sideTop = PLAN_M * scale
  const sideBottom = sideTop + (SIDE_M + BELOW_M) * scale
  return {
    width,
    height: sideBottom,
    scale,
    bow_x_m: fwd,
    left: (width - (fwd - aft) * scale) / 2,
    planTop: 0,
    planMiddle: sideTop / 2,
    planBottom: sideTop,
    sideTop,
    sideBase: sideTop + SIDE_M * scale,
    sideBottom,
    stripTop: sideBottom,
    stripBottom: sideBottom,
  }
})
const drawn = computed<Drawn[]>(() => {
  const rows = rowsById(props.started.figures)
  return Object.entries(props.started.setup.things)
    .flatMap(([key, thing]) => {
      const aboard = rows.get(Number(key))
      // A vest that is worn is drawn on the body.
      const worn = props.started.setup.places[key]?.on?.kind === 'body'
      if (!aboard || (worn && thing.serves.includes('PFD'))) return []
      const { depth } = aboard
      const id = Number(key)
      return [{ id, thing, stand: aboard, aboard, selected: false, ghost: false, depth, holds: 0, hidden: false }]
    })
    .sort((a, b) => a.depth - b.depth)
}) // prettier-ignore
const vest = computed(() => wearsVest(placesById(props.started.setup), props.started.setup.things))
const tape = computed(() => props.started.setup.boat.tape)
const markText = computed(() => {
  const value = (tape.value as unknown as Record<string, unknown>)[props.field ?? '']
  return typeof value === 'number' ? show(value, 'length', look.units) : ''
})
</script>

<template>
  <div ref="frame" class="frame" inert>
    <svg
      v-if="size > 0"
      :width="sheet.width"
      :height="sheet.sideBottom"
      role="img"
      aria-label="The boat so far"
    >
      <HullSide
        :sheet="sheet"
        :drawing="started.drawing"
        :boat="started.setup.boat"
        :afloat="started.figures.afloat"
      />
      <AnglerShape
        :sheet="sheet"
        :drawing="started.drawing"
        :seat="started.setup.seat"
        view="side"
        :vest="vest"
      />
      <ThingShape
        v-for="one in drawn"
        :key="`s${one.id}`"
        :sheet="sheet"
        :drawn="one"
        view="side"
        :label="one.thing.name"
      />
      <HullPlan :sheet="sheet" :drawing="started.drawing" :boat="started.setup.boat" />
      <FittingMarks :sheet="sheet" :fittings="started.setup.boat.fittings" view="plan" />
      <AnglerShape
        :sheet="sheet"
        :drawing="started.drawing"
        :seat="started.setup.seat"
        view="plan"
        :vest="vest"
      />
      <ThingShape
        v-for="one in drawn"
        :key="`p${one.id}`"
        :sheet="sheet"
        :drawn="one"
        view="plan"
        :label="one.thing.name"
      />
      <HullSide
        :sheet="sheet"
        :drawing="started.drawing"
        :boat="started.setup.boat"
        :afloat="started.figures.afloat"
        front
      />
      <MeasureMark
        v-if="field"
        :sheet="sheet"
        :drawing="started.drawing"
        :tape="tape"
        :seat_x_m="started.setup.seat.x_m"
        :field="field"
        :text="markText"
      />
    </svg>
  </div>
</template>

<style scoped>
.frame {
  overflow: hidden;
  border: 1px solid var(--line);
  border-radius: 8px;
  background: var(--card);
}
svg {
  display: block;
}
</style>
