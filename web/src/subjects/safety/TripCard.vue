<script setup lang="ts">
/** What the trip is: alone or not, how far from shore, by night; one's own list; what nobody checked. */
import { ref } from 'vue'
import type { Judging, SafetyPlan, Schemas } from '@/api/client'
import FromBowInput from '@/kit/FromBowInput.vue'
import { pick } from '@/kit/heard'
import QuantityInput from '@/kit/QuantityInput.vue'
import { show, type Units } from '@/kit/units'
import type { SafetyChange } from '@/setup/changing'
import TickBox from '@/kit/TickBox.vue'

const props = defineProps<{
  plan: SafetyPlan
  judging: Judging
  water_temp_c: number | null
  unchecked: string[]
  towed: Schemas['TowFigure'] | null
  bow_x_m: number
  units: Units
}>()
const emit = defineEmits<{
  take: [SafetyChange]
  water: [number | null]
  judge: [Partial<Judging>]
}>()

const COMPANY: [string, boolean | null][] = [
  ['not said', null],
  ['alone', true],
  ['in company', false],
]
const said = () => COMPANY.find(([, alone]) => alone === (props.plan.alone ?? null))![0]
const next = ref('')
type Tow = NonNullable<SafetyPlan['tow']>
const TOW: Tow = { boat_kg: 130, line_m: 15, at_x_m: null, release_x_m: null }
const tow = (fields: Partial<Tow>) => emit('take', { tow: { ...props.plan.tow!, ...fields } })
type Line = SafetyPlan['own_list'][number]
const lines = (own_list: Line[]) => emit('take', { own_list })
function add(): void {
  const text = next.value.trim()
  if (!text) return
  lines([...props.plan.own_list, { text, done: false }])
  next.value = ''
}
</script>

<template>
  <div class="card pad">
    <h2>This trip</h2>
    <div class="fields">
      <label
        >You go
        <select
          :value="said()"
          data-testid="alone"
          @change="
            emit('take', { alone: COMPANY.find(([word]) => word === pick($event))?.[1] ?? null })
          "
        >
          <option v-for="[word] in COMPANY" :key="word">{{ word }}</option>
        </select></label
      >
      <label
        >From shore, at most
        <QuantityInput
          :model-value="plan.shore_m ?? null"
          label="How far from shore, at most"
          kind="far"
          optional
          :units="units"
          testid="shore"
          @update:model-value="emit('take', { shore_m: $event })"
      /></label>
      <TickBox :on="judging.by_night" testid="by-night" @tick="emit('judge', { by_night: $event })"
        >into the dark</TickBox
      >
    </div>
    <div class="fields">
      <label
        >Water
        <QuantityInput
          :model-value="water_temp_c"
          label="Water temperature"
          kind="warmth"
          optional
          :units="units"
          testid="water-temp"
          @update:model-value="emit('water', $event)"
      /></label>
      <label
        >Air, at its coldest
        <QuantityInput
          :model-value="plan.air_temp_c ?? null"
          label="Air temperature, at its coldest"
          kind="warmth"
          optional
          :units="units"
          testid="air-temp"
          @update:model-value="emit('take', { air_temp_c: $event })"
      /></label>
    </div>
    <div class="fields">
      <TickBox
        :on="plan.tow != null"
        testid="tows"
        @tick="emit('take', { tow: $event ? TOW : null })"
        >may have to tow</TickBox
      >
      <template v-if="plan.tow">
        <label
          >a boat of
          <QuantityInput
            :model-value="plan.tow.boat_kg"
            label="Weight of the other boat with all in it"
            kind="mass"
            :digits="0"
            :units="units"
            testid="tow-kg"
            @update:model-value="tow({ boat_kg: $event })"
        /></label>
        <label
          >line fixed, from the bow
          <FromBowInput
            :model-value="plan.tow.at_x_m ?? 0"
            :bow_x_m="bow_x_m"
            :units="units"
            label="Where the tow line is fixed, from the bow"
            @update:model-value="tow({ at_x_m: $event })"
        /></label>
        <label
          >release, from the bow
          <FromBowInput
            :model-value="plan.tow.release_x_m ?? plan.tow.at_x_m ?? 0"
            :bow_x_m="bow_x_m"
            :units="units"
            label="Where the tow line is let go, from the bow"
            testid="tow-release"
            @update:model-value="tow({ release_x_m: $event })"
        /></label>
      </template>
    </div>
    <p v-if="towed" class="soft" data-testid="towed">
      <template v-if="towed.speed_m_s != null && towed.pull_n != null"
        >With it in tow {{ show(towed.speed_m_s, 'speed', units, 2) }} at your effort, alone
        {{ towed.alone_m_s == null ? '—' : show(towed.alone_m_s, 'speed', units, 2) }}; the line
        pulls {{ show(towed.pull_n, 'force', units) }}.</template
      >
      <template v-else>You make no way with it in tow.</template>
    </p>
    <h3>Your own list</h3>
    <ul>
      <li v-for="(one, n) in plan.own_list" :key="n">
        <TickBox
          :on="one.done"
          @tick="lines(plan.own_list.map((row, i) => (i === n ? { ...row, done: $event } : row)))"
          >{{ one.text }}</TickBox
        >
        <button
          type="button"
          class="small"
          :aria-label="`Take off the list: ${one.text}`"
          @click="lines(plan.own_list.filter((_, i) => i !== n))"
        >
          take off
        </button>
      </li>
    </ul>
    <form class="new" @submit.prevent="add">
      <input
        v-model="next"
        type="text"
        maxlength="200"
        aria-label="A line of your own list"
        placeholder="What the authority here asks for"
        data-testid="own-line"
      />
      <button type="submit" class="small" data-testid="add-line">Add</button>
    </form>
    <p class="soft" data-testid="unchecked">Not checked: {{ unchecked.join('; ') }}.</p>
  </div>
</template>

<style scoped src="@/kit/cards.css"></style>
<style scoped>
h3 {
  margin: 8px 0 2px;
  font-size: 12px;
}
ul {
  margin: 0;
  padding: 0;
  list-style: none;
}
li,
.new {
  display: flex;
  gap: 8px;
  align-items: center;
  justify-content: space-between;
  padding: 2px 0;
  font-size: 12px;
}
.new input {
  flex: 1;
  height: 24px;
  padding: 0 6px;
  border: 1px solid var(--line);
  border-radius: 5px;
  background: var(--card);
  color: var(--ink);
  font: inherit;
}
</style>
