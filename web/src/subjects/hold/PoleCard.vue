<script setup lang="ts">
/** A pole pushed in: how deep it is good for, and what gives first. */
import type { Schemas } from '@/api/client'
import { show, type Kind, type Units } from '@/kit/units'
import type { HowFigure } from '@/setup/how'
import TickBox from '@/kit/TickBox.vue'

const props = defineProps<{
  pole: Schemas['PoleFigure']
  name: string
  two: boolean
  units: Units
}>()
const emit = defineEmits<{ two: [on: boolean]; how: [figure: HowFigure] }>()
const amount = (value: number | null | undefined, kind: Kind, digits?: number) =>
  value == null ? '—' : show(value, kind, props.units, digits)
const LIMITED = { bending: 'it bends', soil: 'the bottom gives way', length: 'it is too short' }
</script>

<template>
  <div class="card pad" data-testid="pole-card">
    <h2>
      <button type="button" title="How was this computed?" @click="emit('how', 'hold pole')">
        {{ name }}
      </button>
    </h2>
    <dl>
      <dt>Good to</dt>
      <dd>
        {{ amount(pole.depth_limit_m, 'far', 1) }}, then
        {{ LIMITED[pole.limited_by] }}
      </dd>
      <dt>Bending, of what it stands</dt>
      <dd>{{ amount(pole.bending_share, 'ratio') }}</dd>
      <dt>Bottom, of what it stands</dt>
      <dd>{{ amount(pole.soil_share, 'ratio') }}</dd>
      <dt>Gives at the boat by</dt>
      <dd>{{ amount(pole.deflection_m, 'length', 0) }}</dd>
    </dl>
    <TickBox :on="two" @tick="emit('two', $event)"
      >a second pole at the other end, so that it does not turn</TickBox
    >
  </div>
</template>

<style scoped src="@/kit/cards.css"></style>
