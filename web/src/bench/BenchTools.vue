<script setup lang="ts">
/** Over the bench: what is drawn on it, a picture of it, and its keys. */
import { OVERLAYS, type Overlay } from '@/drawing/overlays'

defineProps<{ overlays: readonly Overlay[] }>()
const emit = defineEmits<{ toggle: [overlay: Overlay]; picture: []; keys: [] }>()

const ALL: [Overlay, string, string][] = [
  ...OVERLAYS.map(({ key, label }, i): [Overlay, string, string] => [key, `${i + 1}`, label]),
  ['names', 'N', 'Names'],
]
</script>

<template>
  <div class="tools">
    <button
      v-for="[overlay, key, label] in ALL"
      :key="overlay"
      type="button"
      class="overlay"
      :aria-pressed="overlays.includes(overlay)"
      @click="emit('toggle', overlay)"
    >
      <span class="num">{{ key }}</span> {{ label }}
    </button>
    <span class="hints">
      <button type="button" class="keys" data-testid="picture" @click="emit('picture')">
        picture <kbd>P</kbd>
      </button>
      <button type="button" class="keys" @click="emit('keys')">all keys <kbd>?</kbd></button>
    </span>
  </div>
</template>

<style scoped>
.tools {
  display: flex;
  gap: 6px;
  align-items: center;
  height: 26px;
}
.overlay {
  height: 24px;
  padding: 0 8px;
  border: 1px solid var(--line);
  border-radius: 12px;
  background: var(--card);
  color: var(--soft);
  font-size: 12px;
  cursor: pointer;
}
.overlay[aria-pressed='true'] {
  border-color: var(--pick);
  background: var(--pick-pale);
  color: var(--pick);
}
.hints {
  display: flex;
  gap: 6px;
  align-items: center;
  margin-left: auto;
  color: var(--soft);
  font-size: 12px;
  white-space: nowrap;
}
.keys {
  padding: 0;
  border: 0;
  background: none;
  color: inherit;
  font-size: 12px;
  cursor: pointer;
}

@media (max-width: 900px) {
  .tools {
    flex-wrap: wrap;
    height: auto;
  }
  .hints {
    display: none;
  }
}
</style>
