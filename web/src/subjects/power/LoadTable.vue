<script setup lang="ts">
/** What takes current: how much and how it is known, when it is on, and what it got. */
import { computed } from 'vue'
import type { Figures, FullPower, Thing } from '@/api/client'
import { CHOICES } from '@/api/words'
import CellInput from '@/kit/CellInput.vue'
import { number, show, type Units } from '@/kit/units'
import type { Duty, Power } from './wiring'
import { numberIn, pick, positiveIn } from '@/kit/heard'

const props = defineProps<{
  power: Power
  figures: NonNullable<Figures['power']>
  full: FullPower | null
  things: Record<string, Thing>
  units: Units
}>()
const emit = defineEmits<{
  thing: [id: number, draw: NonNullable<Thing['draw']>]
  duty: [id: number, duties: Duty[] | null]
}>()

const UNITS = [
  ['watts', 'W'],
  ['amps', 'A'],
  ['ohms', 'Ω'],
] as const
type Unit = (typeof UNITS)[number][0]
const phases = computed(() => props.power.phases)
const rows = computed(() =>
  [...props.figures.loads.map((one) => one.thing_id), ...props.figures.unfed].flatMap((id) => {
    const draw = props.things[String(id)]?.draw
    if (!draw) return []
    const unit: Unit = draw.watts != null ? 'watts' : draw.amps != null ? 'amps' : 'ohms'
    const lived = props.full?.loads.find((one) => one.thing_id === id)
    const load = props.figures.loads.find((one) => one.thing_id === id)
    const worst = load?.at.reduce((a, b) => (b.volts < a.volts ? b : a), load.at[0]!)
    return [{ id, name: props.things[String(id)]!.name, draw, unit, lived, load, worst }]
  }),
)
/** The share of a phase that a thing is on; as is usual for it where nobody says. */
function shareOf(id: number, draw: NonNullable<Thing['draw']>, phase: string): number {
  const duties = props.power.duties[String(id)]
  if (!duties) return draw.usual_share
  return duties.find((one) => one.phase == null || one.phase === phase)?.share ?? 0
}
function setShare(id: number, draw: NonNullable<Thing['draw']>, phase: string, text: string): void {
  const percent = numberIn(text)
  if (percent === null) return
  const share = Math.min(1, Math.max(0, percent / 100))
  const known = props.power.duties[String(id)]
  const duties = phases.value.flatMap(({ name }): Duty[] => {
    const now = name === phase ? share : shareOf(id, draw, name)
    if (now <= 0) return []
    const was = known?.find((one) => one.phase === name)
    return [{ level: 1, cycle: null, ...was, phase: name, share: now }]
  })
  emit('duty', id, duties)
}
/** The same cycle, or level, in every phase that a thing is on in. */
function setEvery(id: number, draw: NonNullable<Thing['draw']>, fields: Partial<Duty>): void {
  const known = props.power.duties[String(id)]
  const duties = phases.value.flatMap(({ name }): Duty[] => {
    const share = shareOf(id, draw, name)
    if (share <= 0) return []
    const was = known?.find((one) => one.phase == null || one.phase === name)
    return [{ level: 1, cycle: null, ...was, phase: name, share, ...fields }]
  })
  emit('duty', id, duties)
}
const first = (id: number): Duty | undefined => props.power.duties[String(id)]?.[0]
const cycleWords = (id: number): string => {
  const cycle = first(id)?.cycle
  return cycle ? `${cycle.on_min}/${cycle.off_min}` : ''
}
function setCycle(id: number, draw: NonNullable<Thing['draw']>, text: string): void {
  const [on_min, off_min] = text.split(/[/ ]+/).map((one) => Number.parseFloat(one))
  if (!text.trim()) setEvery(id, draw, { cycle: null })
  else if (on_min && off_min && on_min > 0 && off_min > 0)
    setEvery(id, draw, { share: 1, cycle: { on_min, off_min } })
}
function setLevel(id: number, draw: NonNullable<Thing['draw']>, text: string): void {
  const level = (numberIn(text) ?? 0) / 100
  if (level >= 0.01 && level <= 10) setEvery(id, draw, { level })
}
function setDraw(id: number, draw: NonNullable<Thing['draw']>, fields: object): void {
  emit('thing', id, { ...draw, ...fields })
}
function setAmount(id: number, draw: NonNullable<Thing['draw']>, unit: Unit, text: string): void {
  const value = positiveIn(text)
  if (value !== null) setDraw(id, draw, { watts: null, amps: null, ohms: null, [unit]: value })
}
</script>

<template>
  <section aria-label="What takes current" class="loads">
    <h2>What takes current</h2>
    <p v-if="!rows.length" class="soft">
      Nothing aboard takes current yet. Add a screen, a light or a pump on the Gear screen, and put
      it aboard.
    </p>
    <table v-else>
      <thead>
        <tr>
          <th scope="col">Item</th>
          <th scope="col" colspan="2">Draw, at full</th>
          <th scope="col">Known by</th>
          <th scope="col">Works from, V</th>
          <th v-for="phase in phases" :key="phase.name" scope="col" class="num">
            {{ phase.name }}, % on
          </th>
          <th scope="col">At, % of full</th>
          <th scope="col">Minutes on/off</th>
          <th scope="col" class="num">Takes</th>
          <th scope="col" class="num">Lost on the way</th>
          <th scope="col">At the worst moment</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="row in rows" :key="row.id" :data-load="row.id">
          <th scope="row">{{ row.name }}</th>
          <td class="cell">
            <CellInput
              number
              :value="String(row.draw[row.unit])"
              :label="`${row.name}: draw`"
              @take="setAmount(row.id, row.draw, row.unit, $event)"
            />
          </td>
          <td>
            <select
              :value="row.unit"
              :aria-label="`${row.name}: draws by`"
              @change="
                setAmount(row.id, row.draw, pick($event) as Unit, String(row.draw[row.unit]))
              "
            >
              <option v-for="[unit, word] in UNITS" :key="unit" :value="unit">{{ word }}</option>
            </select>
          </td>
          <td>
            <select
              :value="row.draw.evidence"
              :aria-label="`${row.name}: known by`"
              @change="setDraw(row.id, row.draw, { evidence: pick($event) })"
            >
              <option v-for="one in CHOICES.Draw.evidence" :key="one">{{ one }}</option>
            </select>
          </td>
          <td class="cell">
            <CellInput
              number
              :value="row.draw.min_v == null ? '' : String(row.draw.min_v)"
              :label="`${row.name}: works from, volts`"
              @take="setDraw(row.id, row.draw, { min_v: positiveIn($event) })"
            />
          </td>
          <td v-for="phase in phases" :key="phase.name" class="cell">
            <CellInput
              number
              :value="number(shareOf(row.id, row.draw, phase.name), 'ratio', units)"
              :label="`${row.name}, ${phase.name}: percent on`"
              @take="setShare(row.id, row.draw, phase.name, $event)"
            />
          </td>
          <td class="cell">
            <CellInput
              number
              :value="number(first(row.id)?.level ?? 1, 'ratio', units)"
              :label="`${row.name}: at, percent of full`"
              @take="setLevel(row.id, row.draw, $event)"
            />
          </td>
          <td class="cell">
            <CellInput
              :value="cycleWords(row.id)"
              :label="`${row.name}: minutes on and off in turn, as 3/12`"
              @take="setCycle(row.id, row.draw, $event)"
            />
          </td>
          <td class="num">{{ row.lived ? show(row.lived.energy_wh, 'work', units) : '—' }}</td>
          <td class="num">
            {{ row.load ? show(row.load.drop_share, 'ratio', units, 1) : 'no wire' }}
          </td>
          <td :class="{ stop: row.worst?.low }" :data-testid="`worst-${row.id}`">
            <template v-if="row.worst">
              {{ show(row.worst.volts, 'voltage', units, 1) }}, {{ row.worst.moment
              }}{{ row.worst.low ? ': goes dark' : '' }}
            </template>
          </td>
        </tr>
      </tbody>
    </table>
  </section>
</template>

<style scoped src="./tables.css"></style>
