<script setup lang="ts">
/** Sonar: where each transducer hangs, what it sees, what it meets; and the schools side by side. */
import { useElementSize } from '@vueuse/core'
import { computed, ref, useTemplateRef } from 'vue'
import { api, ask, type Schemas, type Thing } from '@/api/client'
import QuantityInput from '@/kit/QuantityInput.vue'
import VerdictMark from '@/kit/VerdictMark.vue'
import { show } from '@/kit/units'
import { told } from '@/kit/words'
import type { HowFigure } from '@/setup/how'
import HowDrawer from '@/setup/HowDrawer.vue'
import { useLook } from '@/setup/look'
import { usePage } from '@/setup/usePage'
import { useSetup } from '@/setup/useSetup'
import ConeView from './ConeView.vue'
import TransducerCard from './TransducerCard.vue'
import { underWords } from './depths'

type Transducer = NonNullable<Thing['transducer']>
const store = useSetup()
const look = useLook()
const asked = usePage<Schemas['Schools']>((setup_id) =>
  ask(api.GET('/api/v1/setups/{setup_id}/sonar', { params: { path: { setup_id } } })),
)
const schools = computed(() => asked.answer.value?.schools ?? [])
const figure = ref<HowFigure | null>(null)

const transducers = computed(() => store.figures?.sonar?.transducers ?? [])
const names = computed(
  () =>
    new Map(
      transducers.value.map((one) => [
        one.thing_id,
        store.things[String(one.thing_id)]?.name ?? '',
      ]),
    ),
)
const findings = computed(
  () =>
    store.figures?.findings.filter((one) => one.topic === 'sonar' && one.accepted === null) ?? [],
)
const depth_m = computed(() => store.kept?.setup.demands.depth_m ?? 4)
/** What is drawn: of what is typed it is not known yet whether it is a depth. */
const bottom_m = computed(() => store.confirmed?.setup.demands.depth_m ?? 4)
function set(id: number, fields: Partial<Transducer>): void {
  const before = store.things[String(id)]
  if (!before?.transducer) return
  const transducer = { ...before.transducer, ...fields }
  void store.editThings([[id, before, { ...before, transducer }]])
}
function setDepth(value: number): void {
  const demands = store.kept!.setup.demands
  void store.putDemands({ ...demands, depth_m: value }, demands)
}
const under = (depth_m: number | null) => underWords(depth_m, look.units)

const left = useTemplateRef<HTMLElement>('left')
const { width } = useElementSize(left)
</script>

<template>
  <div
    v-if="store.kept && store.drawing && store.figures"
    class="sonar"
    :aria-busy="asked.busy.value"
  >
    <section ref="left" class="left" aria-label="Cones under the boat">
      <div class="top">
        <h1>Sonar</h1>
        <label
          >Water depth
          <QuantityInput
            :model-value="depth_m"
            label="Water depth"
            kind="length"
            :units="look.units"
            testid="sonar-depth"
            @update:model-value="setDepth"
          />
        </label>
        <button
          v-if="transducers.length"
          type="button"
          title="How was this computed?"
          data-testid="sonar-wide"
          @click="figure = 'cone'"
        >
          sees {{ show(transducers[0]!.bottom_wide_m, 'length', look.units, 0) }} of the bottom
        </button>
      </div>
      <p v-if="!store.figures.afloat" class="stop" role="alert">{{ store.figures.trouble }}</p>
      <div v-else-if="width > 0" class="views">
        <ConeView
          view="side"
          :drawing="store.drawing"
          :afloat="store.figures.afloat"
          :transducers="transducers"
          :names="names"
          :bottom_m="bottom_m"
          :units="look.units"
          :width="Math.max(300, width - (width > 600 ? 270 : 0))"
          :height="430"
        />
        <ConeView
          view="astern"
          :drawing="store.drawing"
          :afloat="store.figures.afloat"
          :transducers="transducers"
          :names="names"
          :bottom_m="bottom_m"
          :units="look.units"
          :width="260"
          :height="430"
        />
      </div>
      <p class="soft">
        To scale. The cone is where a maker’s figure puts its edge; strong echoes show from outside.
      </p>
    </section>
    <section class="right">
      <p v-if="!transducers.length" class="card soft">
        No transducer aboard yet. Add one on the Gear screen, and put it where it hangs: under the
        hull its height is below 0.
      </p>
      <TransducerCard
        v-for="one in transducers"
        :key="one.thing_id"
        class="card"
        :data-sonar="one.thing_id"
        :seen="one"
        :name="names.get(one.thing_id) ?? ''"
        :aspect="store.things[String(one.thing_id)]?.transducer ?? null"
        :units="look.units"
        @change="set(one.thing_id, $event)"
      />
      <div v-if="findings.length" class="card">
        <h2>What is wrong</h2>
        <ul>
          <li v-for="one in findings" :key="one.key">
            <VerdictMark :verdict="one.verdict" />
            <span>
              <b>{{ told(one.title.text, one.title.amounts ?? [], look.units) }}</b>
              <span class="soft block">{{
                told(one.clear.text, one.clear.amounts ?? [], look.units)
              }}</span></span
            >
          </li>
        </ul>
      </div>
    </section>
    <section v-if="schools.length" class="card wide" aria-label="Ways of placing a transducer">
      <h2>Ways of placing it, on this boat</h2>
      <div class="scroll">
        <table>
          <thead>
            <tr>
              <th scope="col">Where</th>
              <th scope="col">Face, at rest</th>
              <th scope="col">At its least</th>
              <th scope="col">Below the hull</th>
              <th scope="col">Drag</th>
              <th scope="col">Mind</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="one in schools" :key="one.mount">
              <th scope="row">{{ one.words }}</th>
              <template v-if="one.possible">
                <td>{{ under(one.depth_m) }}</td>
                <td>{{ under(one.least_m) }}</td>
                <td>{{ show(one.below_hull_m ?? 0, 'length', look.units) }}</td>
                <td>{{ (one.drag_n ?? 0).toFixed(1) }} N</td>
              </template>
              <td v-else colspan="4" class="soft">{{ one.why_not }}</td>
              <td class="soft">{{ one.cautions.join(' ') }}</td>
            </tr>
          </tbody>
        </table>
      </div>
    </section>
    <HowDrawer
      :setup_id="store.kept.setup_id"
      :revision="store.kept.revision"
      :figure="figure"
      :units="look.units"
      @close="figure = null"
    />
  </div>
</template>

<style scoped>
.sonar {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 400px;
  gap: 12px 16px;
  align-items: start;
  padding: 12px 16px 18px;
}
.left,
.right {
  min-width: 0;
}
.right {
  display: grid;
  gap: 10px;
}
.top {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 18px;
  align-items: center;
  margin-bottom: 8px;
}
.top label {
  display: flex;
  gap: 6px;
  align-items: center;
  width: 200px;
  color: var(--soft);
  white-space: nowrap;
}
.top button {
  padding: 0;
  border: 0;
  border-bottom: 1px dotted var(--soft);
  background: none;
  color: var(--ink);
  font: inherit;
  font-weight: 600;
  cursor: help;
}
h1,
h2 {
  margin: 0;
}
h2 {
  margin-bottom: 6px;
}
.views {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
}
.card {
  margin: 0;
  padding: 10px 12px;
  border: 1px solid var(--line);
  border-radius: 8px;
  background: var(--card);
}
ul {
  margin: 0;
  padding: 0;
  list-style: none;
}
li {
  display: grid;
  grid-template-columns: 58px 1fr;
  gap: 6px;
  padding: 4px 0;
  border-top: 1px solid var(--line);
}
.block {
  display: block;
  font-size: 12px;
}
.wide {
  grid-column: 1 / -1;
  min-width: 0;
}
.scroll {
  overflow-x: auto;
}
table {
  width: 100%;
  border-collapse: collapse;
}
th,
td {
  padding: 4px 10px 4px 0;
  border-top: 1px solid var(--line);
  font-weight: 400;
  text-align: left;
  vertical-align: top;
}
td:not(.soft) {
  white-space: nowrap;
}
thead th {
  border-top: 0;
  color: var(--soft);
  font-size: 12px;
}
tbody th {
  min-width: 190px;
  font-weight: 600;
}
@media (max-width: 900px) {
  .sonar {
    display: flex;
    flex-direction: column;
    align-items: stretch;
    padding: 10px;
  }
}
</style>
