<script setup lang="ts">
/** Where a weight comes from; a person has no label. */
import { CHOICES } from '@/api/words'
import type { Thing } from '@/api/client'
import ChoiceGroup from './ChoiceGroup.vue'

withDefaults(defineProps<{ label?: string; labelled?: boolean }>(), {
  label: 'Where the weight comes from',
  labelled: true,
})
const evidence = defineModel<Thing['evidence']>({ required: true })
const ALL = CHOICES.Thing.evidence.map((one) => [one, one] as const)
</script>

<template>
  <ChoiceGroup
    v-model="evidence"
    :label="label"
    :options="ALL.filter(([one]) => labelled || one !== 'label')"
  />
</template>
