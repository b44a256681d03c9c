<script setup lang="ts">
/** Sonar: where each transducer hangs, what it sees, what it meets; and the schools side by side. */
import { useElementSize } from '@vueuse/core'
import { computed, ref, useTemplateRef } from 'vue'
import { api, ask, type Schemas, type Thing } from '@/api/client'
import { CHOICES } from '@/api/words'
import QuantityInput from '@/kit/QuantityInput.vue'
import VerdictMark from '@/kit/VerdictMark.vue'
import { show } from '@/kit/units'
import { listWords, told } from '@/kit/words'
import type { HowFigure } from '@/setup/how'
import HowDrawer from '@/setup/HowDrawer.vue'
import { useLook } from '@/setup/look'
import { usePage } from '@/setup/usePage'
import { useSetup } from '@/setup/useSetup'
import ConeView from './ConeView.vue'
import { pick, ticked } from '@/kit/heard'

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
const MOUNT: Record<Transducer['mount'], string> = {
  inside: 'inside the hull',
  recess: 'recess under it',
  arm: 'arm over the side',
  motor: 'on the motor',
  pole: 'pole at the bow',
}
const aspect = (id: number) => store.things[String(id)]?.transducer ?? null
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
const under = (depth: number | null) =>
  depth === null
    ? '—'
    : depth >= 0
      ? `${show(depth, 'length', look.units)} under`
      : `${show(-depth, 'length', look.units)} out of the water`

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
          :bottom_m="depth_m"
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
          :bottom_m="depth_m"
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
      <div v-for="one in transducers" :key="one.thing_id" class="card" :data-sonar="one.thing_id">
        <h2>{{ names.get(one.thing_id) }}</h2>
        <div v-if="aspect(one.thing_id)" class="fields">
          <label
            >Mounted
            <select
              :value="one.mount"
              data-testid="sonar-mount"
              @change="set(one.thing_id, { mount: pick($event) as Transducer['mount'] })"
            >
              <option v-for="mount in CHOICES.Transducer.mount" :key="mount" :value="mount">
                {{ MOUNT[mount] }}
              </option>
            </select></label
          >
          <label
            >Sounds through
            <select
              :value="aspect(one.thing_id)!.through"
              data-testid="sonar-through"
              @change="set(one.thing_id, { through: pick($event) as Transducer['through'] })"
            >
              <option v-for="through in CHOICES.Transducer.through" :key="through">
                {{ through }}
              </option>
            </select></label
          >
          <label
            >Cone
            <QuantityInput
              :model-value="aspect(one.thing_id)!.cone_deg"
              label="Cone, whole angle"
              kind="angle"
              :digits="0"
              :units="look.units"
              testid="sonar-cone"
              @update:model-value="set(one.thing_id, { cone_deg: $event })"
          /></label>
          <label class="tick"
            ><input
              type="checkbox"
              :checked="aspect(one.thing_id)!.side_beams"
              @change="set(one.thing_id, { side_beams: ticked($event) })"
            />
            side beams</label
          >
          <label class="tick"
            ><input
              type="checkbox"
              :checked="aspect(one.thing_id)!.reads_temperature"
              @change="set(one.thing_id, { reads_temperature: ticked($event) })"
            />
            shows temperature</label
          >
        </div>
        <dl>
          <div>
            <dt>Face, at rest</dt>
            <dd data-testid="sonar-rest">{{ under(one.depth_m) }}</dd>
          </div>
          <div>
            <dt>
              At its least<template v-if="one.least_heel_deg"
                >, {{ listWords(one.least_heel_deg) }}</template
              ><template v-else-if="one.least_by">, {{ one.least_by.toLowerCase() }}</template>
            </dt>
            <dd>{{ under(one.least_m) }} <VerdictMark :verdict="one.verdict" bare /></dd>
          </div>
          <div>
            <dt>Below the hull there</dt>
            <dd>{{ show(Math.max(0, one.below_here_m), 'length', look.units) }}</dd>
          </div>
          <div>
            <dt>Behind the drive</dt>
            <dd>
              {{
                one.behind_drive_m === null
                  ? 'clear'
                  : show(one.behind_drive_m, 'length', look.units, 0)
              }}
            </dd>
          </div>
          <div>
            <dt>Side beam hidden</dt>
            <dd>{{ show(one.cut_off_deg, 'angle', look.units, 0) }}</dd>
          </div>
          <div>
            <dt>Drag at {{ one.speed_m_s }} m/s</dt>
            <dd>{{ one.drag_n.toFixed(1) }} N</dd>
          </div>
          <div v-if="one.ball_from_m !== null">
            <dt>Downrigger’s ball in the cone</dt>
            <dd>from {{ show(one.ball_from_m, 'length', look.units, 0) }} down</dd>
          </div>
        </dl>
      </div>
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
.fields {
  display: grid;
  grid-template-columns: 1fr 1fr 90px;
  gap: 6px 10px;
}
.fields label {
  display: grid;
  gap: 2px;
  color: var(--soft);
  font-size: 11px;
}
.fields .tick {
  display: flex;
  gap: 5px;
  align-items: center;
  font-size: 13px;
}
select {
  width: 100%;
  height: 24px;
  border: 1px solid var(--line);
  border-radius: 6px;
  background: var(--card);
  color: var(--ink);
  font: inherit;
  font-size: 13px;
}
dl {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 6px 12px;
  margin: 10px 0 0;
}
dt {
  color: var(--soft);
  font-size: 11px;
}
dd {
  margin: 0;
  font-family: var(--mono);
  font-size: 12px;
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
