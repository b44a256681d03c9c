<script setup lang="ts">
/** One measure at a time, in the order one walks round the boat. */
import { computed } from 'vue'
import { MEASURES } from '@/setup/measures'

const props = defineProps<{ field: string }>()
const emit = defineEmits<{ go: [field: string] }>()

const place = computed(() => MEASURES.findIndex((one) => one.field === props.field))
const measure = computed(() => MEASURES[place.value])
const step = (by: number) => {
  const next = MEASURES[Math.min(MEASURES.length - 1, Math.max(0, place.value + by))]
  if (next) emit('go', next.field)
}
</script>

<template>
  <div v-if="measure" class="walk" aria-live="polite" data-testid="walk">
    <span class="num">{{ place + 1 }} of {{ MEASURES.length }}</span>
    <div>
      <b>{{ measure.label }}</b>
      <p>{{ measure.how }}</p>
    </div>
    <span class="push" />
    <el-button size="small" :disabled="place === 0" @click="step(-1)">Back</el-button>
    <el-button
      size="small"
      :disabled="place === MEASURES.length - 1"
      data-testid="walk-next"
      @click="step(1)"
      >Next</el-button
    >
  </div>
</template>

<style scoped>
.walk {
  display: flex;
  gap: 12px;
  align-items: center;
  min-height: 52px;
  margin-top: 8px;
  padding: 6px 12px;
  border-left: 3px solid var(--stop);
  background: var(--card);
}
.num {
  color: var(--soft);
  white-space: nowrap;
}
p {
  margin: 0;
  color: var(--soft);
}
.push {
  flex: 1;
}
.walk :deep(.el-button + .el-button) {
  margin-left: 0;
}
</style>
