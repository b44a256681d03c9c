<script setup lang="ts">
/** A plain field of text, of a number, of a day. */
import type { InputHTMLAttributes } from 'vue'
import { useField } from './useField'

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

const { text, inUse, taken, leave } = useField({
  given: () => String(props.value ?? ''),
  stays: () => props.held || props.bad,
  take: (now) => emit('take', now),
})
</script>

<template>
  <input
    v-model="text"
    :aria-label="label"
    :maxlength="maxlength"
    :aria-invalid="bad"
    @focus="inUse = true"
    @change="taken"
    @blur="leave"
  />
</template>
