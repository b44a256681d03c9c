<script setup lang="ts">
/** The boat with its wires, from above and from the side; points of the chosen wire are dragged. */
import { useElementSize } from '@vueuse/core'
import { computed, ref, useTemplateRef } from 'vue'
import type { Drawing, Figures, Setup, Thing, Verdict } from '@/api/client'
import FittingMarks from '@/drawing/FittingMarks.vue'
import HullPlan from '@/drawing/HullPlan.vue'
import HullSide from '@/drawing/HullSide.vue'
import AnglerShape from '@/drawing/AnglerShape.vue'
import LabelMarks from '@/drawing/LabelMarks.vue'
import RulerMarks from '@/drawing/RulerMarks.vue'
import ThingShape from '@/drawing/ThingShape.vue'
import WireMarks from '@/drawing/WireMarks.vue'
import { fromPlanY, fromSideY, fromX, layOut } from '@/drawing/sheet'
import { rowsById } from '@/drawing/stands'
import type { Drawn } from '@/drawing/types'
import { useCarry } from '@/kit/useCarry'
import type { Units } from '@/kit/units'
import { isElectric, type Wire } from './wiring'

const props = defineProps<{
  setup: Setup
  drawing: Drawing
  figures: Figures
  things: Record<string, Thing>
  wires: Record<string, Wire>
  names: ReadonlyMap<number, string>
  verdicts: ReadonlyMap<number, Verdict>
  units: Units
}>()
const chosen = defineModel<number | null>({ required: true })
const emit = defineEmits<{
  /** points of a wire while they are held, and when they are let go */
  moved: [key: number, points: Wire['points'], done: boolean]
  letGo: []
  pickThing: [id: number]
}>()

const HIGH = 520
const STEP_M = 0.01
const frame = useTemplateRef<HTMLDivElement>('frame')
const svg = ref<SVGSVGElement | null>(null)
const { width } = useElementSize(frame)
const sheet = computed(() => {
  const x = props.drawing.x_m
  return layOut(Math.max(320, width.value), HIGH, x[0]!, x.at(-1)!)
})
const high = computed(() => sheet.value.sideBottom)
const ends = computed(
  () => new Set(Object.values(props.wires).flatMap((wire) => [wire.start, wire.end])),
)
const drawn = computed<Drawn[]>(() =>
  [...rowsById(props.figures)].flatMap(([id, aboard]) => {
    const thing = props.things[String(id)]
    if (!thing) return []
    const of = ends.value.has(id) || isElectric(thing)
    return [
      {
        id,
        thing,
        stand: aboard,
        aboard,
        selected: false,
        ghost: !of,
        depth: aboard.depth,
        holds: 0,
        hidden: false,
      },
    ]
  }),
)
const electric = computed(() => drawn.value.filter((one) => !one.ghost))
const others = computed(() => drawn.value.filter((one) => one.ghost))

const carry = useCarry()
function grab(event: PointerEvent, key: number, at: number, view: 'plan' | 'side'): void {
  chosen.value = key
  const box = () => svg.value!.getBoundingClientRect()
  const spot = (now: PointerEvent) => {
    const points = [...props.wires[String(key)]!.points]
    const [px, py] = [now.clientX - box().left, now.clientY - box().top]
    const x_m = fromX(sheet.value, px)
    points[at] =
      view === 'plan'
        ? { ...points[at]!, x_m, y_m: fromPlanY(sheet.value, py) }
        : { ...points[at]!, x_m, z_m: fromSideY(sheet.value, py) }
    return points
  }
  carry.pickUp(event, {
    move: (now) => emit('moved', key, spot(now), false),
    drop: (now) => emit('moved', key, spot(now), true),
    cancel: () => emit('letGo'),
  })
}
function nudge(event: KeyboardEvent, key: number, at: number, view: 'plan' | 'side'): void {
  const step = event.shiftKey ? 5 * STEP_M : STEP_M
  const by = { ArrowLeft: [step, 0], ArrowRight: [-step, 0], ArrowUp: [0, 1], ArrowDown: [0, -1] }[
    event.key
  ]
  const points = [...props.wires[String(key)]!.points]
  if (event.key === 'Delete' || event.key === 'Backspace') {
    points.splice(at, 1)
    emit('moved', key, points, true)
  } else if (by) {
    const [along, up] = [by[0]!, by[1]! * step]
    const point = points[at]!
    points[at] =
      view === 'plan'
        ? { ...point, x_m: point.x_m + along, y_m: point.y_m - up }
        : { ...point, x_m: point.x_m + along, z_m: point.z_m + up }
    emit('moved', key, points, true)
  } else return
  event.preventDefault()
}
</script>

<template>
  <div ref="frame" class="sheet">
    <svg
      v-if="width > 0"
      ref="svg"
      :width="sheet.width"
      :height="high"
      role="group"
      aria-label="The boat with its wires, from above and from the side"
      @pointerdown="chosen = null"
    >
      <defs>
        <clipPath v-for="view in ['plan', 'side'] as const" :id="`power-${view}`" :key="view">
          <rect
            :width="sheet.width"
            :y="view === 'plan' ? sheet.planTop : sheet.sideTop"
            :height="
              view === 'plan' ? sheet.planBottom - sheet.planTop : sheet.sideBottom - sheet.sideTop
            "
          />
        </clipPath>
      </defs>
      <g clip-path="url(#power-side)">
        <HullSide :sheet="sheet" :drawing="drawing" :boat="setup.boat" :afloat="figures.afloat" />
      </g>
      <RulerMarks
        :sheet="sheet"
        :length_m="drawing.x_m.at(-1)! - drawing.x_m[0]!"
        :imperial="units === 'imperial'"
      />
      <g clip-path="url(#power-plan)">
        <HullPlan :sheet="sheet" :drawing="drawing" :boat="setup.boat" />
        <FittingMarks :sheet="sheet" :fittings="setup.boat.fittings" view="plan" />
      </g>
      <g v-for="view in ['plan', 'side'] as const" :key="view" :clip-path="`url(#power-${view})`">
        <g class="faint" aria-hidden="true">
          <ThingShape
            v-for="one in others"
            :key="one.id"
            :sheet="sheet"
            :drawn="one"
            :view="view"
            label=""
          />
          <AnglerShape
            :sheet="sheet"
            :drawing="drawing"
            :seat="setup.seat"
            :view="view"
            :vest="false"
          />
        </g>
        <ThingShape
          v-for="one in electric"
          :key="one.id"
          :sheet="sheet"
          :drawn="one"
          :view="view"
          :label="one.thing.name"
          @pick="emit('pickThing', one.id)"
          @grab="emit('pickThing', one.id)"
        />
        <WireMarks
          :sheet="sheet"
          :wires="wires"
          :figures="figures.power?.conductors ?? []"
          :view="view"
          :chosen="chosen"
          :names="names"
          :verdicts="verdicts"
          @pick="chosen = $event"
          @grab="(event, key, at) => grab(event, key, at, view)"
          @key="(event, key, at) => nudge(event, key, at, view)"
        />
        <LabelMarks
          :sheet="sheet"
          :drawing="drawing"
          :things="electric"
          :view="view"
          :leaders="view === 'plan'"
        />
      </g>
      <text class="view" x="12" :y="sheet.planTop + 17">From above</text>
      <text class="view" x="12" :y="sheet.sideTop + 17">From the side</text>
    </svg>
  </div>
</template>

<style scoped>
.sheet {
  border: 1px solid var(--line);
  border-radius: 8px;
  background: var(--card);
  overflow: hidden;
}
svg {
  display: block;
  touch-action: none;
}
.faint {
  opacity: 0.35;
  pointer-events: none;
}
.view {
  fill: var(--soft);
  font-size: 12px;
}
</style>
