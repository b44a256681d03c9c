<script setup lang="ts">
/** What the boat comes to so far, each figure with how sure it is, and what would narrow it. */
import { computed } from 'vue'
import { show, showBand } from '@/kit/units'
import { trimWords } from '@/kit/words'
import { useLook } from '@/setup/look'
import type { Started } from '@/api/client'

const props = defineProps<{ started: Started }>()
const look = useLook()
const f = computed(() => props.started.figures)
const ALL = 11 // that have a typical value
const typical = computed(() => {
  const { tape } = props.started.setup.boat
  const open = Object.values(tape.assumed).filter(Boolean).length
  return open + Number(props.started.setup.seat.assumed)
})
const weight = computed(() => {
  const { carried_kg } = f.value.weight
  const { rated_kg } = props.started.setup.boat
  const band = f.value.bands?.carried_kg ?? 0
  const text = showBand(carried_kg, band, 'mass', look.units)
  return rated_kg ? `${text}, rated ${show(rated_kg, 'mass', look.units)}` : text
})
</script>

<template>
  <section class="figures" aria-label="Figures so far" aria-live="polite" data-testid="so-far">
    <dl v-if="f.afloat && f.bands">
      <div>
        <dt>Aboard, with you</dt>
        <dd>{{ weight }}</dd>
      </div>
      <div>
        <dt>Draft amidships</dt>
        <dd>{{ showBand(f.afloat.draft_mid_m, f.bands.draft_m, 'length', look.units) }}</dd>
      </div>
      <div>
        <dt>Trim</dt>
        <dd>{{ trimWords(f.afloat.trim_deg) }} ± {{ f.bands.trim_deg.toFixed(1) }}°</dd>
      </div>
      <div>
        <dt>Stability (GM)</dt>
        <dd data-testid="so-far-gm">
          {{ showBand(f.afloat.gm_m, f.bands.gm_m, 'length', look.units) }}
        </dd>
      </div>
    </dl>
    <p v-else class="stop" role="alert">{{ f.trouble }}</p>
    <p v-if="typical" class="typical" data-testid="typical">
      <span class="bar" aria-hidden="true"
        ><i :style="{ width: `${(100 * (ALL - typical)) / ALL}%` }"
      /></span>
      {{ typical }}
      {{ typical === 1 ? 'measure is a typical value' : 'measures are typical values' }} still, so
      the ± is wide. Each one you take narrows it.
    </p>
    <p v-else class="typical" data-testid="typical">
      All measures are yours. {{ f.bands?.measure_next ? `Next: ${f.bands.measure_next}.` : '' }}
    </p>
  </section>
</template>

<style scoped>
dl {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 28px;
  margin: 0 0 8px;
}
dt {
  color: var(--soft);
  font-size: 12px;
}
dd {
  margin: 0;
  font-family: var(--mono);
  font-size: 15px;
}
.typical {
  display: flex;
  gap: 10px;
  align-items: center;
  margin: 0;
  color: var(--soft);
}
.bar {
  flex: none;
  overflow: hidden;
  width: 90px;
  height: 6px;
  border-radius: 3px;
  background: var(--line);
}
.bar i {
  display: block;
  height: 100%;
  background: var(--pick);
}
.stop {
  margin: 0 0 8px;
  color: var(--stop);
}
</style>
