<script setup lang="ts" generic="T extends number | null">
/** A quantity typed as the user likes it; SI goes out once it can be read. */
import { computed, useTemplateRef, watch } from 'vue'
import { number, parse, unitOf, type Kind, type Units } from './units'
import { useField } from './useField'

const props = withDefaults(
  defineProps<{
    modelValue: T
    kind: Kind
    units: Units
    label: string
    digits?: number
    wrong?: string
    optional?: boolean
    placeholder?: string
    testid?: string
  }>(),
  { digits: undefined, wrong: '', optional: false, placeholder: '', testid: undefined },
)
const emit = defineEmits<{ 'update:modelValue': [value: T]; focus: [] }>()

const shown = computed(() =>
  props.modelValue === null ? '' : number(props.modelValue, props.kind, props.units, props.digits),
)
const { text, inUse, unread, taken, leave } = useField({
  given: () => shown.value,
  take,
})

const EXAMPLE: Partial<Record<Kind, string>> = {
  length: '34 cm, 13.4 in or 1 ft 1 in',
  mass: '2.4 kg or 5 lb 5 oz',
  angle: '15',
}

// A form with something unread in it must not be sent with the value from before.
const field = useTemplateRef<{ input?: HTMLInputElement }>('field')
watch(unread, (why) => field.value?.input?.setCustomValidity(why))

function take(typed: string): string {
  const none = props.optional && typed.trim() === ''
  const value = none ? null : parse(typed, props.kind, props.units)
  if (value === null && !none)
    return `“${typed}” cannot be read. Type it like ${EXAMPLE[props.kind] ?? '70'}.`
  if (typed !== shown.value) emit('update:modelValue', value as T)
  return ''
}
</script>

<template>
  <div class="quantity" :class="{ bad: unread || wrong }">
    <el-input
      ref="field"
      v-model="text"
      size="small"
      :aria-label="label"
      v-bind="{ 'aria-invalid': Boolean(unread || wrong) }"
      :placeholder="placeholder"
      :data-testid="testid"
      @focus="((inUse = true), emit('focus'))"
      @change="taken"
      @blur="leave"
    >
      <template #suffix>{{ unitOf(kind, units) }}</template>
    </el-input>
    <p v-if="unread || wrong" class="why" role="alert">{{ unread || wrong }}</p>
  </div>
</template>

<style scoped>
.quantity {
  min-width: 0;
}
.bad {
  --el-border-color: var(--stop);
}
.why {
  margin: 2px 0 0;
  color: var(--stop);
  font-size: 12px;
  line-height: 1.3;
}
:deep(.el-input__inner) {
  font-family: var(--mono);
  font-size: 12px;
}
</style>
