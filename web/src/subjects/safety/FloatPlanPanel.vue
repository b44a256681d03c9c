<script setup lang="ts">
/** A page to leave with a person: typed here, kept here, printed or saved; nobody sends it. */
import { computed, ref, watch } from 'vue'
import { api, ask, type Schemas } from '@/api/client'
import { pick } from '@/kit/heard'
import { usePage } from '@/setup/usePage'
import { useSetup } from '@/setup/useSetup'

type Plan = Schemas['FloatPlan']

const store = useSetup()
/** What was typed and is not kept yet; it stays until it is. */
const typed = ref<Partial<Plan>>({})
const page = usePage<Schemas['FloatPlanPage']>((setup_id) =>
  ask(api.GET('/api/v1/setups/{setup_id}/float-plan', { params: { path: { setup_id } } })),
)
const plan = computed<Plan | null>(() =>
  page.answer.value ? { ...page.answer.value.plan, ...typed.value } : null,
)
const setup_id = computed(() => store.kept!.setup_id)

/** Held from the first letter on: an answer that comes meanwhile leaves it alone. */
function type(field: keyof Plan, event: Event): void {
  const value = pick(event) || (field.endsWith('_at') ? null : '')
  typed.value = { ...typed.value, [field]: value }
}
let sent: Partial<Plan> = {}
function change(field: keyof Plan, event: Event): void {
  type(field, event)
  sent = { ...typed.value }
  void store.putFloatPlan(sent)
}
watch(page.held, (held) => {
  if (held) return
  const left = Object.entries(typed.value).filter(([name, now]) => sent[name as keyof Plan] !== now)
  typed.value = Object.fromEntries(left)
})
const LINES: [keyof Plan, string][] = [
  ['who', 'Who goes'],
  ['water', 'Water'],
  ['car', 'Car, and its plate'],
]
const TIMES: [keyof Plan, string][] = [
  ['out_at', 'Out at'],
  ['back_at', 'Back at'],
  ['call_at', 'Call when not back by'],
]
const WORDS: [keyof Plan, string][] = [
  ['looks', 'Looks of boat and clothes'],
  ['launch', 'Launches at'],
  ['route', 'Goes'],
  ['whom', 'Whom to call, and the number'],
  ['note', 'Note'],
]
const print = () => window.print()
</script>

<template>
  <div v-if="plan && page.answer.value" class="float-plan">
    <p v-if="page.trouble.value" class="stop" role="alert">{{ page.trouble.value }}</p>
    <form class="fields" aria-label="Float plan" @submit.prevent>
      <label v-for="[field, word] in LINES" :key="field"
        >{{ word }}
        <input
          type="text"
          maxlength="200"
          :value="plan[field] ?? ''"
          :data-testid="`plan-${field}`"
          @input="type(field, $event)"
          @change="change(field, $event)"
      /></label>
      <label v-for="[field, word] in TIMES" :key="field" class="short"
        >{{ word }}
        <input
          type="time"
          :value="plan[field] ?? ''"
          :data-testid="`plan-${field}`"
          @input="type(field, $event)"
          @change="change(field, $event)"
      /></label>
      <label v-for="[field, word] in WORDS" :key="field" class="long"
        >{{ word }}
        <textarea
          rows="2"
          maxlength="2000"
          :value="plan[field] ?? ''"
          :data-testid="`plan-${field}`"
          @input="type(field, $event)"
          @change="change(field, $event)"
        ></textarea>
      </label>
    </form>
    <p class="soft">
      <template v-if="page.answer.value.missing.length"
        >Still missing: {{ page.answer.value.missing.join(', ') }}.
      </template>
      Print it, or save it, and leave it with a person: nothing is sent from here.
    </p>
    <p class="acts">
      <button type="button" class="small" data-testid="print-plan" @click="print">Print</button>
      <a
        :href="`/api/v1/setups/${setup_id}/float-plan/float-plan.txt`"
        download="float-plan.txt"
        data-testid="save-plan"
        >Save as text</a
      >
    </p>
    <pre class="page" data-testid="plan-page">{{ page.answer.value.text }}</pre>
  </div>
  <p v-else-if="page.trouble.value" class="stop" role="alert">{{ page.trouble.value }}</p>
</template>

<style scoped>
.fields {
  display: grid;
  grid-template-columns: repeat(6, minmax(0, 1fr));
  gap: 6px 12px;
}
label {
  display: grid;
  grid-column: span 2;
  gap: 2px;
  font-size: 12px;
}
.long {
  grid-column: span 3;
}
input,
textarea {
  padding: 3px 6px;
  border: 1px solid var(--line);
  border-radius: 5px;
  background: var(--card);
  color: var(--ink);
  font: inherit;
}
.acts {
  display: flex;
  gap: 14px;
  align-items: center;
}
.page {
  margin: 8px 0 0;
  padding: 10px 12px;
  border: 1px solid var(--line);
  border-radius: 6px;
  font-size: 12px;
  white-space: pre-wrap;
}
@media (max-width: 700px) {
  .fields {
    display: flex;
    flex-direction: column;
  }
}
</style>
