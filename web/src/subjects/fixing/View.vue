<script setup lang="ts">
/** Fixing: every mount and hole on the boat, what pulls at the chosen one, and what else to do. */
import { computed, ref, watch } from 'vue'
import { api, ask, type FullFixing, type Schemas } from '@/api/client'
import CautionLines from '@/kit/CautionLines.vue'
import ChoiceGroup from '@/kit/ChoiceGroup.vue'
import { show } from '@/kit/units'
import VerdictMark from '@/kit/VerdictMark.vue'
import { told } from '@/kit/words'
import type { HowFigure } from '@/setup/how'
import HowDrawer from '@/setup/HowDrawer.vue'
import { useLook } from '@/setup/look'
import LearnedNote from '@/setup/LearnedNote.vue'
import TopicFindings from '@/setup/TopicFindings.vue'
import { usePage } from '@/setup/usePage'
import { useSetup } from '@/setup/useSetup'
import FixingSheet from './FixingSheet.vue'
import ForceTriangle from './ForceTriangle.vue'
import HoleTable from './HoleTable.vue'
import MountForm from './MountForm.vue'
import MountTable from './MountTable.vue'
import SituationTable from './SituationTable.vue'
import WallSection from './WallSection.vue'
import WallTable from './WallTable.vue'
import WhatIfList from './WhatIfList.vue'
import { BOLTED } from './words'
import TickBox from '@/kit/TickBox.vue'

const store = useSetup()
const look = useLook()
const asked = usePage<FullFixing>((setup_id) =>
  ask(
    api.POST('/api/v1/setups/{setup_id}/fixing', {
      params: { path: { setup_id } },
      body: { places: [] },
    }),
  ),
)
const full = asked.answer
const chosen = ref<string | null>(null)
const shown = ref<'mounts' | 'holes'>('mounts')
const situation = ref('')
const figure = ref<HowFigure | null>(null)

const plan = computed(() => store.kept?.setup.fixing ?? null)
const figures = computed(() => store.figures?.fixing ?? null)
const mount = computed(() => figures.value?.mounts.find((one) => one.key === chosen.value) ?? null)
const detail = computed(() => full.value?.mounts.find((one) => one.key === chosen.value) ?? null)
const spec = computed(() => {
  const one = mount.value
  if (!one || !plan.value) return null
  return (
    (one.fitting === null ? plan.value.mounts[one.key] : plan.value.fittings[one.fitting]) ?? null
  )
})
const looked = computed(
  () =>
    detail.value?.situations.find((one) => one.name === situation.value) ??
    detail.value?.situations.find((one) => one.name === mount.value?.worst_in) ??
    detail.value?.situations[0] ??
    null,
)
const bow_x_m = computed(() => store.drawing?.x_m.at(-1) ?? 0)

watch(chosen, () => (situation.value = ''))
watch(
  () => store.kept?.setup_id,
  () => (chosen.value = null),
)

function change(fields: Partial<Schemas['Mount']> | null): void {
  const one = mount.value
  if (!one) return
  const row = { [one.fitting ?? one.key]: fields }
  void store.putFixing(one.fitting === null ? { mounts: row } : { fittings: row })
}
/** What is usual becomes what is so, with what was changed of it. */
function take(way: Schemas['WhatIf']): void {
  const one = mount.value
  if (one) change({ by: one.by, ...(way.fields as Partial<Schemas['Mount']>) })
}
const template = (key: string, form = 'pdf', inside = false) =>
  `/api/v1/setups/${store.kept?.setup_id}/fixing/template?key=${encodeURIComponent(key)}&form=${form}` +
  (inside ? '&inside=true' : '')
</script>

<template>
  <div
    v-if="store.kept && store.drawing && store.figures && plan"
    class="page"
    :aria-busy="asked.busy.value"
  >
    <section class="boat" aria-label="Mounts and holes on the boat">
      <div class="top">
        <h1>Fixing</h1>
        <ChoiceGroup
          v-model="shown"
          label="What is shown"
          :options="[
            ['mounts', 'Mounts'],
            ['holes', 'Holes'],
          ]"
        />
        <p v-if="figures" class="sums">
          <span
            ><b>{{ figures.drilled }}</b> holes there</span
          >
          <span
            ><b>{{ figures.planned }}</b> planned</span
          >
          <button
            v-if="figures.mounts.length"
            type="button"
            class="how"
            title="How was this computed?"
            data-testid="fixing-how"
            @click="figure = 'mount'"
          >
            How: the worst mount
          </button>
          <span :class="{ watch: figures.idle }"
            ><b>{{ figures.idle }}</b> used by nothing</span
          >
        </p>
        <TickBox :on="plan.no_drill" testid="no-drill" @tick="store.putFixing({ no_drill: $event })"
          >no drilling</TickBox
        >
        <TickBox :on="plan.stalks" testid="stalks" @tick="store.putFixing({ stalks: $event })"
          >quiet matters</TickBox
        >
      </div>
      <FixingSheet
        v-model="chosen"
        :setup="store.kept.setup"
        :drawing="store.drawing"
        :figures="store.figures"
        :things="store.things"
        :units="look.units"
        :holes="shown === 'holes'"
      />
      <p class="soft key">
        <template v-if="shown === 'mounts'"
          >Bases to scale, dots are bolts; dashed: you have not said how, usual values.</template
        >
        <template v-else
          >Height above the water at its worst, heeled as far as the trip heels the boat; dashed:
          planned, filled: closed.</template
        >
      </p>
      <div class="card pad">
        <MountTable
          v-if="shown === 'mounts' && figures?.mounts.length"
          v-model="chosen"
          :mounts="figures.mounts"
          :units="look.units"
        />
        <p v-else-if="shown === 'mounts'" class="soft">
          Nothing aboard is bolted, strapped or glued to the boat yet. Say how an item is mounted on
          the Gear screen, or put one on a track.
        </p>
        <HoleTable
          v-else
          :holes="figures?.holes ?? []"
          :own="plan.holes"
          :bow_x_m="bow_x_m"
          :units="look.units"
          :template="template"
          @hole="(name, fields) => store.putFixing({ holes: { [name]: fields } })"
        />
      </div>
    </section>
    <section class="side">
      <div v-if="mount" class="card pad" data-testid="mount-card">
        <div class="head">
          <h2>{{ mount.name }}</h2>
          <VerdictMark :verdict="mount.verdict" />
          <button type="button" class="small" @click="chosen = null">Close</button>
        </div>
        <p v-if="mount.usual" class="soft">
          You have not said how it is mounted: these are usual values, and bring no findings.
        </p>
        <MountForm
          :mount="mount"
          :spec="spec"
          :loads="detail?.loads_n ?? {}"
          :units="look.units"
          @change="change"
          @forget="change(null)"
        />
        <template v-if="detail && looked">
          <div class="drawings">
            <ForceTriangle :situation="looked" :length_m="mount.length_m" :units="look.units" />
            <WallSection :mount="mount" :detail="detail" :units="look.units" />
          </div>
          <SituationTable
            :model-value="looked.name"
            :situations="detail.situations"
            :units="look.units"
            @update:model-value="situation = $event"
          />
          <p class="soft">
            Flat panel, clamped, {{ show(detail.radius_m, 'length', look.units, 0) }} free: real
            decks are curved and stiffer.
            <template v-if="detail.plate_side_m"
              >A plate of aluminium, 3 mm,
              {{ show(detail.plate_side_m, 'length', look.units) }} square brings it to
              {{ show(detail.limit_deg, 'angle', look.units, 0) }}.</template
            >
          </p>
          <WhatIfList :ways="detail.what_if" :units="look.units" @take="take" />
        </template>
        <p v-if="BOLTED.has(mount.by)" class="links">
          Template, one to one:
          <a :href="template(mount.key)" target="_blank" data-testid="template-pdf">PDF</a>
          <a :href="template(mount.key, 'svg')" target="_blank">SVG</a>
          <a :href="template(mount.key, 'dxf')">DXF</a>
          <a :href="template(mount.key, 'pdf', true)" target="_blank">PDF from inside</a>
        </p>
      </div>
      <TopicFindings
        v-else
        topic="fixing"
        fine="Nothing wrong with what was described"
        class="gap"
        @pick="chosen = $event.thing_id === null ? null : String($event.thing_id)"
      >
        <p class="soft">
          Choose a mount to see what pulls at it. Only mounts you have described bring findings.
        </p>
      </TopicFindings>
      <LearnedNote of="proved" />
      <p v-if="asked.trouble.value" class="stop" role="alert">{{ asked.trouble.value }}</p>
      <div v-if="full" class="card pad">
        <p>
          <RouterLink to="/work" data-testid="to-work"
            >{{ full.plan.steps.length + ' steps' }} of work</RouterLink
          >, {{ show(full.plan.hands_min / 60, 'hours', look.units) }} by hand.
        </p>
        <p v-for="(one, i) in full.regrets" :key="i" class="watch">
          {{ told(one.text, one.amounts ?? [], look.units) }}
        </p>
        <CautionLines :cautions="full.plan.cautions" />
      </div>
    </section>
    <div v-if="full" class="card pad wide">
      <WallTable
        :plan="plan"
        :walls="full.walls"
        :units="look.units"
        @plan="store.putFixing($event)"
        @wall="(region, fields) => store.putFixing({ walls: { [region]: fields } })"
      />
    </div>
    <HowDrawer
      :setup_id="store.kept.setup_id"
      :revision="store.kept.revision"
      :figure="figure"
      :units="look.units"
      @close="figure = null"
    />
  </div>
</template>

<style scoped src="@/setup/page.css"></style>
<style scoped>
.page {
  --side: 540px;
}
.top,
.head,
.sums {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 14px;
  align-items: center;
  margin: 0;
}
.top {
  margin-bottom: 8px;
}
.head h2 {
  flex: 1;
  margin: 0;
}
.card {
  margin-bottom: 12px;
  border: 1px solid var(--line);
  border-radius: 8px;
  background: var(--card);
}
.pad {
  padding: 10px 12px;
}
.key {
  margin: 4px 0 10px;
  font-size: 12px;
}
.gap {
  margin: 0 0 12px;
}
.wide {
  grid-column: 1 / -1;
}
.drawings {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  margin: 8px 0;
}
.links {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 12px;
  margin-bottom: 0;
}
.pad p.soft {
  font-size: 12px;
}
</style>
