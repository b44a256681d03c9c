<script setup lang="ts">
/** A battery monitor on the line: what it says, the resistance it teaches, and two readings by hand. */
import { useIntervalFn } from '@vueuse/core'
import { computed, reactive, ref } from 'vue'
import { api, ask, whyNone, type Schemas, type Thing } from '@/api/client'
import { numberIn } from '@/kit/heard'
import { show, showBand, type Units } from '@/kit/units'
import VerdictMark from '@/kit/VerdictMark.vue'

const props = defineProps<{ setup_id: number; things: Record<string, Thing>; units: Units }>()
const emit = defineEmits<{
  resistance: [id: number, ohm: number]
  draw: [id: number, watts: number]
}>()

type Monitor = Schemas['Monitor']
type Fault = Schemas['PlayDay']['fault']
const monitor = ref<Monitor | null>(null)
const trouble = ref('')
const speed = ref(60)
const fault = ref<Fault>('none')
const path = computed(() => ({ setup_id: props.setup_id }))

async function listen(): Promise<void> {
  try {
    monitor.value = (await ask(
      api.GET('/api/v1/setups/{setup_id}/power/monitor', { params: { path: path.value } }),
    )) as Monitor
  } catch (error) {
    whyNone(error)
    monitor.value = null
  }
}
useIntervalFn(listen, 1000, { immediateCallback: true })

async function play(): Promise<void> {
  trouble.value = ''
  const body = { speed: speed.value, fault: fault.value }
  const params = { path: path.value }
  try {
    await ask(api.POST('/api/v1/setups/{setup_id}/power/monitor/play', { params, body }))
    await listen()
  } catch (error) {
    trouble.value = whyNone(error)
  }
}

const WORD: Record<Monitor['state'], string> = {
  off: 'No monitor on the line.',
  lost: 'The box cannot be reached; looking for it again.',
  stale: 'The box has gone silent.',
  garbled: 'The box sends nothing readable.',
  live: 'The box is live.',
}
const FAULTS: [Fault, string][] = [
  ['none', 'as planned'],
  ['joint', 'with a green joint'],
  ['capacity', 'with a tired battery'],
  ['hidden', 'with a hidden fault'],
]

// Two readings of any meter, by hand.
const by_hand = reactive({ rest_v: '', rest_a: '0', load_v: '', load_a: '' })
/** How far off readings are that were taken from the monitor; a meter's are not known. */
const taken = ref({ volts_se: 0, amps_se: 0 })
const found = ref<Schemas['TwoReadingsResult'] | null>(null)
const wrong = ref('')
const target = ref<number | null>(null)
const number = (text: string) => numberIn(text) ?? Number.NaN
const FIELDS = [
  ['rest_v', 'At rest, V'],
  ['rest_a', 'At rest, A'],
  ['load_v', 'With it on, V'],
  ['load_a', 'With it on, A'],
] as const
async function work(): Promise<void> {
  wrong.value = ''
  found.value = null
  const body = {
    rest_v: number(by_hand.rest_v),
    rest_a: number(by_hand.rest_a),
    load_v: number(by_hand.load_v),
    load_a: number(by_hand.load_a),
    ...taken.value,
  }
  if (Object.values(body).some(Number.isNaN)) {
    wrong.value = 'All four are numbers.'
    return
  }
  try {
    found.value = (await ask(
      api.POST('/api/v1/instrument/two-readings', { body }),
    )) as Schemas['TwoReadingsResult']
  } catch (error) {
    wrong.value = whyNone(error)
  }
}
/** What the monitor says now goes into the form. */
function take(kind: 'rest' | 'load', row: Monitor['banks'][number]): void {
  by_hand[`${kind}_v`] = row.volts?.toFixed(2) ?? ''
  by_hand[`${kind}_a`] = row.amps?.toFixed(2) ?? ''
  taken.value = { volts_se: row.volts_se, amps_se: row.amps_se }
}
const withError = (value: number, se: number, kind: 'resistance' | 'power') =>
  se > 0 ? showBand(value, se, kind, props.units) : show(value, kind, props.units)
const takers = computed(() =>
  Object.entries(props.things).filter(([, thing]) => thing.draw != null),
)
</script>

<template>
  <section aria-label="Battery monitor" data-testid="monitor">
    <h2>Battery monitor</h2>
    <p class="soft" role="status">
      {{ monitor ? WORD[monitor.state] : 'The server cannot be reached.' }}
      <template v-if="monitor?.others.length">
        Banks that this setup does not have: {{ monitor.others.join(', ') }}.</template
      >
    </p>
    <table v-if="monitor?.banks.length">
      <thead>
        <tr>
          <th scope="col">Bank</th>
          <th scope="col">Called</th>
          <th scope="col" class="num">V</th>
          <th scope="col" class="num">A</th>
          <th scope="col" class="num">Resistance, measured</th>
          <th scope="col" class="num">expected</th>
          <th aria-label="Verdict" />
          <th aria-label="Use it" />
        </tr>
      </thead>
      <tbody>
        <tr v-for="row in monitor.banks" :key="row.says">
          <th scope="row">{{ row.name }}</th>
          <td class="soft">{{ row.says }}</td>
          <td class="num" :data-testid="`volts-${row.battery}`">
            {{ row.volts === null ? '—' : row.volts.toFixed(2) }}
          </td>
          <td class="num">{{ row.amps === null ? '—' : row.amps.toFixed(2) }}</td>
          <td class="num" :data-testid="`measured-${row.battery}`">
            <template v-if="row.measured_ohm !== null"
              >{{ show(row.measured_ohm, 'resistance', units) }} ±
              {{ show(row.measured_se_ohm ?? 0, 'resistance', units) }}</template
            >
            <span v-else class="soft">waiting for the current to change</span>
          </td>
          <td class="num">{{ show(row.expected_ohm, 'resistance', units) }}</td>
          <td>
            <template v-if="row.measured_ohm !== null">
              <VerdictMark :verdict="row.verdict" />
              <span v-if="row.verdict === 'fix'" class="stop">
                more than it should: look for a green joint</span
              >
            </template>
          </td>
          <td>
            <el-button
              v-if="row.full_ohm !== null"
              size="small"
              data-testid="use-measured"
              @click="emit('resistance', row.battery, row.full_ohm)"
              >Use it</el-button
            >
            <el-button v-if="row.volts !== null" size="small" @click="take('rest', row)"
              >At rest now</el-button
            >
            <el-button v-if="row.volts !== null" size="small" @click="take('load', row)"
              >With it on now</el-button
            >
          </td>
        </tr>
      </tbody>
    </table>
    <form
      v-if="monitor && monitor.state !== 'off'"
      class="line"
      aria-label="Play the day"
      @submit.prevent="play"
    >
      The simulated box plays this day
      <select v-model="fault" aria-label="Fault" data-testid="play-fault">
        <option v-for="[value, word] in FAULTS" :key="value" :value="value">{{ word }}</option>
      </select>
      <select v-model="speed" aria-label="How fast" data-testid="play-speed">
        <option v-for="one in [1, 10, 60, 120, 300, 600]" :key="one" :value="one">
          {{ one }} times as fast
        </option>
      </select>
      <el-button size="small" native-type="submit" data-testid="play">Play</el-button>
      <span v-if="trouble" class="stop" role="alert">{{ trouble }}</span>
    </form>
    <form class="line" aria-label="Two readings" @submit.prevent="work">
      Or two readings of a meter, the second ten seconds after:
      <label v-for="[field, word] in FIELDS" :key="field"
        >{{ word }} <input v-model="by_hand[field]" inputmode="decimal" :data-testid="field"
      /></label>
      <el-button size="small" native-type="submit" data-testid="two-readings"
        >Work it out</el-button
      >
    </form>
    <p v-if="wrong" class="stop" role="alert">{{ wrong }}</p>
    <p v-if="found" class="line" data-testid="found">
      {{ withError(found.resistance_ohm, found.resistance_se_ohm, 'resistance') }}, and it takes
      {{ withError(found.watts, found.watts_se, 'power') }}
      <select v-model="target" aria-label="Whose draw it is">
        <option :value="null">of…</option>
        <option v-for="[id, thing] in takers" :key="id" :value="Number(id)">
          {{ thing.name }}
        </option>
      </select>
      <el-button
        size="small"
        :disabled="target === null"
        @click="target !== null && emit('draw', target, found.watts)"
        >Use as its draw</el-button
      >
    </p>
  </section>
</template>

<style scoped src="./tables.css"></style>
<style scoped>
table {
  width: auto;
}
.line {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 10px;
  align-items: center;
  margin: 8px 0 0;
}
label {
  color: var(--soft);
}
input {
  width: 60px;
  height: 24px;
  padding: 0 6px;
  border: 1px solid var(--line);
  border-radius: 6px;
  background: var(--card);
  color: var(--ink);
  font: inherit;
}
p {
  margin: 4px 0;
}
</style>
