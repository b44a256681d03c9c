<script setup lang="ts">
/** A plain field of text, of a number, of a day. */
import { ref, useTemplateRef, watch, type InputHTMLAttributes } from 'vue'
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
  /** a number is taken, or nothing; all else stays to be mended, and says so */
  number?: boolean
  /** what stands in it could not be taken, and stays to be mended */
  bad?: boolean
  /** what was taken is on its way, and stands until it is known what became of it */
  held?: boolean
}
const props = defineProps<Props>()
const emit = defineEmits<{ take: [text: string] }>()

const given = () => String(props.value ?? '')
const unread = ref('')
const { text, inUse, taken, leave } = useField({
  given,
  stays: () => props.held || props.bad || unread.value !== '',
  take,
})
watch(given, () => !inUse.value && (unread.value = '')) // of what stood there before

// A form with something unread in it must not be sent with the value from before.
const field = useTemplateRef('field')
watch(unread, (why) => field.value?.setCustomValidity(why), { flush: 'sync' })

function take(now: string): void {
  const odd = field.value?.validity.badInput // a browser's own field of numbers keeps it to itself
  const none = !props.number || (now.trim() === '' && !odd)
  unread.value = none || numberIn(now) !== null ? '' : `${now ? `“${now}”` : 'This'} is no number.`
  if (unread.value) field.value?.reportValidity()
  else emit('take', now)
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
