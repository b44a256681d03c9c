<script setup lang="ts">
/** A plain field of text, of a number, of a day. */
import { useTemplateRef, watch, type InputHTMLAttributes } from 'vue'
import { numberIn } from './heard'
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
  /** a number is taken, or nothing, as of one of that type; all else stays, and says so */
  number?: boolean
  /** what stands in it could not be taken, and stays to be mended */
  bad?: boolean
  /** what was taken is on its way, and stands until it is known what became of it */
  held?: boolean
}
const props = defineProps<Props>()
const emit = defineEmits<{ take: [text: string] }>()

const { text, inUse, unread, taken, leave } = useField({
  given: () => String(props.value ?? ''),
  stays: () => props.held || props.bad,
  take,
})

// A form with something unread in it must not be sent with the value from before.
const field = useTemplateRef('field')
function told(why: string): void {
  field.value?.setCustomValidity(why)
  if (why) field.value?.reportValidity()
}
watch(unread, told, { flush: 'sync' }) // before it is left

function take(now: string): string {
  const odd = field.value?.validity.badInput // a browser's own field of numbers keeps it to itself
  const asked = props.number || field.value?.type === 'number'
  if (asked && (odd || now.trim() !== '') && numberIn(now) === null)
    return `${now ? `“${now}”` : 'This'} is no number.`
  emit('take', now)
  return ''
}
</script>

<template>
  <input
    ref="field"
    v-model="text"
    :aria-label="label"
    :maxlength="maxlength"
    :aria-invalid="bad || unread !== '' || undefined"
    :title="unread || undefined"
    @focus="inUse = true"
    @change="taken"
    @blur="leave"
  />
</template>

<style scoped>
input[aria-invalid='true'] {
  box-shadow: 0 0 0 1px var(--stop);
}
</style>
