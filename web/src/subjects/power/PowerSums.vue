<script setup lang="ts">
/** What is left at the day's end, how long it lasts, and how each of that was computed. */
import type { Figures } from '@/api/client'
import { show, type Units } from '@/kit/units'
import type { HowFigure } from '@/setup/how'

defineProps<{ figures: NonNullable<Figures['power']>; units: Units }>()
const emit = defineEmits<{ how: [figure: HowFigure] }>()

const HOWS: [HowFigure, string][] = [
  ['volts', 'voltage'],
  ['drop', 'lost on the way'],
  ['fuse', 'fuse'],
]
</script>

<template>
  <p class="sums" aria-live="polite">
    <button
      v-if="figures.left_share !== null"
      type="button"
      class="how"
      data-testid="power-left"
      title="How was this computed?"
      @click="emit('how', 'power')"
    >
      <b>{{ show(Math.max(0, figures.left_share), 'ratio', units) }}</b> left at the day’s end
    </button>
    <span v-if="figures.least_hours !== null"
      >lasts <b>{{ show(figures.least_hours, 'hours', units) }}</b></span
    >
    <span v-if="figures.home_h !== null"
      >way home <b>{{ show(figures.home_h, 'hours', units) }}</b> of
      {{ show(figures.home_asked_h ?? 0, 'hours', units) }} needed</span
    >
    <span v-if="figures.loads.length" class="hows"
      >How:
      <button
        v-for="[name, word] in HOWS"
        :key="name"
        type="button"
        class="how"
        @click="emit('how', name)"
      >
        {{ word }}
      </button></span
    >
  </p>
</template>

<style scoped src="@/setup/page.css"></style>
<style scoped>
.sums {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 16px;
}
.hows {
  display: flex;
  gap: 8px;
  color: var(--soft);
}
</style>
