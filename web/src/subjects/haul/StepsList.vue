<script setup lang="ts">
/** From car to water, step by step: what is carried, how far, how often. */
import type { FullHaul } from '@/api/client'
import { show, type Units } from '@/kit/units'
import { told } from '@/kit/words'

defineProps<{ full: FullHaul; units: Units }>()
</script>

<template>
  <div class="card pad" data-testid="steps">
    <h2>From the garage to the water</h2>
    <ol>
      <li v-for="one in full.steps" :key="one.code">
        {{ told(one.said.text, one.said.amounts ?? [], units) }}
        <span v-if="one.walked_m" class="soft">walked {{ show(one.walked_m, 'far', units) }}</span>
        <span v-if="one.minutes" class="soft">{{ Math.ceil(one.minutes) }} min</span>
      </li>
    </ol>
    <p class="soft">
      {{ show(full.walked_m, 'far', units) }} on foot all together. Lift with help; a figure here is
      no medical advice.
    </p>
  </div>
</template>

<style scoped src="@/kit/cards.css"></style>
<style scoped>
ol {
  margin: 4px 0;
  padding-left: 20px;
  font-size: 12.5px;
}
</style>
