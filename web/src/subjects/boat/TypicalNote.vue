<script setup lang="ts">
/** Says that a value is typical of such boats and nobody has measured it; one may say it is right. */
defineProps<{ what: string }>()
defineEmits<{ confirm: [] }>()
</script>

<template>
  <span class="note">
    typical, not measured ·
    <button
      type="button"
      :aria-label="`${what}: the typical value is right`"
      @click="$emit('confirm')"
    >
      it is right
    </button>
  </span>
</template>

<style scoped>
.note {
  color: var(--fix);
  white-space: nowrap;
}
button {
  padding: 0;
  border: 0;
  background: none;
  color: var(--pick);
  font: inherit;
  text-decoration: underline;
  cursor: pointer;
}
</style>
