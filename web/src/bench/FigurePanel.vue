<script setup lang="ts">
/** What the boat does with it: weight, trim, list, steadiness, dry floors; new beside old. */
import { computed } from 'vue'
import type { Figures, Zone } from '@/api/client'
import { clock } from '@/kit/clock'
import { number, show, showBand, unitOf, type Units } from '@/kit/units'
import { listWords, trimWords, ZONE_WORD } from '@/kit/words'
import VerdictMark from '@/kit/VerdictMark.vue'
import FigureLine from './FigureLine.vue'
import LevelVial from './LevelVial.vue'
import RightingSketch from './RightingSketch.vue'
import WeightBar from './WeightBar.vue'

const props = defineProps<{ figures: Figures; before: Figures | null; units: Units }>()
defineEmits<{ how: [figure: 'weight' | 'trim' | 'list' | 'gm' | 'wells' | 'power'] }>()

const a = computed(() => props.figures.afloat)
const was = computed(() => props.before?.afloat ?? null)
const rating = computed(() => {
  const { working_kg, rated_kg } = props.figures.weight
  if (working_kg === null || rated_kg === null) return 'no rating known'
  const u = props.units
  return `working load ${number(working_kg, 'mass', u, 0)} · rated ${show(rated_kg, 'mass', u, 0)}`
})
const drafts = computed(() => {
  if (!a.value) return ''
  const [bow, stern] = [a.value.draft_fwd_m, a.value.draft_aft_m].map((z) =>
    number(z, 'length', props.units),
  )
  return `bow ${bow} · stern ${stern} ${unitOf('length', props.units)}`
})
const offset = computed(() => {
  const moment = a.value?.offset_moment_kg_m ?? 0
  return `off center: ${show(Math.abs(moment), 'moment', props.units)}`
})
const gm = (gm_m: number, bands: Figures['bands'] | null): string =>
  `GM ${bands ? showBand(gm_m, bands.gm_m, 'length', props.units) : show(gm_m, 'length', props.units)}`
const weigh = computed(() => props.figures.bands?.weigh_first.map((one) => one.name) ?? [])
const zones = computed(() => {
  const count: Record<Zone, number> = { hand: 0, lean: 0, twist: 0, leave: 0, ashore: 0 }
  for (const thing of props.figures.aboard) count[thing.zone] += 1
  return count
})
type Power = Figures['power']
/** What is left in the battery that lasts least; null where nothing draws. */
const charge = (power: Power): string | null =>
  power?.left_share == null
    ? null
    : `battery ${show(Math.max(0, power.left_share), 'ratio', props.units)} left`
const lost = (power: Power): string => {
  const most = Math.max(0, ...(power?.loads.map((one) => one.drop_share) ?? []))
  const lasts = power?.least_hours == null ? '' : show(power.least_hours, 'hours', props.units, 0)
  return `lasts ${lasts} · ${show(most, 'ratio', props.units, 1)} lost in wires`
}
const floor = (over_m: number, where: string) =>
  over_m >= 0
    ? `${show(over_m, 'length', props.units)} above the water`
    : `${show(-over_m, 'length', props.units)} under, ${where}`
</script>

<template>
  <section class="apart" aria-label="Figures">
    <FigureLine
      testid="weight"
      :words="show(figures.weight.carried_kg, 'mass', units)"
      :was="before ? show(before.weight.carried_kg, 'mass', units) : undefined"
      :beside="rating"
      :verdict="figures.weight.verdict"
      @how="$emit('how', 'weight')"
    />
    <WeightBar
      :weight="figures.weight"
      :band_kg="figures.bands?.carried_kg ?? null"
      :units="units"
    />

    <RouterLink
      v-if="figures.outing?.worst && figures.outing.worst.share > 0"
      to="/day"
      class="worst"
      data-testid="worst-chip"
      >worst at {{ clock(figures.outing.worst.h) }}</RouterLink
    >
    <div v-if="a" aria-live="polite">
      <FigureLine
        testid="trim"
        :words="trimWords(a.trim_deg)"
        :was="was ? trimWords(was.trim_deg) : undefined"
        :beside="drafts"
        :verdict="a.trim_verdict"
        @how="$emit('how', 'trim')"
      />
      <LevelVial
        :left-high_deg="a.trim_deg"
        :band_deg="figures.bands?.trim_deg ?? 0"
        left-name="bow"
        right-name="stern"
        :live="before !== null"
      />
      <FigureLine
        testid="list"
        :words="listWords(a.heel_deg)"
        :was="was ? listWords(was.heel_deg) : undefined"
        :beside="offset"
        :verdict="a.heel_verdict"
        @how="$emit('how', 'list')"
      />
      <LevelVial
        :left-high_deg="a.heel_deg"
        :band_deg="figures.bands?.list_deg ?? 0"
        left-name="port"
        right-name="starb."
        :live="before !== null"
      />
      <FigureLine
        testid="gm"
        :words="gm(a.gm_m, figures.bands)"
        :was="was && before ? gm(was.gm_m, before.bands) : undefined"
        beside="stability, seated"
        :verdict="a.gm_verdict"
        @how="$emit('how', 'gm')"
      />
      <RightingSketch :curve="figures.curve" :units="units" />
      <FigureLine
        v-if="charge(figures.power) !== null"
        testid="power"
        :words="charge(figures.power)!"
        :was="before ? (charge(before.power) ?? undefined) : undefined"
        :beside="lost(figures.power)"
        @how="$emit('how', 'power')"
      />
      <slot />

      <h2>
        <button type="button" class="plain" data-testid="wells" @click="$emit('how', 'wells')">
          Floors
        </button>
      </h2>
      <ul>
        <li v-for="well in a.wells" :key="well.name">
          <span>{{ well.name }}</span>
          <span class="num">{{ floor(well.floor_over_water_m, well.deepest_at) }}</span>
          <VerdictMark :verdict="well.verdict" bare />
        </li>
        <li>
          <span>least freeboard</span>
          <span class="num">{{ show(a.least_freeboard_m, 'length', units) }}</span>
          <span class="gap" />
        </li>
      </ul>
      <h2>From the seat</h2>
      <ul class="zones">
        <li v-for="(count, zone) in zones" :key="zone">
          <span>{{ ZONE_WORD[zone] }}</span>
          <span class="num">{{ count }}</span>
        </li>
      </ul>
      <template v-if="weigh.length">
        <h2>Weigh these first</h2>
        <p class="weigh">{{ weigh.join(' · ') }}</p>
      </template>
      <template v-if="figures.bands?.measure_next">
        <h2>Measure next</h2>
        <p class="weigh" data-testid="measure-next">{{ figures.bands.measure_next }}</p>
      </template>
      <p class="estimate">
        <template v-if="figures.bands?.hull === 'estimate'"
          ><b>Estimate</b> from a tape; no test afloat yet.</template
        >
        <template v-else-if="figures.bands?.hull === 'typical'"
          ><b>Typical values</b> stand in for measures of the boat: see Boat.</template
        >
        Use whichever limit is lower, the maker's or ours. Wear your life jacket (PFD); try changes
        in warm shallow water near shore, with help.
      </p>
    </div>
    <div v-else class="trouble" role="alert">
      <VerdictMark verdict="stop" />
      <p>{{ figures.trouble }}</p>
      <slot />
    </div>
  </section>
</template>

<style scoped>
.worst {
  display: inline-block;
  margin: 2px 0 4px;
  padding: 1px 8px;
  border: 1px solid var(--fix-mark);
  border-radius: 10px;
  color: var(--fix);
  font-size: 12px;
  text-decoration: none;
}
h2 {
  margin: 10px 0 3px;
}
.plain {
  padding: 0;
  border: 0;
  border-bottom: 1px dotted var(--soft);
  background: none;
  color: inherit;
  font: inherit;
  letter-spacing: inherit;
  text-transform: inherit;
  cursor: help;
}
ul {
  margin: 0;
  padding: 0;
  list-style: none;
}
li {
  display: flex;
  gap: 8px;
  align-items: center;
  padding: 1px 0;
}
li .num {
  margin-left: auto;
}
.gap {
  width: 11px;
}
.zones {
  display: grid;
  grid-template-columns: 1fr 1fr;
  column-gap: 20px;
}
.weigh {
  margin: 0;
}
.estimate {
  margin: 12px 0 0;
  padding-top: 8px;
  border-top: 1px solid var(--line);
  color: var(--soft);
  font-size: 12px;
}
.trouble {
  padding: 8px 10px;
  border-left: 4px solid var(--stop);
}
.trouble p {
  margin: 4px 0 0;
}
</style>
