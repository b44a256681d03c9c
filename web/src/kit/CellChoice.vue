<script setup lang="ts" generic="T extends string">
/** A choice of words in a cell of a table. */
defineProps<{ value: T; options: readonly T[]; label: string }>()
defineEmits<{ choose: [value: T] }>()
</script>

<template>
  <select
    :value="value"
    :aria-label="label"
    @change="$emit('choose', ($event.target as HTMLSelectElement).value as T)"
  >
    <option v-for="one in options" :key="one">{{ one }}</option>
  </select>
</template>
