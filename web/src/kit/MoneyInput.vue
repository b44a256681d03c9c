<script setup lang="ts">
/** An amount of money as typed; whole minor units go out once it can be read. */
import { computed, ref } from 'vue'
import CellInput from './CellInput.vue'
import { readMoney, showMoney } from './money'

const props = withDefaults(
  defineProps<{ modelValue: number | null; label: string; optional?: boolean; testid?: string }>(),
  { optional: false, testid: undefined },
)
const emit = defineEmits<{ 'update:modelValue': [minor: number | null] }>()
const shown = computed(() => (props.modelValue === null ? '' : showMoney(props.modelValue)))
const wrong = ref(false)
function take(text: string): void {
  const none = props.optional && text.trim() === ''
  const minor = none ? null : readMoney(text)
  wrong.value = minor === null && !none
  if (!wrong.value && minor !== props.modelValue) emit('update:modelValue', minor)
}
</script>

<template>
  <span>
    <CellInput
      class="money"
      inputmode="decimal"
      :value="shown"
      :label="label"
      :bad="wrong"
      :data-testid="testid"
      @take="take"
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
