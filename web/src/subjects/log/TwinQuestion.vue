<script setup lang="ts">
/** A trip that looks to be told again: never doubled unasked. */
import type { Schemas } from '@/api/client'

defineProps<{ twin: Schemas['TripRow'] }>()
const emit = defineEmits<{ same: []; both: [] }>()
</script>

<template>
  <div class="twin" role="alertdialog" aria-label="The same trip twice?">
    <p>
      There is a trip of this setup on {{ twin.on_day }} already,
      {{ Number(twin.hours.toFixed(1)) }} h. Is this the same one?
    </p>
    <button type="button" class="small" @click="emit('same')">Same one: discard</button>
    <button type="button" class="small" data-testid="keep-both" @click="emit('both')">
      Keep both
    </button>
  </div>
</template>

<style scoped src="./tables.css"></style>
<style scoped>
.twin {
  padding: 8px 10px;
  border: 1px solid var(--fix-mark);
  border-radius: 8px;
}
.twin p {
  margin: 0 0 6px;
}
</style>
