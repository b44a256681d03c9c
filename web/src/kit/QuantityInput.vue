<script setup lang="ts" generic="T extends number | null">
/** A quantity typed as the user likes it; SI goes out once it can be read. */
import { computed, onBeforeUnmount, ref, useTemplateRef, watch } from 'vue'
import { number, parse, unitOf, type Kind, type Units } from './units'

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
const text = ref(shown.value)
const unread = ref('')
// A field in use is the user's until it is left, or taken.
let inUse = false
let known = shown.value
function show(): void {
  text.value = known = shown.value
  unread.value = ''
}
watch(shown, () => {
  if (!inUse || text.value === known) show()
})
function leave(): void {
  inUse = false
  if (!unread.value && text.value === known) show()
}

const EXAMPLE: Partial<Record<Kind, string>> = {
  length: '34 cm, 13.4 in or 1 ft 1 in',
  mass: '2.4 kg or 5 lb 5 oz',
  angle: '15',
}

// A form with something unread in it must not be sent with the value from before.
const field = useTemplateRef<{ input?: HTMLInputElement }>('field')
watch(unread, (why) => field.value?.input?.setCustomValidity(why))

function take(): void {
  known = text.value
  if (text.value === shown.value) {
    unread.value = ''
    return
  }
  if (text.value.trim() === '' && props.optional) {
    unread.value = ''
    emit('update:modelValue', null as T) // only where the caller said optional
    return
  }
  const value = parse(text.value, props.kind, props.units)
  if (value === null) {
    unread.value = `“${text.value}” cannot be read. Type it like ${EXAMPLE[props.kind] ?? '70'}.`
    return
  }
  unread.value = ''
  emit('update:modelValue', value as T)
}
onBeforeUnmount(() => inUse && text.value !== known && take()) // not every browser says that it is left then
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
      @change="take"
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
