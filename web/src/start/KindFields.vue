<script setup lang="ts">
/** What kind of boat it is, and what it is called. */
import ChoiceGroup from '@/kit/ChoiceGroup.vue'
import type { Told } from './useStart'

const told = defineModel<Told>({ required: true })
</script>

<template>
  <div class="kind">
    <label for="start-name">Boat</label>
    <el-input
      id="start-name"
      v-model="told.boat_name"
      size="small"
      placeholder="My boat"
      aria-label="Name of the boat"
      maxlength="80"
      data-testid="boat-name"
    />
    <span>You sit</span>
    <ChoiceGroup
      :model-value="told.sit_in ? 'in' : 'on'"
      label="On top or inside"
      :options="[
        ['on', 'on top of it'],
        ['in', 'inside, in a cockpit'],
      ]"
      @update:model-value="told.sit_in = $event === 'in'"
    />
    <span>It goes by</span>
    <ChoiceGroup
      :model-value="told.pedals ? 'pedals' : 'paddle'"
      label="Paddle or pedals"
      :options="[
        ['paddle', 'paddle'],
        ['pedals', 'pedals'],
      ]"
      @update:model-value="told.pedals = $event === 'pedals'"
    />
  </div>
</template>

<style scoped>
.kind {
  display: grid;
  grid-template-columns: 110px minmax(0, 1fr);
  gap: 8px 12px;
  align-items: center;
}
</style>
