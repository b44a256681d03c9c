<script setup lang="ts" generic="T extends string">
/** A few words to choose one from. */
defineProps<{ label: string; options: readonly (readonly [T, string])[] }>()
const chosen = defineModel<T>({ required: true })
</script>

<template>
  <el-radio-group
    :model-value="chosen"
    size="small"
    :aria-label="label"
    @update:model-value="chosen = $event as T"
  >
    <el-radio-button v-for="[value, word] in options" :key="value" :value="value">
      {{ word }}
    </el-radio-button>
  </el-radio-group>
</template>
