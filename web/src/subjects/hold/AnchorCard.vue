<script setup lang="ts">
/** The anchor on its line: what it holds, and what is wanted. */
import type { Schemas } from '@/api/client'
import { show, type Kind, type Units } from '@/kit/units'
import type { HowFigure } from '@/setup/how'

const props = defineProps<{ anchor: Schemas['AnchorFigure']; name: string; units: Units }>()
const emit = defineEmits<{ how: [figure: HowFigure] }>()
const amount = (value: number | null | undefined, kind: Kind, digits?: number) =>
  value == null ? '—' : show(value, kind, props.units, digits)
</script>

<template>
  <div class="card pad" data-testid="anchor-card">
    <h2>
      <button type="button" title="How was this computed?" @click="emit('how', 'hold anchor')">
        {{ name }}
      </button>
    </h2>
    <dl>
      <dt>Pull over what it holds</dt>
      <dd>{{ amount(anchor.holding_share, 'ratio') }}</dd>
      <dt>Needed for twice the pull</dt>
      <dd>
        {{ amount(anchor.recommended_kg, 'mass') }}, aboard {{ amount(anchor.mass_kg, 'mass') }}
      </dd>
      <dt>Line out</dt>
      <dd>
        {{ amount(anchor.line_m, 'far') }} of
        {{
          anchor.rope_m == null
            ? 'an unknown length'
            : amount(anchor.rope_m + anchor.chain_m, 'far')
        }}
      </dd>
      <dt>Angle at the anchor, at the boat</dt>
      <dd>
        {{ amount(anchor.angle_at_anchor_deg, 'angle', 0) }},
        {{ amount(anchor.angle_at_cleat_deg, 'angle', 0) }}
      </dd>
      <dt>Pulls the end down by</dt>
      <dd>{{ amount(anchor.down_n, 'force', 1) }}</dd>
      <dt>Line, of its strength</dt>
      <dd>{{ amount(anchor.line_share, 'ratio', 1) }}</dd>
    </dl>
    <p v-if="!anchor.reaches_bottom" class="fix" role="alert">It does not reach the bottom.</p>
  </div>
</template>

<style scoped src="@/kit/cards.css"></style>
