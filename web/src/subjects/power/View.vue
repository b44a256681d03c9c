<script setup lang="ts">
/** Power: wires on the boat, the one-line diagram, the day, what takes current, what to buy. */
import { useElementSize } from '@vueuse/core'
import { computed, ref, shallowRef, useTemplateRef, watch } from 'vue'
import { api, ask, type Conductor, type FullPower, type Thing } from '@/api/client'
import CautionLines from '@/kit/CautionLines.vue'
import { useAsked } from '@/kit/useAsked'
import { wireOf, worstByWire } from '@/drawing/wires'
import type { HowFigure } from '@/setup/how'
import HowDrawer from '@/setup/HowDrawer.vue'
import { useLook } from '@/setup/look'
import LearnedNote from '@/setup/LearnedNote.vue'
import TopicFindings from '@/setup/TopicFindings.vue'
import { usePage } from '@/setup/usePage'
import { useSetup } from '@/setup/useSetup'
import { sectionsWith } from '@/setup/laidOver'
import BankForm from './BankForm.vue'
import BatteryTable from './BatteryTable.vue'
import BuyList from './BuyList.vue'
import ChargerTable from './ChargerTable.vue'
import DayChart from './DayChart.vue'
import DayForm from './DayForm.vue'
import LoadTable from './LoadTable.vue'
import MomentTable from './MomentTable.vue'
import MonitorPanel from './MonitorPanel.vue'
import NewWire from './NewWire.vue'
import OneLine from './OneLine.vue'
import PowerSheet from './PowerSheet.vue'
import PowerSums from './PowerSums.vue'
import SupplyTable from './SupplyTable.vue'
import WireForm from './WireForm.vue'
import { newKey, type Duty, type Power, type Wire } from './wiring'

const store = useSetup()
const look = useLook()
const chosen = ref<number | null>(null)
const asked = usePage<FullPower>((setup_id) =>
  ask(
    api.POST('/api/v1/setups/{setup_id}/power', {
      params: { path: { setup_id } },
      body: { places: [] },
    }),
  ),
)
const laying = useAsked<Conductor>()
const { answer: full, busy } = asked
/** Points of a wire in hand, drawn before they are answered. */
const inHand = shallowRef<{ key: number; points: Wire['points'] } | null>(null)

const power = computed(() => store.kept?.setup.power ?? null)
const kept = computed(() => power.value?.conductors ?? {})
const wires = computed(() => {
  const held = inHand.value
  const wire = held && kept.value[String(held.key)]
  return wire ? { ...kept.value, [String(held.key)]: { ...wire, points: held.points } } : kept.value
})
const figures = computed(() => store.figures?.power ?? null)
const lies = computed(
  () => figures.value?.conductors.find((one) => one.key === chosen.value) ?? null,
)
const names = computed(
  () =>
    new Map(
      Object.entries(kept.value).map(([key, wire]) => [
        Number(key),
        `Wire to ${store.things[String(wire.end)]?.name ?? ''}`,
      ]),
    ),
)
const bow_x_m = computed(() => store.drawing?.x_m.at(-1) ?? 0)
const findings = computed(
  () =>
    store.figures?.findings.filter((one) => one.topic === 'power' && one.accepted === null) ?? [],
)
const verdicts = computed(() => worstByWire(findings.value))

watch(
  () => store.kept?.setup_id,
  () => (chosen.value = null),
)

async function lay(start: number, end: number): Promise<void> {
  const setup_id = store.kept?.setup_id
  if (setup_id === undefined) return
  const answered = await laying.put(
    () =>
      ask(
        api.POST('/api/v1/setups/{setup_id}/power/wire', {
          params: { path: { setup_id } },
          body: { start, end },
        }),
      ) as Promise<Conductor>,
  )
  if (!answered || !laying.answer.value) return
  // Where batteries are joined, several leads meet.
  const joins = Object.values(power.value?.banks ?? {}).some((bank) => bank.bus === end)
  const before = joins ? null : Object.entries(kept.value).find(([, wire]) => wire.end === end)
  const key = newKey()
  // What is fed anew is no longer fed as it was.
  const gone = before ? { [before[0]]: null } : {}
  if (await store.putPower({ conductors: { ...gone, [String(key)]: laying.answer.value } }))
    chosen.value = key
}
const change = (key: number, fields: Partial<Wire>) =>
  store.putPower({
    conductors: { [String(key)]: { ...kept.value[String(key)]!, ...fields } },
  })
function remove(key: number): void {
  chosen.value = null
  void store.putPower({ conductors: { [String(key)]: null } })
}
function moved(key: number, points: Wire['points'], done: boolean): void {
  if (done) {
    inHand.value = null
    void change(key, { points })
    return
  }
  inHand.value = { key, points }
  store.tryOut({
    places: [],
    ...sectionsWith(store.kept!.setup, { power: { conductors: { [String(key)]: { points } } } }),
  })
}
function letGo(): void {
  inHand.value = null
  store.stopTrying()
}
function setThing(id: number, fields: Partial<Thing>): void {
  const before = store.things[String(id)]
  if (before) void store.editThings([[id, before, { ...before, ...fields }]])
}
/** What was measured replaces what is typical, with its date; undo brings that back. */
function useResistance(id: number, resistance_ohm: number): void {
  const battery = store.things[String(id)]?.battery
  const measured_on = new Date().toISOString().slice(0, 10)
  if (battery) setThing(id, { battery: { ...battery, resistance_ohm, measured_on } })
}
function useDraw(id: number, watts: number): void {
  const draw = store.things[String(id)]?.draw
  if (draw) setThing(id, { draw: { ...draw, watts, amps: null, ohms: null, evidence: 'measured' } })
}
const setDuty = (id: number, duties: Duty[] | null) =>
  store.putPower({ duties: { [String(id)]: duties } })
const setDay = (fields: Partial<Power>) => store.putPower(fields)

const figure = ref<HowFigure | null>(null)

const side = useTemplateRef<HTMLElement>('side')
const { width: sideWidth } = useElementSize(side)
const day = useTemplateRef<HTMLElement>('day')
const { width: dayWidth } = useElementSize(day)
const aboard = computed(() => [...store.places.keys()])
</script>

<template>
  <div v-if="store.kept && store.drawing && store.figures && power" class="page" :aria-busy="busy">
    <section class="boat" aria-label="Wires on the boat">
      <div class="top">
        <h1>Power</h1>
        <PowerSums v-if="figures" :figures="figures" :units="look.units" @how="figure = $event" />
      </div>
      <PowerSheet
        v-model="chosen"
        :setup="store.kept.setup"
        :drawing="store.drawing"
        :figures="store.figures"
        :things="store.things"
        :wires="wires"
        :names="names"
        :verdicts="verdicts"
        :units="look.units"
        @moved="moved"
        @let-go="letGo"
      />
      <div class="under">
        <NewWire
          :aboard="aboard"
          :things="store.things"
          :figures="figures"
          :busy="laying.busy.value"
          @add="lay"
        />
        <p v-if="laying.trouble.value" class="stop" role="alert">{{ laying.trouble.value }}</p>
        <p class="soft key">
          Thick as its gauge · voltage lost on the way: <i class="fine" /> fine ·
          <i class="watch" /> watch · <i class="fix" /> fix · pale edge: something is wrong along it
          · box: fuse · ring: gland · dot: clip
        </p>
      </div>
    </section>
    <section ref="side" class="side">
      <div class="card diagram">
        <OneLine
          v-if="figures && sideWidth > 0"
          v-model="chosen"
          :power="figures"
          :wires="wires"
          :things="store.things"
          :units="look.units"
          :width="sideWidth - 18"
        />
        <p v-else class="soft">
          No battery and nothing that takes current is aboard yet. Add them on the Gear screen, put
          them aboard, then lay a wire.
        </p>
      </div>
      <WireForm
        v-if="chosen !== null && wires[String(chosen)]"
        :wire="wires[String(chosen)]!"
        :lies="lies"
        :things="store.things"
        :bow_x_m="bow_x_m"
        :units="look.units"
        @change="change(chosen, $event)"
        @remove="remove(chosen)"
      />
      <TopicFindings
        v-else
        topic="power"
        fine="Nothing wrong with the electrics"
        @pick="chosen = wireOf($event.key)"
      >
        <p class="soft">Suggestions that can be tried stand with the findings on the Bench.</p>
      </TopicFindings>
      <LearnedNote of="draws" />
    </section>
    <section ref="day" class="card day" aria-label="The day">
      <p v-if="asked.trouble.value || full?.trouble" class="stop" role="alert">
        {{ asked.trouble.value || full?.trouble }}
      </p>
      <DayChart
        v-if="full?.chart && dayWidth > 0"
        :chart="full.chart"
        :things="store.things"
        :units="look.units"
        :width="dayWidth - 14"
      />
      <p v-else-if="busy" class="soft" role="status">Working it out…</p>
    </section>
    <DayForm class="card pad" :power="power" @change="setDay" />
    <div v-if="figures" class="card pad wide">
      <LoadTable
        :power="power"
        :figures="figures"
        :full="full"
        :things="store.things"
        :units="look.units"
        @thing="(id, draw) => setThing(id, { draw })"
        @duty="setDuty"
      />
      <BatteryTable
        class="next"
        :power="power"
        :figures="figures"
        :things="store.things"
        :units="look.units"
        @thing="(id, battery) => setThing(id, { battery })"
        @charge="(id, share) => store.putPower({ charge: { [String(id)]: share } })"
      />
      <MomentTable
        class="next"
        :power="power"
        :figures="figures"
        :things="store.things"
        :units="look.units"
        @change="(moments) => store.putPower({ moments })"
      />
      <BankForm
        class="next"
        :power="power"
        :batteries="figures.batteries.map((one) => one.thing_id)"
        :blocks="aboard.filter((id) => store.things[String(id)]?.fuse != null)"
        :things="store.things"
        @change="(banks) => store.putPower({ banks })"
      />
      <ChargerTable
        v-if="figures.batteries.length"
        class="next"
        :power="power"
        :full="full"
        :batteries="figures.batteries.map((one) => one.thing_id)"
        :things="store.things"
        :units="look.units"
        @change="(chargers) => store.putPower({ chargers })"
      />
    </div>
    <MonitorPanel
      class="card pad wide"
      :setup_id="store.kept.setup_id"
      :things="store.things"
      :units="look.units"
      @resistance="useResistance"
      @draw="useDraw"
    />
    <template v-if="full">
      <SupplyTable
        class="card pad"
        :supplies="full.supplies"
        :things="store.things"
        :units="look.units"
      />
      <BuyList
        class="card pad"
        :full="full"
        :setup_id="store.kept.setup_id"
        :things="store.things"
        :units="look.units"
      />
    </template>
    <HowDrawer
      :setup_id="store.kept.setup_id"
      :revision="store.kept.revision"
      :figure="figure"
      :units="look.units"
      @close="figure = null"
    />
    <CautionLines class="wide" :cautions="full?.cautions" />
  </div>
</template>

<style scoped src="@/setup/page.css"></style>
<style scoped src="@/kit/cards.css"></style>
<style scoped>
.page {
  --side: 440px;
  align-items: start;
}
h2 {
  margin: 0;
}
.under {
  display: grid;
  gap: 6px;
  margin-top: 8px;
}
.side {
  display: grid;
  gap: 10px;
}
.diagram {
  padding: 8px;
  overflow-x: auto;
}
.day {
  padding: 6px;
  min-width: 0;
}
.wide {
  grid-column: 1 / -1;
  min-width: 0;
}
.next {
  margin-top: 14px;
}
.key {
  margin: 0;
  font-size: 12px;
}
.key i {
  display: inline-block;
  width: 16px;
  height: 4px;
  border-radius: 2px;
  background: var(--fine);
  vertical-align: middle;
}
.key .watch {
  background: var(--watch);
}
.key .fix {
  background: var(--fix-mark);
}
@media (max-width: 1000px) {
  .page {
    align-items: stretch;
  }
}
</style>
