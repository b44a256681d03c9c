<script setup lang="ts">
/** What is worth looking at, the worst first: filter, group by place, try, accept, print. */
import { useEventListener } from '@vueuse/core'
import { computed, nextTick, ref, type FunctionalComponent } from 'vue'
import type { Finding, Verdict } from '@/api/client'
import { useAdvice, WHOLE } from './useAdvice'
import VerdictMark from '@/kit/VerdictMark.vue'
import { useLook } from '@/setup/look'
import { useSetup } from '@/setup/useSetup'
import ArrangeDialog from './ArrangeDialog.vue'
import CauseCard from './CauseCard.vue'
import FindingCard from './FindingCard.vue'
import FindingCounts from './FindingCounts.vue'
import LimitsDialog from './LimitsDialog.vue'
import SuggestionList from './SuggestionList.vue'

const emit = defineEmits<{ show: [thing_id: number] }>()
const store = useSetup()
const look = useLook()
const advice = useAdvice(store, () => look.units)
const { about, suggestions, tried, looking, waiting, trouble, told } = advice

const opened = ref<string | null>(null)
const causes = ref<ReadonlySet<string>>(new Set())
const only = ref<Verdict | null>(null)
const byPlace = ref(false)
const [limits, arranging] = [ref(false), ref(false)]

// While something is tried, the list stays that of what is kept: it is what the move is for.
const all = computed(() => store.kept?.figures.findings ?? [])
const open = computed(() => all.value.filter((one) => one.accepted === null))
const accepted = computed(() => all.value.filter((one) => one.accepted !== null))
const byKey = computed(() => new Map(open.value.map((one) => [one.key, one])))
const cards = computed(() =>
  (store.kept?.figures.cards ?? [])
    .map((card) => ({
      card,
      rows: card.keys
        .flatMap((key) => byKey.value.get(key) ?? [])
        .filter((one) => only.value === null || one.verdict === only.value),
    }))
    .filter(({ rows }) => rows.length > 0),
)
const groups = computed(() => {
  if (!byPlace.value) return [{ where: '', cards: cards.value }]
  const whereOf = (one: (typeof cards.value)[number]) => one.rows[0]!.where
  const places = [...new Set(cards.value.map(whereOf))]
  return places.map((where) => ({
    where,
    cards: cards.value.filter((one) => whereOf(one) === where),
  }))
})
/** What stands out at the head of the list. */
const worst = computed(() => groups.value[0]?.cards[0]?.card)
const thingOf = (id: number | null) => (id === null ? null : (store.things[String(id)] ?? null))
const profile = computed(() => {
  const judging = store.kept?.setup.judging
  if (!judging) return ''
  const hand = judging.hand === 'novice' ? ', novice' : ''
  return `${judging.waters}${hand}${judging.by_night ? ', by night' : ''}`
})

function toggle(one: Finding): void {
  opened.value = opened.value === one.key ? null : one.key
  if (opened.value !== about.value) advice.drop()
}
function toggleCause(key: string): void {
  const left = new Set(causes.value)
  if (!left.delete(key)) left.add(key)
  causes.value = left
}
function show(one: Finding): void {
  if (one.thing_id !== null) emit('show', one.thing_id)
}

/** Try the top suggestion for the finding that is open, or for the worst. */
function tryTop(): void {
  const worst = byKey.value.get(store.kept?.figures.cards[0]?.keys[0] ?? '')
  const one = byKey.value.get(opened.value ?? '') ?? worst
  if (!one) return
  opened.value = one.key
  const about = cards.value.find(({ card }) => card.keys.includes(one.key))?.card.keys[0]
  if (about) causes.value = new Set([...causes.value, about])
  void advice.find(one.key)
}
async function apply(): Promise<void> {
  await advice.apply()
  await nextTick()
  opened.value = null
}
/** The list of suggestions, wherever it stands: for the whole boat or under its finding. */
const offered = computed(() => ({
  suggestions: suggestions.value,
  tried: tried.value,
  units: look.units,
  onTry: advice.tryOut,
  onApply: apply,
  onDrop: advice.drop,
}))
const print = () => window.print()
// On paper each finding stands with its reasons.
const onPaper = ref(false)
useEventListener(window, 'beforeprint', () => (onPaper.value = true))
useEventListener(window, 'afterprint', () => (onPaper.value = false))

/** Whatever is tried, a suggestion or an arrangement, is taken off the bench. */
function drop(): void {
  advice.drop()
  store.stopTrying()
}

/** A finding by itself stands in no card of causes. */
const Single: FunctionalComponent = (_, { slots }) => slots.default?.()
Single.inheritAttrs = false

defineExpose({ tryTop, drop })
</script>

<template>
  <section class="findings apart" aria-label="Findings" data-testid="findings">
    <h1 class="on-paper">
      {{ store.kept?.setup.name }} · {{ store.kept?.setup.boat.name }}, limits for {{ profile }}
    </h1>
    <div class="top">
      <h2>Findings · {{ open.length }}</h2>
      <button
        type="button"
        class="link"
        :disabled="looking"
        data-testid="whole-boat"
        @click="advice.find(WHOLE)"
      >
        best move
      </button>
      <button type="button" class="link" data-testid="arrange" @click="arranging = true">
        arrange
      </button>
      <button type="button" class="link" data-testid="print" @click="print">print</button>
    </div>
    <div class="tools">
      <FindingCounts v-model="only" v-model:by-place="byPlace" :open="open" />
      <button
        type="button"
        class="link profile"
        :title="`Limits for ${profile}: change them`"
        :aria-label="`Limits for ${profile}: change them`"
        data-testid="limits"
        @click="limits = true"
      >
        {{ profile }}
      </button>
    </div>
    <p v-if="trouble" class="stop" role="alert">{{ trouble }}</p>
    <p v-if="about !== null && looking && waiting" class="soft" role="status">{{ waiting }}</p>
    <p v-else-if="about === WHOLE && looking" class="soft" role="status">
      Looking over the whole boat…
    </p>
    <p v-if="about === WHOLE && told" class="soft" role="status">{{ told }}</p>
    <SuggestionList v-if="about === WHOLE && suggestions.length" v-bind="offered" />
    <p v-if="!open.length" class="fine clean">
      <VerdictMark verdict="fine" bare /> No findings. That does not make it safe: try it in warm
      shallow water near shore, with help.
    </p>
    <template v-for="group in groups" :key="group.where">
      <h3 v-if="group.where">{{ group.where }}</h3>
      <ul>
        <template v-for="{ card, rows } in group.cards" :key="card.keys[0]">
          <component
            :is="rows.length > 1 ? CauseCard : Single"
            :card="card"
            :thing="thingOf(card.thing_id)"
            :open="onPaper || causes.has(card.keys[0]!)"
            :units="look.units"
            :first="card === worst ? rows[0] : null"
            @toggle="toggleCause(card.keys[0]!)"
          >
            <FindingCard
              v-for="one in rows"
              :key="one.key"
              :finding="one"
              :thing="thingOf(one.thing_id)"
              :open="onPaper || opened === one.key"
              :units="look.units"
              :looking="looking && about === one.key"
              :first="card === worst && rows.length === 1"
              @toggle="toggle(one)"
              @try="advice.find(one.key)"
              @show="show(one)"
              @accept="store.accept(one.key, $event)"
            >
              <template v-if="about === one.key">
                <p v-if="told" class="soft told" role="status">{{ told }}</p>
                <SuggestionList v-if="suggestions.length" v-bind="offered" />
              </template>
            </FindingCard>
          </component>
        </template>
      </ul>
    </template>
    <details v-if="accepted.length" class="lived" data-testid="accepted">
      <summary>{{ accepted.length }} accepted</summary>
      <ul>
        <FindingCard
          v-for="one in accepted"
          :key="one.key"
          :finding="one"
          :thing="thingOf(one.thing_id)"
          :open="onPaper || opened === one.key"
          :units="look.units"
          :looking="false"
          @toggle="toggle(one)"
          @back="store.acceptNoLonger(one.key)"
        />
      </ul>
    </details>
    <LimitsDialog v-model="limits" />
    <ArrangeDialog v-model="arranging" />
  </section>
</template>

<style scoped>
.top {
  display: flex;
  gap: 10px;
  align-items: baseline;
  margin-top: 10px;
}
h2 {
  margin: 0 auto 0 0;
}
h3 {
  margin: 6px 0 2px;
  font-size: 12px;
  font-weight: 600;
}
.tools {
  display: flex;
  flex-wrap: wrap;
  gap: 4px;
  align-items: center;
  margin: 4px 0 6px;
}
.profile {
  max-width: 100%;
  margin-left: auto;
  overflow: hidden;
  text-overflow: ellipsis;
}
ul {
  display: flex;
  flex-direction: column;
  gap: 4px;
  margin: 0;
  padding: 0;
  list-style: none;
}
p {
  margin: 4px 0;
}
.told {
  font-size: 12px;
}
.lived {
  margin-top: 8px;
}
summary {
  margin-bottom: 4px;
  color: var(--soft);
  cursor: pointer;
}
</style>
