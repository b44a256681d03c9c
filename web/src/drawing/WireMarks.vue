<script setup lang="ts">
/** Wires as they lie: thick by gauge, colored by what is lost on the way, edged by what is found
 * along them; fuses, glands and clips. */
import { computed } from 'vue'
import type { Schemas, Verdict } from '@/api/client'
import type { Wire } from './wires'
import { drawnAt, path, type Point, type Sheet } from './sheet'

type Lies = Schemas['ConductorFigure']
const props = defineProps<{
  sheet: Sheet
  wires: Record<string, Wire>
  figures: Lies[]
  view: 'plan' | 'side'
  /** the wire whose points can be taken hold of */
  chosen?: number | null
  names?: ReadonlyMap<number, string>
  /** the worst that is found of each */
  verdicts: ReadonlyMap<number, Verdict>
}>()
defineEmits<{
  pick: [key: number]
  grab: [event: PointerEvent, key: number, at: number]
  key: [event: KeyboardEvent, key: number, at: number]
}>()

const THIN_PX = 1.6
const PX_PER_MM = 1.1
const across_mm = (wire: Wire): number =>
  wire.awg == null
    ? 2 * Math.sqrt((wire.area_mm2 ?? 1) / Math.PI)
    : 0.127 * 92 ** ((36 - wire.awg) / 39)
const FUSE_PX = 5
const [EDGE_PX, WIDE_PX] = [3, 6] // of light about it; broad where something is found along it

const drawn = computed(() =>
  props.figures.flatMap((lies) => {
    const wire = props.wires[String(lies.key)]
    if (!wire) return []
    const points = lies.points.map((spot) => drawnAt(props.sheet, props.view, spot))
    const held = wire.points.map((point, at) => ({ at, by: point.by, spot: points[at + 1]! }))
    return [
      {
        key: lies.key,
        wire,
        d: path(points),
        width: THIN_PX + PX_PER_MM * across_mm(wire),
        held: held.filter((one) => one.spot),
        fuse: wire.fuse_a == null ? null : along(points, wire.fuse_at_m * props.sheet.scale),
        drop: lies.fed ? lies.drop_verdict : 'loose',
        told: `told-${props.verdicts.get(lies.key) ?? 'fine'}`,
        edge: props.verdicts.has(lies.key) ? WIDE_PX : EDGE_PX,
        chosen: props.chosen === lies.key,
      },
    ]
  }),
)

/** The point so many pixels along a line. */
function along(points: readonly Point[], px: number): Point {
  let left = px
  for (let n = 1; n < points.length; n++) {
    const [a, b] = [points[n - 1]!, points[n]!]
    const size = Math.hypot(b[0] - a[0], b[1] - a[1])
    if (left <= size && size > 0) {
      const share = left / size
      return [a[0] + (b[0] - a[0]) * share, a[1] + (b[1] - a[1]) * share]
    }
    left -= size
  }
  return points.at(-1)!
}
const HELD_WORD = {
  point: 'point',
  clip: 'clip',
  gland: 'gland',
  hole: 'bare hole',
  hatch: 'hatch rim',
}
</script>

<template>
  <g class="wires">
    <g
      v-for="one in drawn"
      :key="one.key"
      :class="[one.drop, one.told, { chosen: one.chosen }]"
      @pointerdown.stop="$emit('pick', one.key)"
    >
      <path class="wide" :d="one.d" />
      <path class="halo" :d="one.d" :stroke-width="one.width + one.edge" />
      <path class="wire" :d="one.d" :stroke-width="one.width" />
      <template v-for="point in one.held" :key="point.at">
        <circle
          v-if="point.by === 'gland' || point.by === 'hole'"
          class="hole"
          :class="point.by"
          :cx="point.spot[0]"
          :cy="point.spot[1]"
          r="4"
        />
        <path
          v-else-if="point.by === 'hatch'"
          class="hole"
          :d="`M${point.spot[0] - 5},${point.spot[1]}h10`"
        />
        <circle v-else class="clip" :cx="point.spot[0]" :cy="point.spot[1]" r="2" />
        <circle
          v-if="one.chosen"
          class="grip"
          :cx="point.spot[0]"
          :cy="point.spot[1]"
          r="7"
          tabindex="0"
          role="button"
          :aria-label="`Point ${point.at + 1}, ${HELD_WORD[point.by]}`"
          @pointerdown.stop="$emit('grab', $event, one.key, point.at)"
          @keydown="$emit('key', $event, one.key, point.at)"
        />
      </template>
      <g v-if="one.fuse" class="fuse">
        <rect
          :x="one.fuse[0] - FUSE_PX"
          :y="one.fuse[1] - FUSE_PX / 2 - 1"
          :width="2 * FUSE_PX"
          :height="FUSE_PX + 2"
          rx="2"
        />
        <path :d="`M${one.fuse[0] - FUSE_PX + 2},${one.fuse[1]}h${2 * FUSE_PX - 4}`" />
      </g>
      <title>{{ names?.get(one.key) }}</title>
    </g>
  </g>
</template>

<style scoped>
.wires path {
  fill: none;
  stroke-linejoin: round;
  stroke-linecap: round;
}
.wires .wide {
  stroke: transparent;
  stroke-width: 14;
  cursor: pointer;
}
.wires .halo {
  stroke: var(--halo);
}
.wires .wire {
  stroke: var(--wire, var(--fine));
  pointer-events: none;
}
.watch {
  --wire: var(--watch);
}
.fix {
  --wire: var(--fix-mark);
}
.stop {
  --wire: var(--stop);
}
.loose {
  --wire: var(--soft);
}
.loose .wire {
  stroke-dasharray: 3 4;
}
/* Along one of which something is found. */
.told-watch .halo {
  --halo: color-mix(in srgb, var(--watch) 38%, var(--card));
}
.told-fix .halo {
  --halo: color-mix(in srgb, var(--fix-mark) 45%, var(--card));
}
.told-stop .halo {
  --halo: color-mix(in srgb, var(--stop) 45%, var(--card));
}
.chosen .halo {
  stroke: var(--pick);
  stroke-opacity: 0.45;
}
.clip {
  fill: var(--card);
  stroke: var(--wire, var(--fine));
  pointer-events: none;
}
.hole {
  fill: var(--card);
  stroke: var(--ink);
  stroke-width: 1.5;
  pointer-events: none;
}
.wires path.hole {
  stroke-width: 3;
}
.hole.hole {
  pointer-events: none;
}
circle.hole.hole:not(.gland) {
  stroke: var(--stop);
  stroke-dasharray: 2 2;
}
.grip {
  fill: var(--pick);
  fill-opacity: 0.15;
  stroke: var(--pick);
  cursor: grab;
}
.grip:focus-visible {
  outline: none;
  fill-opacity: 0.6;
  stroke-width: 3;
}
.fuse {
  pointer-events: none;
}
.fuse rect {
  fill: var(--card);
  stroke: var(--ink);
}
.wires .fuse path {
  stroke: var(--ink);
}
</style>
