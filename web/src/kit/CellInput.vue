<script setup lang="ts">
/** A cell that is typed into: while it is in use, what stands in it is the user's. */
import { nextTick, ref, watch } from 'vue'

const props = defineProps<{
  value: string
  label?: string
  maxlength?: number
  /** what stands in it could not be taken, and stays to be mended */
  bad?: boolean
}>()
const emit = defineEmits<{ take: [text: string] }>()

const text = ref(props.value)
let inUse = false
let known = props.value // what stood there at first, or was taken last
watch(
  () => props.value,
  () => !inUse && show(),
)
function show(): void {
  text.value = known = props.value
}
function take(): void {
  if (text.value === known) return
  known = text.value
  emit('take', text.value)
}
/** What was taken stands as the core has it, once nobody types here. */
async function leave(): Promise<void> {
  take()
  inUse = false
  await nextTick()
  if (!props.bad && !inUse) show()
}
</script>

<template>
  <input
    v-model="text"
    :aria-label="label"
    :maxlength="maxlength"
    :aria-invalid="bad"
    @focus="inUse = true"
    @change="take"
    @blur="leave"
  />
</template>
