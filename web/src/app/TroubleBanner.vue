<script setup lang="ts">
/** What could not be kept, and the way back: nothing is lost without a word. */
import { computed } from 'vue'
import { fieldWords } from '@/kit/words'
import { useSetup } from '@/setup/useSetup'

const store = useSetup()
const words = computed(() => {
  const held = store.held
  if (held?.why === 'conflict')
    return `This setup was changed elsewhere and is shown as it is now. Your change (${held.label}) is not lost:`
  if (held) return `The server cannot be reached. Your change (${held.label}) is kept here:`
  if (store.lost) return 'The server cannot be reached. What you see is the last that was saved.'
  return ''
})
const refusal = computed(() => {
  const problem = store.refusal?.problem
  if (!problem) return ''
  return problem.fields.length
    ? problem.fields.map((one) => `${fieldWords(one.field)}: ${one.why}`).join('; ')
    : problem.detail
})
</script>

<template>
  <div v-if="words || refusal" class="banner" role="alert" data-testid="banner">
    <template v-if="words">
      <span>{{ words }}</span>
      <el-button size="small" type="primary" data-testid="banner-again" @click="store.sendHeld()">
        {{ store.held?.why === 'conflict' ? 'Apply it again' : 'Try again' }}
      </el-button>
      <el-button v-if="store.held" size="small" @click="store.letGo()">Let it go</el-button>
    </template>
    <template v-else>
      <span>{{ refusal }}</span>
      <el-button size="small" @click="store.stopTrying()">Understood</el-button>
    </template>
  </div>
</template>

<style scoped>
.banner {
  display: flex;
  gap: 10px;
  align-items: center;
  padding: 6px 14px;
  border-bottom: 1px solid var(--fix-mark);
  background: color-mix(in srgb, var(--fix-mark) 16%, var(--card));
}
.banner span:first-child {
  margin-right: auto;
}
.banner :deep(.el-button + .el-button) {
  margin-left: 0;
}
</style>
