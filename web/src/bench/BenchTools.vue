<script setup lang="ts">
/** Over the bench: what is drawn on it, a picture of it, and its keys. */
import { OVERLAYS, type Overlay } from '@/drawing/overlays'

defineProps<{ overlays: readonly Overlay[]; percent: number }>()
const emit = defineEmits<{
  toggle: [overlay: Overlay]
  closer: []
  farther: []
  full: []
  picture: []
  keys: []
}>()

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
    <span class="zoom" role="group" aria-label="Zoom">
      <button type="button" aria-label="Zoom out" title="Zoom out (-)" @click="emit('farther')">
        −
      </button>
      <button
        type="button"
        title="The whole boat (0)"
        aria-label="The whole boat"
        @click="emit('full')"
      >
        {{ percent }} %
      </button>
      <button type="button" aria-label="Zoom in" title="Zoom in (+)" @click="emit('closer')">
        +
      </button>
    </span>
    <span class="hints">
      <button type="button" class="keys" data-testid="picture" @click="emit('picture')">
        Picture
      </button>
      <button type="button" class="keys" @click="emit('keys')">Keys</button>
    </span>
  </div>
</template>

<style scoped>
.tools {
  display: flex;
  gap: 5px;
  align-items: center;
  height: 26px;
}
.overlay {
  height: 24px;
  padding: 0 7px;
  border: 1px solid var(--line);
  border-radius: 12px;
  background: var(--card);
  color: var(--soft);
  font-size: 12px;
  white-space: nowrap;
  cursor: pointer;
}
.overlay[aria-pressed='true'] {
  border-color: var(--pick);
  background: var(--pick-pale);
  color: var(--pick);
}
.zoom {
  display: flex;
  margin-left: auto;
  border: 1px solid var(--line);
  border-radius: 12px;
  background: var(--card);
}
.zoom button {
  height: 22px;
  padding: 0 6px;
  border: 0;
  background: none;
  color: var(--soft);
  font-size: 12px;
  cursor: pointer;
}
.hints {
  display: flex;
  gap: 6px;
  align-items: center;
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
