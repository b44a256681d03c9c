<script setup lang="ts">
/**
 * The sheet: the boat from above, from the side and from astern, and the load strip, on one ruler.
 * Owns the scale and the pointer; says where a thing is dragged to, in boat metres.
 */
import { useElementSize } from '@vueuse/core'
import { computed, ref, useTemplateRef } from 'vue'
import type { Between, Boat, Drawing, Figures, SeatPlace, Setup, Target } from '@/api/client'
import type { Units } from '@/kit/units'
import { fromPlanY, fromSideY, fromX, layOut, toX, type Spot } from './sheet'
import { alongRuler } from './things'
import { useZoom } from './useZoom'
import type { Overlay } from './overlays'
import AnglerShape from './AnglerShape.vue'
import AsternView from './AsternView.vue'
import HullPlan from './HullPlan.vue'
import HullSide from './HullSide.vue'
import LoadStrip from './LoadStrip.vue'
import EnvelopeShapes from './EnvelopeShapes.vue'
import FittingMarks from './FittingMarks.vue'
import LabelMarks from './LabelMarks.vue'
import LiveMarks from './LiveMarks.vue'
import ReachZones from './ReachZones.vue'
import RulerMarks from './RulerMarks.vue'
import TargetMarks from './TargetMarks.vue'
import ThingsLayer from './ThingsLayer.vue'
import { useNames } from './useNames'
import type { Drawn } from './types'

const props = defineProps<{
  boat: Boat
  seat: SeatPlace
  drawing: Drawing
  figures: Figures
  things: Drawn[]
  ghosts: Drawn[]
  overlays: readonly Overlay[]
  units: Units
  labels: ReadonlyMap<number, string>
  /** what the thing in hand could be put on, and which the pointer is over */
  targets: Target[]
  over: Target | null
  between: Between | null
  wires: Setup['power']['conductors']
  /** a life jacket is worn */
  vest: boolean
  /** what is selected is in hand, and is drawn over all else */
  inHand: boolean
}>()
const emit = defineEmits<{
  pick: [id: number | null]
  edit: [id: number]
  grab: [event: PointerEvent, id: number, view: 'plan' | 'side']
  key: [event: KeyboardEvent, id: number]
}>()

const frame = useTemplateRef<HTMLDivElement>('frame')
const svg = ref<SVGSVGElement | null>(null)
const { width, height } = useElementSize(frame)

const ends = computed(() => [props.drawing.x_m[0]!, props.drawing.x_m.at(-1)!] as const)
const bare = computed(() =>
  layOut(Math.max(320, width.value), Math.max(420, height.value), ...ends.value),
)
const { sheet, percent, about, closer, farther, full, pan, fit } = useZoom(bare, ends)
const on = (overlay: Overlay) => props.overlays.includes(overlay)
const chosen = computed(() => props.things.find((thing) => thing.selected))
const live = computed(() => ({
  sheet: sheet.value,
  figures: props.figures,
  wires: props.wires,
  overlays: props.overlays,
  chosen: new Set(props.things.filter((d) => d.selected).map((d) => d.id)),
  between: props.between,
  units: props.units,
}))
const clashing = computed(
  () =>
    new Set(
      props.figures.too_near
        .filter((clash) => clash.verdict !== 'watch')
        .flatMap((clash) => [clash.thing_id, clash.with_thing ?? clash.thing_id]),
    ),
)
const band = computed(() => {
  if (!chosen.value) return null
  const [aft, fwd] = alongRuler(chosen.value)
  return { x: toX(sheet.value, fwd), width: Math.max(2, (fwd - aft) * sheet.value.scale) }
})
const OPEN_AT = 220 // so near that what lies in something is seen in it, in percent
const seen = computed(() => props.things.filter((d) => !d.hidden || percent.value >= OPEN_AT))
// What goes with the hand is drawn over all else, and has no name meanwhile: those of the others stay
// where they are. Only in hand: to move what has the focus in the page would take the focus away.
const held = computed(
  () => new Set(props.inHand ? seen.value.filter((d) => d.moving).map(({ id }) => id) : []),
)
const layers = [
  useTemplateRef<InstanceType<typeof ThingsLayer>>('planThings'),
  useTemplateRef<InstanceType<typeof ThingsLayer>>('sideThings'),
]
/** What is in hand has gone so far from where it is drawn. */
const follow = (gone: Spot) => layers.forEach((layer) => layer.value?.follow(gone))
const things = computed(() => ({
  sheet: sheet.value,
  things: seen.value,
  ghosts: props.ghosts,
  held: held.value,
  labels: props.labels,
}))
const { named, marked } = useNames({
  seen: () => seen.value.filter(({ id }) => !held.value.has(id)),
  afloat: () => (on('balance') ? props.figures.afloat : null),
  held: () => props.inHand,
})
const inset = computed(() => ({
  width: Math.min(128, sheet.value.width * 0.22),
  height: Math.min(104, (sheet.value.sideBottom - sheet.value.sideTop) * 0.42),
  // On a narrow sheet the bow leaves no room above it, but the water does below.
  top:
    sheet.value.scale > 130
      ? sheet.value.sideTop + 25
      : sheet.value.sideBottom -
        6 -
        Math.min(104, (sheet.value.sideBottom - sheet.value.sideTop) * 0.42),
}))

/** Where a pointer stands on the sheet. */
const spotOf = (event: MouseEvent) => {
  const box = svg.value?.getBoundingClientRect() ?? { left: 0, top: 0 }
  return [event.clientX - box.left, event.clientY - box.top] as const
}

/** Where a pointer stands on the boat; `inside` tells whether it is over that view. */
function toBoat(event: PointerEvent, view: 'plan' | 'side') {
  const [px, py] = spotOf(event)
  const s = sheet.value
  const inPlan = px >= 0 && px <= s.width && py >= s.planTop && py <= s.planBottom
  const inSide = px >= 0 && px <= s.width && py > s.sideTop && py <= s.sideBottom
  return {
    x_m: fromX(s, px),
    y_m: fromPlanY(s, py),
    z_m: fromSideY(s, py),
    inside: view === 'plan' ? inPlan : inSide,
  }
}

/** The wheel looks nearer about the pointer; sideways, or with Shift, it moves along the boat. */
function wheeled(event: WheelEvent): void {
  const aside = event.shiftKey ? event.deltaY : event.deltaX
  if (Math.abs(aside) > Math.abs(event.deltaY) || event.shiftKey) return pan(-aside, 0, 'plan')
  about(Math.exp(-event.deltaY / 400), ...spotOf(event))
}
// Fingers and the pointer on the bare sheet: one moves it, two pinch.
const pressed = new Map<number, readonly [number, number]>()
function press(event: PointerEvent): void {
  emit('pick', null)
  if (event.button !== 0) return
  pressed.set(event.pointerId, spotOf(event))
  svg.value?.setPointerCapture(event.pointerId)
}
function drag(event: PointerEvent): void {
  const from = pressed.get(event.pointerId)
  if (!from) return
  const to = spotOf(event)
  pressed.set(event.pointerId, to)
  const other = [...pressed].find(([id]) => id !== event.pointerId)?.[1]
  if (!other)
    return pan(to[0] - from[0], to[1] - from[1], to[1] < sheet.value.planBottom ? 'plan' : 'side')
  const gap = (a: readonly [number, number]) => Math.hypot(a[0] - other[0], a[1] - other[1])
  about(gap(to) / Math.max(1, gap(from)), (to[0] + other[0]) / 2, (to[1] + other[1]) / 2)
}
const release = (event: PointerEvent) => pressed.delete(event.pointerId)
/** Look at what is selected as near as fills a third of the sheet, or at the whole boat again. */
function fitChosen(): void {
  if (!chosen.value) return full()
  const { stand, thing } = chosen.value
  const [aft, fwd] = alongRuler(chosen.value)
  fit((aft + fwd) / 2, stand.y_m, stand.base_z_m + thing.height_m / 2, fwd - aft)
}

/** Put the keyboard on a thing, for those who came from the list. */
function focusThing(id: number): void {
  svg.value?.querySelector<SVGGElement>(`.plan [data-thing="${id}"]`)?.focus()
}

defineExpose({ toBoat, follow, focusThing, svg, percent, closer, farther, full, fitChosen })
</script>

<template>
  <div ref="frame" class="frame">
    <!-- Not before there is a size to draw it at: it would be drawn twice. -->
    <svg
      v-if="width > 0"
      ref="svg"
      :width="sheet.width"
      :height="sheet.height"
      :viewBox="`0 0 ${sheet.width} ${sheet.height}`"
      role="group"
      aria-label="The boat to scale, bow at the left"
      @pointerdown="press"
      @pointermove="drag"
      @pointerup="release"
      @pointercancel="release"
      @wheel.prevent="wheeled"
    >
      <defs>
        <clipPath id="plan-clip">
          <rect
            x="0"
            :y="sheet.planTop"
            :width="sheet.width"
            :height="sheet.planBottom - sheet.planTop"
          />
        </clipPath>
        <clipPath id="side-clip">
          <rect
            x="0"
            :y="sheet.sideTop"
            :width="sheet.width"
            :height="sheet.sideBottom - sheet.sideTop"
          />
        </clipPath>
      </defs>
      <rect
        class="lake"
        x="1"
        :y="sheet.planTop"
        :width="sheet.width - 2"
        :height="sheet.planBottom - sheet.planTop"
      />
      <g clip-path="url(#side-clip)">
        <HullSide :sheet="sheet" :drawing="drawing" :boat="boat" :afloat="figures.afloat" />
        <FittingMarks :sheet="sheet" :fittings="boat.fittings" view="side" />
      </g>
      <RulerMarks
        :sheet="sheet"
        :length_m="drawing.x_m.at(-1)! - drawing.x_m[0]!"
        :imperial="units === 'imperial'"
      />
      <rect
        v-if="band"
        class="band"
        :x="band.x"
        :width="band.width"
        :y="sheet.planTop"
        :height="sheet.stripBottom - sheet.planTop - 2"
      />

      <g class="plan" clip-path="url(#plan-clip)">
        <HullPlan :sheet="sheet" :drawing="drawing" :boat="boat" />
        <FittingMarks :sheet="sheet" :fittings="boat.fittings" view="plan" />
        <ReachZones v-if="on('reach')" :sheet="sheet" :drawing="drawing" />
        <EnvelopeShapes :sheet="sheet" :drawing="drawing" :overlays="overlays" view="plan" />
        <TargetMarks :sheet="sheet" :targets="targets" :over="over" />
        <ThingsLayer
          ref="planThings"
          v-bind="things"
          view="plan"
          :clashing="clashing"
          @grab="(event, id) => emit('grab', event, id, 'plan')"
          @key="(event, id) => emit('key', event, id)"
          @pick="emit('pick', $event)"
          @edit="emit('edit', $event)"
        />
        <AnglerShape
          v-if="on('legs')"
          :sheet="sheet"
          :drawing="drawing"
          :seat="seat"
          :vest="vest"
          view="plan"
        />
        <ReachZones v-if="on('reach')" :sheet="sheet" :drawing="drawing" names />
        <LabelMarks
          :sheet="sheet"
          :drawing="drawing"
          :things="named"
          :marked="marked"
          view="plan"
          leaders
        />
        <text class="view" x="12" :y="sheet.planTop + 17">From above</text>
        <text class="bearing" :x="sheet.width - 10" :y="sheet.planTop + 15">starboard</text>
        <text class="bearing start" x="12" :y="sheet.planBottom - 6">
          port: your left, facing the bow
        </text>
        <LiveMarks v-bind="live" view="plan">
          <text
            v-if="figures.too_near.length"
            class="bearing"
            :x="sheet.width - 10"
            :y="sheet.planBottom - 6"
          >
            <tspan class="cross">×</tspan>
            too close, or in the way
          </text>
        </LiveMarks>
      </g>

      <g class="side" clip-path="url(#side-clip)">
        <AnglerShape
          v-if="on('legs')"
          :sheet="sheet"
          :drawing="drawing"
          :seat="seat"
          :vest="vest"
          view="side"
        />
        <ThingsLayer
          ref="sideThings"
          v-bind="things"
          view="side"
          @grab="(event, id) => emit('grab', event, id, 'side')"
        />
        <HullSide :sheet="sheet" :drawing="drawing" :boat="boat" :afloat="figures.afloat" front />
        <LabelMarks
          :sheet="sheet"
          :drawing="drawing"
          :things="named"
          :marked="marked"
          view="side"
          :leaders="on('names')"
        />
        <EnvelopeShapes :sheet="sheet" :drawing="drawing" :overlays="overlays" view="side" />
        <text class="view" x="12" :y="sheet.sideTop + 17">From the side</text>
        <LiveMarks v-bind="live" view="side" />
      </g>
      <g :transform="`translate(12 ${inset.top})`">
        <AsternView
          :drawing="drawing"
          :afloat="figures.afloat"
          :vest="vest"
          :width="inset.width"
          :height="inset.height"
        />
      </g>
      <LoadStrip :sheet="sheet" :figures="figures" :units="units" />
    </svg>
  </div>
</template>

<style scoped>
.frame {
  flex: 1;
  min-height: 0;
  overflow: hidden;
  border: 1px solid var(--line);
  border-radius: 8px;
  background: var(--card);
  contain: layout paint;
}
svg {
  display: block;
  user-select: none;
}
/* A view is a layer of its own, and so is where what is held lies along the boat: a drag paints
   that and not the boat. What is drawn in a view bears its name too, and is none. */
svg > .plan,
svg > .side,
.band {
  will-change: transform;
}
.lake {
  fill: var(--water-pale);
}
.band {
  fill: var(--pick);
  fill-opacity: 0.09;
  pointer-events: none;
}
.view,
.bearing {
  fill: var(--soft);
  font-size: 12px;
  pointer-events: none;
}
.bearing {
  font-size: 11px;
  text-anchor: end;
}
.start {
  text-anchor: start;
}
.cross {
  fill: var(--fix-mark);
  font-weight: 700;
}
</style>
