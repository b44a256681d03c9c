<script setup lang="ts">
/** Through the surf: the same gear a second time, low, shut in and tied, beside how it fishes; and
 * what to change from the one to the other, ticked off. */
import { computed } from 'vue'
import { api, ask, type Schemas } from '@/api/client'
import PlansOver from '@/drawing/PlansOver.vue'
import { pick, ticked } from '@/kit/heard'
import { number, show, unitOf, type Units } from '@/kit/units'
import VerdictMark from '@/kit/VerdictMark.vue'
import { told } from '@/kit/words'
import { useAsked } from '@/kit/useAsked'
import { usePage } from '@/setup/usePage'
import { useSetup } from '@/setup/useSetup'
import { useTicks } from '@/setup/useTicks'

type Row = Schemas['SurfRow']
type Laid = Schemas['SurfLaid']
const props = defineProps<{ units: Units }>()
const store = useSetup()
const { nameOf } = store
const ticks = useTicks('surf')
const page = usePage<Schemas['SurfPage']>((setup_id) =>
  ask(api.GET('/api/v1/setups/{setup_id}/surf', { params: { path: { setup_id } } })),
)
const plan = computed(() => store.kept!.setup.surf)
const rows = computed(() => page.answer.value?.rows ?? [])
const sides = computed(() => page.answer.value?.sides ?? null)
const standing = computed(() => rows.value.filter((row) => row.stands !== 'fine').length)
const loose = computed(() => rows.value.filter((row) => !row.tied).length)
const left = computed(
  () => page.answer.value?.steps.filter((one) => !ticks.isDone(one.key)).length ?? 0,
)
const none: ReadonlySet<number> = new Set()

function choose(row: Row, key: string): void {
  const offer = row.offers.find((one) => one.key === key)
  void store.putSurf({ places: { [row.thing_id]: offer?.place ?? null } })
}
/** Whatever stands up or is not tied, where there is room for it; one step, undone as one. */
const laid = useAsked<Laid>()
async function lieDown(): Promise<void> {
  const path = { setup_id: store.kept!.setup_id }
  const params = { path }
  const done = await laid.put(
    () => ask(api.GET('/api/v1/setups/{setup_id}/surf/laid-down', { params })) as Promise<Laid>,
  )
  if (done) void store.putSurf({ places: laid.answer.value!.places, up: true })
}
function asFishing(): void {
  const places = Object.keys(plan.value.places).map((id) => [id, null] as const)
  void store.putSurf({ places: Object.fromEntries(places) })
}
const figure = (value: number | null, kind: Schemas['FigureRow']['kind']) =>
  value === null ? '—' : number(value, kind, props.units)
const wrong = (row: Row) =>
  [
    row.snaps && 'tip would snap',
    row.stabs && 'tip beside you: it stabs',
    !row.tied && 'not tied',
  ].filter(Boolean)
</script>

<template>
  <div data-testid="surf">
    <p class="soft">
      Before breaking water everything lies low, shut in or tied, tips held at the bow, drive and
      rudder up. This arrangement is kept beside the one to fish with. No arrangement makes surf
      safe: land elsewhere where you can, and practise with help.
    </p>
    <p
      v-if="page.trouble.value || laid.trouble.value || page.answer.value?.trouble"
      class="stop"
      role="alert"
    >
      {{ page.trouble.value || laid.trouble.value || page.answer.value?.trouble }}
    </p>
    <div class="acts">
      <button
        type="button"
        class="small"
        data-testid="lie-down"
        :disabled="laid.busy.value"
        @click="lieDown"
      >
        {{ laid.busy.value ? 'Laying down…' : 'Lay it all down' }}
      </button>
      <button v-if="Object.keys(plan.places).length" type="button" class="small" @click="asFishing">
        As for fishing
      </button>
      <label
        ><input
          type="checkbox"
          :checked="plan.up"
          data-testid="surf-up"
          @change="store.putSurf({ up: ticked($event) })"
        />
        drive and rudder up</label
      >
      <span v-if="page.answer.value" data-testid="surf-sum"
        >{{ standing }} stand up, {{ loose }} not tied<template v-if="page.answer.value.down.length"
          >, {{ page.answer.value.down.map(nameOf).join(' and ') }} down</template
        ></span
      >
    </div>
    <PlansOver v-if="sides" :sides="sides.sides" :hidden="none" />
    <table v-if="sides" class="figures" data-testid="surf-figures">
      <thead>
        <tr>
          <th scope="col"><span class="unseen">Figure</span></th>
          <th v-for="side in sides.sides" :key="side.name" scope="col" class="num">
            {{ side.name }}
          </th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="row in sides.figures" :key="row.label">
          <th scope="row">
            {{ row.label }} <span class="soft">{{ unitOf(row.kind, units) }}</span>
          </th>
          <td v-for="(value, i) in row.values" :key="i" class="num">
            <VerdictMark v-if="row.verdicts[i]" :verdict="row.verdicts[i]!" bare />
            {{ figure(value, row.kind) }}
          </td>
        </tr>
      </tbody>
    </table>
    <table data-testid="surf-rows">
      <thead>
        <tr>
          <th scope="col">Item</th>
          <th scope="col">Stands up</th>
          <th scope="col">In the surf</th>
          <th scope="col" class="wide">What is wrong</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="row in rows" :key="row.thing_id" :data-testid="`surf-${row.thing_id}`">
          <th scope="row">{{ nameOf(row.thing_id) }}</th>
          <td>
            <VerdictMark :verdict="row.stands" bare />
            {{ row.over_m > 0.005 ? show(row.over_m, 'length', units, 0) : 'no' }}
          </td>
          <td>
            <select
              v-if="row.offers.length"
              :aria-label="`${nameOf(row.thing_id)} in the surf`"
              :value="row.changed ? (row.chosen ?? 'own') : ''"
              @change="choose(row, pick($event))"
            >
              <option value="">as for fishing</option>
              <option v-for="one in row.offers" :key="one.key" :value="one.key">
                {{ one.words }}
              </option>
              <option v-if="row.changed && !row.chosen" value="own" disabled>elsewhere</option>
            </select>
            <span v-else class="soft">as for fishing</span>
          </td>
          <td class="wide">{{ wrong(row).join(', ') }}</td>
        </tr>
      </tbody>
    </table>
    <h2>To change, in order</h2>
    <p v-if="page.answer.value && !page.answer.value.steps.length" class="soft">
      Nothing: it goes through the surf as it fishes.
    </p>
    <p v-else class="soft" data-testid="surf-left">
      {{ left ? `${left} to do` : 'all done' }}
      <button type="button" class="small" @click="ticks.clear()">Clear ticks</button>
    </p>
    <ul>
      <li v-for="one in page.answer.value?.steps ?? []" :key="one.key">
        <label>
          <input
            type="checkbox"
            :checked="ticks.isDone(one.key)"
            @change="ticks.set(one.key, ticked($event))"
          />
          <span :class="{ done: ticks.isDone(one.key) }">{{
            told(one.words.text, one.words.amounts ?? [], units)
          }}</span>
        </label>
      </li>
    </ul>
  </div>
</template>

<style scoped>
p.soft:first-child {
  margin-top: 0;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 12px;
  align-items: center;
  margin-bottom: 6px;
}
table {
  width: 100%;
  margin-top: 8px;
  border-collapse: collapse;
  font-size: 12px;
}
.figures {
  width: auto;
}
th,
td {
  padding: 3px 12px 3px 0;
  border-top: 1px solid var(--line);
  font-weight: 400;
  text-align: left;
}
thead th {
  border: 0;
  color: var(--soft);
}
td.num,
th.num {
  text-align: right;
}
button.small,
select {
  min-height: 26px;
  max-width: 290px;
  padding: 0 8px;
  border: 1px solid var(--line);
  border-radius: 6px;
  background: var(--card);
  color: var(--ink);
  font: inherit;
  font-size: 12px;
}
h2 {
  margin: 12px 0 2px;
}
ul {
  margin: 4px 0;
  padding: 0;
  list-style: none;
}
li label {
  display: flex;
  gap: 8px;
  align-items: center;
  min-height: 28px;
}
.done {
  color: var(--soft);
  text-decoration: line-through;
}
@media (max-width: 600px) {
  .wide {
    display: none;
  }
  li label {
    min-height: 44px;
  }
  select {
    max-width: 150px;
  }
}
</style>
