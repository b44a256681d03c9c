<script setup lang="ts">
/** An amount of money as typed; whole minor units go out once it can be read. */
import { computed, ref, watch } from 'vue'
import { readMoney, showMoney } from './money'

const props = withDefaults(
  defineProps<{ modelValue: number | null; label: string; optional?: boolean; testid?: string }>(),
  { optional: false, testid: undefined },
)
const emit = defineEmits<{ 'update:modelValue': [minor: number | null] }>()
const shown = computed(() => (props.modelValue === null ? '' : showMoney(props.modelValue)))
const text = ref(shown.value)
const wrong = ref(false)
// A field in use is the user's until it is left.
let inUse = false
watch(shown, (now) => {
  if (!inUse) text.value = now
})
function take(): void {
  const minor = text.value.trim() === '' && props.optional ? null : readMoney(text.value)
  wrong.value = minor === null && !(props.optional && text.value.trim() === '')
  if (!wrong.value && minor !== props.modelValue) emit('update:modelValue', minor)
}
function leave(): void {
  inUse = false
  if (!wrong.value) text.value = shown.value
}
</script>

<template>
  <span>
    <input
      v-model="text"
      class="money"
      inputmode="decimal"
      :aria-label="label"
      :aria-invalid="wrong"
      :data-testid="testid"
      @focus="inUse = true"
      @change="take"
      @blur="leave"
    />
    <span v-if="wrong" class="why" role="alert">Type it like 120 or 120.50.</span>
  </span>
</template>

<style scoped>
.money {
  width: 76px;
  height: 24px;
  padding: 0 6px;
  border: 1px solid var(--line);
  border-radius: 5px;
  background: var(--card);
  color: var(--ink);
  font: 12px var(--mono);
  text-align: right;
}
.money[aria-invalid='true'] {
  border-color: var(--stop);
}
.why {
  display: block;
  color: var(--stop);
  font-size: 12px;
}
</style>
