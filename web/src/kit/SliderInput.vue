<script setup lang="ts">
/** A figure that is set by a slider: it is tried while it slides, and taken where it is let go. */
defineProps<{
  modelValue: number
  label: string
  min: number
  max: number
  step: number
  /** the figure as people read it */
  told: string
  testid?: string
}>()
const emit = defineEmits<{ try: [value: number]; take: [value: number] }>()
const value = (event: Event) => Number((event.target as HTMLInputElement).value)
</script>

<template>
  <label class="slider">
    <span>{{ label }}</span>
    <input
      type="range"
      :min="min"
      :max="max"
      :step="step"
      :value="modelValue"
      :aria-label="label"
      :aria-valuetext="told"
      :data-testid="testid"
      @input="emit('try', value($event))"
      @change="emit('take', value($event))"
    />
    <output class="num">{{ told }}</output>
  </label>
</template>

<style scoped>
.slider {
  display: grid;
  grid-template-columns: 118px minmax(60px, 1fr) 74px;
  gap: 8px;
  align-items: center;
}
input {
  width: 100%;
  accent-color: var(--pick);
}
output {
  text-align: right;
}
</style>
