<script setup lang="ts">
/** A field that is typed into: while it is in use, what stands in it is the user's. */
import { nextTick, onBeforeUnmount, ref, watch, type InputHTMLAttributes } from 'vue'

/** What goes to the field as it is. */
interface Plain {
  type?: 'text' | 'number' | 'date' | 'time'
  min?: string
  max?: string
  step?: string
  placeholder?: string
  inputmode?: InputHTMLAttributes['inputmode']
  required?: boolean
}
interface Props extends /* @vue-ignore */ Plain {
  value: string | number | null | undefined
  label?: string
  maxlength?: number
  /** what stands in it could not be taken, and stays to be mended */
  bad?: boolean
  /** what was taken is on its way, and stands until it is known what became of it */
  held?: boolean
}
const props = defineProps<Props>()
const emit = defineEmits<{ take: [text: string] }>()

const given = (): string => String(props.value ?? '')
const text = ref(given())
let inUse = false
let known = text.value // what stood there at first, or was taken last
watch([given, () => props.held], () => rest())
function rest(): void {
  if (!inUse && !props.held && !props.bad) text.value = known = given()
}
function take(): void {
  const now = String(text.value) // of a field of numbers it is one
  if (now === known) return
  known = now
  emit('take', now)
}
/** What was taken stands as the core has it, once nobody types here. */
async function leave(): Promise<void> {
  take()
  inUse = false
  await nextTick()
  rest()
}
onBeforeUnmount(() => inUse && take()) // not every browser says that it is left then
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
