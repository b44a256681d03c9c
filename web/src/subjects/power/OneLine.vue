<script setup lang="ts">
/** The wiring as a one-line diagram: from each battery at the left to what it feeds at the right. */
import { computed } from 'vue'
import type { Figures, Thing } from '@/api/client'
import { show, type Units } from '@/kit/units'
import { gaugeWords, type Wire } from './wiring'

type PowerFigures = NonNullable<Figures['power']>
const props = defineProps<{
  power: PowerFigures
  wires: Record<string, Wire>
  things: Record<string, Thing>
  units: Units
  width: number
}>()
const chosen = defineModel<number | null>({ required: true })

const [ROW, TOP, NODE, GAP] = [46, 14, 96, 10]
interface Node {
  id: number
  depth: number
  row: number
  wire: number | null
  parent: Node | null
  root: boolean
}

const nodes = computed<Node[]>(() => {
  const found: Node[] = []
  const lying = new Map(props.power.conductors.map((one) => [one.key, one]))
  const seen = new Set<number>()
  let row = 0
  const add = (id: number, depth: number, wire: number | null, parent: Node | null): void => {
    seen.add(id)
    const node: Node = { id, depth, row, wire, parent, root: parent === null }
    found.push(node)
    const from = Object.entries(props.wires).filter(
      ([key, one]) => one.start === id && lying.has(Number(key)) && !seen.has(one.end),
    )
    from.forEach(([key, one], n) => {
      if (n) row += 1
      add(one.end, depth + 1, Number(key), node)
    })
    node.row = from.length ? (found.find((one) => one.parent === node)!.row + row) / 2 : node.row
  }
  for (const battery of props.power.batteries) {
    if (seen.has(battery.thing_id)) continue
    add(battery.thing_id, 0, null, null)
    row += 1
  }
  for (const id of props.power.unfed) {
    found.push({ id, depth: 1, row, wire: null, parent: null, root: false })
    row += 1
  }
  return found
})
const deepest = computed(() => Math.max(1, ...nodes.value.map((node) => node.depth)))
const step = computed(() => (props.width - NODE - 2) / deepest.value)
const height = computed(() => TOP + Math.max(1, ...nodes.value.map((one) => one.row + 1)) * ROW)
const x = (node: Node) => node.depth * step.value + 1
const y = (node: Node) => TOP + node.row * ROW + 10
const figure = (key: number) => props.power.conductors.find((one) => one.key === key)!
const edges = computed(() =>
  nodes.value.flatMap((node) => {
    if (!node.parent || node.wire === null) return []
    const wire = props.wires[String(node.wire)]!
    const from = x(node.parent) + NODE
    const bend = from + GAP
    return [
      {
        key: node.wire,
        wire,
        d: `M${from},${y(node.parent)}H${bend}V${y(node)}H${x(node)}`,
        at: bend + 3,
        y: y(node),
        verdict: figure(node.wire).drop_verdict,
        words: `${gaugeWords(wire)} · ${show(figure(node.wire).length_m, 'length', props.units, 0)}`,
        fuse: wire.fuse_a ?? null,
        drop: show(figure(node.wire).drop_share, 'ratio', props.units, 1),
      },
    ]
  }),
)
const battery = (id: number) => props.power.batteries.find((one) => one.thing_id === id)
const load = (id: number) => props.power.loads.find((one) => one.thing_id === id)
const under = (node: Node): string => {
  const feeds = battery(node.id)
  if (feeds)
    return `${show(feeds.capacity_ah, 'charge', props.units, 0)} · ${show(feeds.usable_wh, 'work', props.units)}`
  const takes = load(node.id)
  if (takes) return `${show(takes.full_a, 'current', props.units)} at full`
  return props.power.unfed.includes(node.id) ? 'no wire yet' : ''
}
const short = (name: string) => (name.length > 16 ? `${name.slice(0, 15)}…` : name)
</script>

<template>
  <svg :width="width" :height="height" role="group" aria-label="One-line diagram of the wiring">
    <g
      v-for="edge in edges"
      :key="edge.key"
      :class="['edge', edge.verdict, { chosen: chosen === edge.key }]"
      tabindex="0"
      role="button"
      :aria-pressed="chosen === edge.key"
      :aria-label="`Wire to ${things[String(edge.wire.end)]?.name}, ${edge.words}, ${
        edge.fuse === null ? 'no fuse' : `fuse ${edge.fuse} A`
      }, ${edge.drop} lost`"
      @click="chosen = edge.key"
      @keydown.enter.space.prevent="chosen = edge.key"
    >
      <rect
        class="catch"
        :x="edge.at"
        :y="edge.y - 18"
        :width="step - NODE - GAP - 4"
        height="36"
      />
      <path class="way" :d="edge.d" />
      <text :x="edge.at + 2" :y="edge.y - 6">{{ edge.words }}</text>
      <text :x="edge.at + 2" :y="edge.y + 13" class="soft">
        <tspan :class="{ none: edge.fuse === null }">
          {{ edge.fuse === null ? 'no fuse' : `fuse ${edge.fuse} A` }}
        </tspan>
        · −{{ edge.drop }}
      </text>
    </g>
    <g v-for="node in nodes" :key="`n${node.id}`" :class="{ root: node.root }">
      <rect :x="x(node)" :y="y(node) - 15" :width="NODE" height="31" rx="5" />
      <text :x="x(node) + 6" :y="y(node) - 2">
        {{ short(things[String(node.id)]?.name ?? '') }}
      </text>
      <text :x="x(node) + 6" :y="y(node) + 11" class="soft">{{ under(node) }}</text>
    </g>
  </svg>
</template>

<style scoped>
svg {
  display: block;
}
text {
  fill: var(--ink);
  font-size: 11px;
}
.soft {
  fill: var(--soft);
  font-size: 10px;
}
rect {
  fill: var(--paper);
  stroke: var(--line);
}
.root rect {
  fill: var(--pick-pale);
  stroke: var(--pick);
}
.way {
  fill: none;
  stroke: var(--wire, var(--fine));
  stroke-width: 2;
}
.catch {
  fill: transparent;
  stroke: none;
}
.edge {
  cursor: pointer;
}
.edge:focus-visible {
  outline: none;
}
.edge:focus-visible .way,
.chosen .way {
  stroke-width: 4;
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
.none {
  fill: var(--stop);
  font-weight: 600;
}
</style>
