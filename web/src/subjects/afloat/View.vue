<script setup lang="ts">
/** Afloat: the table of hydrostatics, the righting curve, demands, and everything against load. */
import { useElementSize, watchDebounced } from '@vueuse/core'
import { computed, ref, useTemplateRef, watch } from 'vue'
import { api, ask, type DemandNumbers, type FullAfloat } from '@/api/client'
import CautionLines from '@/kit/CautionLines.vue'
import { useAsked } from '@/kit/useAsked'
import LoadChart from './LoadChart.vue'
import RightingChart from './RightingChart.vue'
import { show } from '@/kit/units'
import { told } from '@/kit/words'
import DemandNumbersForm from './DemandNumbersForm.vue'
import DemandTable from './DemandTable.vue'
import HowDrawer from '@/setup/HowDrawer.vue'
import { useLook } from '@/setup/look'
import { useDraft } from '@/setup/useDraft'
import { useSetup } from '@/setup/useSetup'

type Figure = 'weight' | 'trim' | 'list' | 'gm' | 'wells'

const store = useSetup()
const look = useLook()
const asked = useAsked<FullAfloat>()
const { answer: sheet, busy, refusal } = asked
/** What was refused is told beside its field. */
const trouble = computed(() =>
  refusal.value ? '' : asked.trouble.value || (sheet.value?.trouble ?? ''),
)
const figure = ref<Figure | null>(null)
const asking = ref(false)
const {
  draft: numbers,
  base,
  plain,
  reset,
} = useDraft<DemandNumbers>(
  () => store.confirmed?.setup.demands,
  () => store.confirmed?.setup_id,
)

let last = '' // what was asked: numbers that came with the setup are not asked for twice
function load(): void {
  const setup_id = store.kept?.setup_id
  if (setup_id === undefined) return
  last = JSON.stringify(numbers.value)
  void asked.put(
    () =>
      ask(
        api.POST('/api/v1/setups/{setup_id}/afloat', {
          params: { path: { setup_id } },
          body: { places: [], demands: numbers.value },
        }),
      ) as Promise<FullAfloat>,
  )
}
watch([() => store.kept?.setup_id, () => store.kept?.revision], load, { immediate: true })
watchDebounced(numbers, () => JSON.stringify(numbers.value) !== last && load(), {
  debounce: 200,
  deep: true,
})

const wrong = (field: string) =>
  refusal.value?.problem.fields.find((one) => one.field === field)?.why ?? ''
async function save(): Promise<void> {
  if (await store.putDemands(plain()!, base.value!)) asking.value = false
}

const chart = useTemplateRef<HTMLElement>('chart')
const { width } = useElementSize(chart)
const small = computed(() => Math.max(150, Math.floor(width.value / 3) - 6))
const SCHOOL = {
  rating: 'R: rating',
  'working share': 'W: working load',
  freeboard: 'F: freeboard target',
  'dry floors': 'D: floors just dry',
} as const
</script>

<template>
  <div v-if="store.kept && store.drawing" class="afloat" :aria-busy="busy">
    <p v-if="trouble" class="stop trouble" role="alert">{{ trouble }}</p>
    <template v-if="sheet && !sheet.trouble">
      <section class="terms" aria-label="Hydrostatics">
        <h1>Afloat</h1>
        <p class="soft">
          The boat alone, without your balance.
          {{ store.figures?.bands?.hull === 'calibrated' ? '' : 'Estimate from a tape.' }}
        </p>
        <table>
          <tbody>
            <tr v-for="one in sheet.terms" :key="one.term">
              <th scope="row">
                <button
                  type="button"
                  title="How was this computed?"
                  @click="figure = one.how as Figure"
                >
                  {{ one.term }}
                </button>
                <span class="soft">{{ told(one.plain, one.amounts ?? [], look.units) }}</span>
              </th>
              <td class="num">{{ show(one.value, one.kind, look.units) }}</td>
            </tr>
          </tbody>
        </table>
      </section>
      <section class="right">
        <div ref="chart" class="card" aria-label="Righting curve">
          <RightingChart
            v-if="width > 0"
            :curves="sheet.curves"
            :units="look.units"
            :width="width"
          />
        </div>
        <div class="head">
          <h2>Situations, the most demanding first</h2>
          <el-button size="small" data-testid="set-numbers" @click="asking = true"
            >Set the numbers…</el-button
          >
        </div>
        <DemandTable :demands="sheet.demands" :drawing="store.drawing" :units="look.units" />
        <template v-if="sheet.by_load">
          <h2 class="next">
            Against the weight carried; today {{ show(sheet.by_load.today_kg, 'mass', look.units) }}
          </h2>
          <div v-if="width > 0" class="loads card">
            <LoadChart
              v-for="[name, values] in [
                ['Draft', sheet.by_load.draft_m],
                ['Least freeboard', sheet.by_load.freeboard_m],
                ['GM', sheet.by_load.gm_m],
              ] as const"
              :key="name"
              :loads="sheet.by_load"
              :values_m="values"
              :name="name"
              :units="look.units"
              :width="small"
            />
          </div>
          <ul class="schools">
            <li v-for="one in sheet.by_load.capacities" :key="one.school" :title="one.reason">
              <b>{{ SCHOOL[one.school] }}</b>
              {{
                one.carried_kg === null
                  ? 'not reached'
                  : show(one.carried_kg, 'mass', look.units, 0)
              }}
            </li>
          </ul>
        </template>
        <CautionLines :cautions="sheet.cautions" />
      </section>
    </template>
    <p v-else-if="busy" class="soft trouble" role="status">Working it out…</p>
    <HowDrawer
      :setup_id="store.kept.setup_id"
      :revision="store.kept.revision"
      :figure="figure"
      :units="look.units"
      @close="figure = null"
    />
    <el-drawer v-model="asking" title="Situations" size="360">
      <DemandNumbersForm
        v-if="numbers"
        v-model="numbers"
        :units="look.units"
        :wrong="wrong"
        @save="save"
        @back="reset()"
      />
    </el-drawer>
  </div>
</template>

<style scoped>
.afloat {
  display: grid;
  grid-template-columns: 392px minmax(0, 1fr);
  gap: 18px;
  padding: 12px 18px 18px;
}
.trouble {
  grid-column: 1 / -1;
}
h1 + p {
  margin: 2px 0 8px;
}
.terms table {
  width: 100%;
  border-collapse: collapse;
}
.terms th,
.terms td {
  padding: 3px 0;
  border-top: 1px solid var(--line);
  font-weight: 400;
  text-align: left;
  vertical-align: top;
}
.terms td {
  padding-left: 8px;
  text-align: right;
  white-space: nowrap;
}
.terms button {
  padding: 0;
  border: 0;
  border-bottom: 1px dotted var(--soft);
  background: none;
  color: var(--ink);
  font-size: 13px;
  font-weight: 600;
  cursor: help;
}
.terms .soft {
  display: block;
  font-size: 12px;
  line-height: 1.25;
}
.right {
  min-width: 0;
}
.card {
  border: 1px solid var(--line);
  border-radius: 8px;
  background: var(--card);
}
.head {
  display: flex;
  align-items: center;
  justify-content: space-between;
  margin: 10px 0 2px;
}
h2 {
  margin: 0;
}
.next {
  margin: 14px 0 6px;
}
.loads {
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
  padding: 4px;
}
.schools {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 18px;
  margin: 6px 0;
  padding: 0;
  list-style: none;
  font-size: 12px;
}
@media (max-width: 900px) {
  .afloat {
    display: flex;
    flex-direction: column;
    padding: 10px;
  }
  .right {
    overflow-x: auto;
  }
}
</style>
