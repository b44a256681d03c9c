<script setup lang="ts">
/** What the tilt and force box says now; one press takes its reading. Typing always works too. */
import { useIntervalFn } from '@vueuse/core'
import { computed, ref } from 'vue'
import { api, ask, type Instrument } from '@/api/client'

const props = defineProps<{ scale?: boolean; moment_kg_m?: number }>()
const emit = defineEmits<{ heel: [deg: number]; force: [kg: number] }>()

const box = ref<Instrument | null>(null)
const settling = ref(false)

async function listen(): Promise<void> {
  try {
    box.value = await ask(api.GET('/api/v1/instrument'))
  } catch {
    box.value = null
  }
}
useIntervalFn(listen, 500, { immediateCallback: true })

const WORD: Record<Instrument['state'], string> = {
  off: 'no box; type the readings',
  lost: 'the box cannot be reached; looking for it again',
  stale: 'the box has gone silent',
  garbled: 'the box sends nothing readable',
  live: 'the box is live',
}
const value = computed(() => {
  if (box.value?.state !== 'live') return null
  return props.scale ? box.value.force_kg : box.value.heel_deg
})
const shown = computed(() =>
  value.value === null
    ? ''
    : props.scale
      ? `${value.value.toFixed(1)} kg`
      : `${value.value.toFixed(2)}° ± ${(box.value?.spread_deg ?? 0).toFixed(2)}°`,
)
function take(): void {
  if (value.value === null) return
  if (props.scale) emit('force', value.value)
  else emit('heel', value.value)
}
/** The simulated boat cannot see the jug: tell it, then wait until the means have followed. */
async function move(): Promise<void> {
  settling.value = true
  try {
    await api.POST('/api/v1/instrument/moment', {
      body: { moment_kg_m: props.moment_kg_m ?? 0 },
    })
    await new Promise((done) => setTimeout(done, 2600))
  } finally {
    settling.value = false
  }
}
</script>

<template>
  <div v-if="box && box.state !== 'off'" class="box" data-testid="instrument">
    <span class="state" :class="{ fix: box.state !== 'live' }">{{ WORD[box.state] }}</span>
    <span class="num">{{ shown }}</span>
    <span v-if="box.garbled" class="soft">{{ box.garbled }} unreadable lines</span>
    <span class="push" />
    <el-button
      v-if="moment_kg_m !== undefined"
      size="small"
      :loading="settling"
      data-testid="box-move"
      @click="move"
      >Move it on the simulated boat</el-button
    >
    <el-button
      size="small"
      :disabled="value === null || settling"
      data-testid="box-take"
      @click="take"
      >Take its reading</el-button
    >
  </div>
</template>

<style scoped>
.box {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  align-items: center;
  margin-top: 6px;
  padding: 4px 0;
  font-size: 12px;
}
.push {
  flex: 1;
}
.box :deep(.el-button + .el-button) {
  margin-left: 0;
}
</style>
