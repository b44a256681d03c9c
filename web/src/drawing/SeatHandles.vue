<script setup lang="ts">
/** Seat and foot brace to take hold of, in the view from the side; arrows move them by 1 cm. */
import { computed } from 'vue'
import type { SeatPlace } from '@/api/client'
import { useCarry } from '@/kit/useCarry'
import { fromSideY, fromX, sideY, toX, type Sheet } from './sheet'
import { tidy } from './places'

const props = defineProps<{ sheet: Sheet; svg: SVGSVGElement | null }>()
const seat = defineModel<SeatPlace>({ required: true })
const { pickUp } = useCarry()

type Part = 'seat' | 'brace'
const PARTS: [Part, string][] = [
  ['seat', 'Seat: drag it, or move it with the arrow keys'],
  ['brace', 'Foot brace: drag it, or move it with the arrow keys'],
]
const at = computed(() => ({
  seat: { x_m: seat.value.x_m, z_m: seat.value.z_m },
  brace: { x_m: seat.value.brace_x_m, z_m: seat.value.brace_z_m },
}))

function put(part: Part, x_m: number, z_m: number): void {
  const [x, z] = [tidy(x_m), Math.max(0, tidy(z_m))]
  seat.value =
    part === 'seat'
      ? { ...seat.value, x_m: x, z_m: z }
      : { ...seat.value, brace_x_m: x, brace_z_m: z }
}
function grab(event: PointerEvent, part: Part): void {
  const kept = { ...seat.value }
  const to = (e: PointerEvent) => {
    const box = props.svg!.getBoundingClientRect()
    put(part, fromX(props.sheet, e.clientX - box.left), fromSideY(props.sheet, e.clientY - box.top))
  }
  pickUp(event, { move: to, drop: to, cancel: () => (seat.value = kept) })
}
function press(event: KeyboardEvent, part: Part): void {
  const step = event.shiftKey ? 0.05 : event.altKey ? 0.001 : 0.01
  const moves: Record<string, [number, number]> = {
    ArrowLeft: [step, 0],
    ArrowRight: [-step, 0],
    ArrowUp: [0, step],
    ArrowDown: [0, -step],
  }
  const move = moves[event.key]
  if (!move) return
  event.preventDefault()
  put(part, at.value[part].x_m + move[0], at.value[part].z_m + move[1])
}
</script>

<template>
  <g>
    <circle
      v-for="[part, word] in PARTS"
      :key="part"
      role="slider"
      tabindex="0"
      :aria-label="word"
      :aria-valuenow="at[part].z_m"
      :aria-valuetext="`${(100 * at[part].z_m).toFixed(0)} cm above the bottom`"
      :data-handle="part"
      :cx="toX(sheet, at[part].x_m)"
      :cy="sideY(sheet, at[part].z_m)"
      r="8"
      @pointerdown.stop="grab($event, part)"
      @keydown="press($event, part)"
    >
      <title>{{ word }}</title>
    </circle>
  </g>
</template>

<style scoped>
circle {
  fill: var(--pick);
  fill-opacity: 0.3;
  stroke: var(--pick);
  stroke-width: 2;
  cursor: grab;
  touch-action: none;
  outline: none;
}
circle:focus-visible {
  fill-opacity: 0.7;
  stroke-width: 4;
}
</style>
