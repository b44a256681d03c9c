<script setup lang="ts">
/** The same mount done otherwise, each worked out; one press keeps it. */
import type { Schemas } from '@/api/client'
import { show, type Units } from '@/kit/units'
import { told } from '@/kit/words'

defineProps<{ ways: readonly Schemas['WhatIf'][]; units: Units }>()
const emit = defineEmits<{ take: [way: Schemas['WhatIf']] }>()
</script>

<template>
  <div v-if="ways.length" class="ways">
    <h3>What if</h3>
    <table>
      <tbody>
        <tr v-for="(one, i) in ways" :key="i">
          <th scope="row">{{ told(one.words.text, one.words.amounts ?? [], units) }}</th>
          <td class="num">{{ show(one.tilt_deg, 'angle', units) }}</td>
          <td class="num">
            {{ one.least > 99 ? 'over 99' : show(one.least, 'times', units) }} times
          </td>
          <td class="num">{{ one.added_kg ? `+${show(one.added_kg, 'mass', units, 2)}` : '' }}</td>
          <td>
            <button
              type="button"
              class="small"
              :data-testid="`what-if-${i}`"
              @click="emit('take', one)"
            >
              Do so
            </button>
          </td>
        </tr>
      </tbody>
    </table>
  </div>
</template>

<style scoped src="./tables.css"></style>
<style scoped>
h3 {
  margin: 10px 0 4px;
  color: var(--soft);
  font-size: 12px;
  font-weight: 600;
}
tbody th {
  font-weight: 400;
  white-space: normal;
}
</style>
