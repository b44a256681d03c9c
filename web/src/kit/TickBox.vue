<script setup lang="ts">
/** A box to tick, with what it says beside it. */
import { ticked } from '@/kit/heard'

defineProps<{ on: boolean; testid?: string }>()
const emit = defineEmits<{ tick: [on: boolean] }>()
</script>

<template>
  <label class="tick"
    ><input
      type="checkbox"
      :checked="on"
      :data-testid="testid"
      @change="emit('tick', ticked($event))" />
    <slot
  /></label>
</template>

<style scoped>
/* Of no weight, so that a form may lay it out its own way. */
:where(.tick) {
  display: flex;
  gap: 5px;
  align-items: center;
}
</style>
