<script setup lang="ts">
/** Weights and figures on the one axis of the hours. */
import { computed } from 'vue'
import type { FullDay, Schemas } from '@/api/client'
import { path, type Point } from '@/drawing/sheet'
import { axis, onto } from '@/kit/scale'
import { number, unitOf, type Kind, type Units } from '@/kit/units'

type Row = Schemas['HourRow']
const props = defineProps<{
  day: FullDay
  hour: number
  units: Units
  width: number
  left: number
  right: number
}>()
const [HIGH, TOP, GAP] = [66, 16, 12]
const INKS = [
  'var(--pick)',
  'var(--fix-mark)',
  'var(--fine)',
  'var(--stop)',
  'var(--watch)',
  'var(--soft)',
]

const x = computed(() =>
  onto(
    { low: props.day.figures.start_h, high: props.day.figures.end_h, ticks: [] },
    props.left,
    props.width - props.right,
  ),
)
interface Line {
  name: string
  ink: string
  read: (row: Row) => number | null
}
interface Panel {
  title: string
  kind: Kind
  lines: Line[]
}
const stores = computed(() => Object.keys(props.day.rows[0]?.kg ?? {}))
const panels = computed<Panel[]>(() => [
  {
    title: 'All of it',
    kind: 'mass',
    lines: [{ name: '', ink: INKS[0]!, read: (row) => row.total_kg }],
  },
  ...(stores.value.length
    ? [
        {
          title: 'Stores',
          kind: 'mass' as const,
          lines: stores.value.map((name, i) => ({
            name,
            ink: INKS[i % INKS.length]!,
            read: (row: Row) => row.kg[name] ?? 0,
          })),
        },
      ]
    : []),
  {
    title: 'List, starboard down, and trim, bow up',
    kind: 'angle',
    lines: [
      { name: 'list', ink: INKS[0]!, read: (row) => row.list_deg },
      { name: 'trim', ink: INKS[1]!, read: (row) => row.trim_deg },
    ],
  },
  {
    title: 'Side above the water, at rest and leaning',
    kind: 'length',
    lines: [
      { name: 'at rest', ink: INKS[0]!, read: (row) => row.freeboard_m },
      { name: 'leaning', ink: INKS[1]!, read: (row) => row.lean_freeboard_m },
    ],
  },
  {
    title: 'GM',
    kind: 'length',
    lines: [{ name: '', ink: INKS[0]!, read: (row) => row.gm_m }],
  },
])
/** As many places as tell the ticks apart, in the units that are shown. */
function digitsOf(ticks: number[], kind: Kind): number {
  const texts = (digits: number) => ticks.map((one) => number(one, kind, props.units, digits))
  return [0, 1, 2].find((digits) => new Set(texts(digits)).size === ticks.length) ?? 2
}
const drawn = computed(() =>
  panels.value.map((panel, n) => {
    const values = panel.lines.flatMap((line) =>
      props.day.rows.map(line.read).filter((value): value is number => value !== null),
    )
    const top = n * (HIGH + TOP + GAP) + TOP
    const up = values.length ? axis(Math.min(...values), Math.max(...values), 3) : axis(0, 1, 2)
    const y = onto(up, top + HIGH, top)
    return {
      ...panel,
      top,
      ticks: up.ticks.map((value) => ({ value, y: y(value) })),
      digits: digitsOf(up.ticks, panel.kind),
      paths: panel.lines.map((line) => {
        const points: Point[] = props.day.rows.flatMap((row) => {
          const value = line.read(row)
          return value === null ? [] : [[x.value(row.h), y(value)] as Point]
        })
        return { ...line, d: points.length ? path(points) : '', last: points.at(-1) ?? null }
      }),
    }
  }),
)
const height = computed(() => panels.value.length * (HIGH + TOP + GAP))
</script>

<template>
  <svg
    :width="width"
    :height="height"
    role="img"
    aria-label="Weights and figures by the hour"
    data-testid="day-charts"
  >
    <g v-for="panel in drawn" :key="panel.title">
      <text class="name" :x="left + 6" :y="panel.top - 4">
        {{ panel.title }}, {{ unitOf(panel.kind, units) }}
      </text>
      <g v-for="one in panel.ticks" :key="one.value">
        <line class="grid" :x1="left" :x2="width - right" :y1="one.y" :y2="one.y" />
        <text class="tick end" :x="left - 4" :y="one.y + 3">
          {{ number(one.value, panel.kind, units, panel.digits) }}
        </text>
      </g>
      <g v-for="line in panel.paths" :key="line.name">
        <path class="line" :d="line.d" :style="{ stroke: line.ink }" />
        <text
          v-if="line.last && line.name"
          class="name end label"
          :x="width - right"
          :y="line.last[1] - 4"
          :style="{ fill: line.ink }"
        >
          {{ line.name }}
        </text>
      </g>
    </g>
    <line class="now" :x1="x(hour)" :x2="x(hour)" y1="0" :y2="height" />
  </svg>
</template>

<style scoped src="@/kit/chart.css"></style>
<style scoped>
.now {
  stroke: var(--pick);
  stroke-dasharray: 3 3;
}
.label {
  paint-order: stroke;
  stroke: var(--halo);
  stroke-width: 3px;
}
</style>
