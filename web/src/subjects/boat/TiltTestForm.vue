<script setup lang="ts">
/** Tilt test: a weight moved sideways, angles read by hand or from the box. */
import { computed, ref } from 'vue'
import type { Calibration, CalibrationReport } from '@/api/client'
import FitPlot from './FitPlot.vue'
import { number, show, showBand, unitOf, type Units } from '@/kit/units'
import InstrumentReading from '@/kit/InstrumentReading.vue'
import { loadOf, type Aboard } from '@/setup/measures'
import QuantityInput from '@/kit/QuantityInput.vue'
import TestFrame from './TestFrame.vue'
import TestLoad from './TestLoad.vue'

const test = defineModel<Calibration['tilt_test']>({ required: true })
const props = defineProps<{
  units: Units
  bow_x_m: number
  aboard: Aboard
  fit: CalibrationReport['tilt_test'] | null
  trouble: string
}>()

/** Without what a fit finds: a null sent along would be laid over what the server then found. */
function start(): void {
  test.value = {
    used: false,
    ...loadOf(props.aboard),
    readings: [],
  }
}
// A weight's next place, typed before the reading that goes with it is taken.
const mass_kg = ref(10)
const offset_m = ref(0.3)
const heel_deg = ref(0)

function take(): void {
  test.value?.readings.push({
    mass_kg: mass_kg.value,
    offset_m: offset_m.value,
    heel_deg: Math.round(heel_deg.value * 100) / 100,
  })
}
const dots = computed(() =>
  (props.fit?.points ?? []).map((one) => ({
    x: Number(number(one.moment_kg_m, 'moment', props.units, 2)),
    y: one.heel_deg,
  })),
)
const line = computed(() => {
  const points = props.fit?.points ?? []
  const fitted = points
    .map((one, i) => ({ x: dots.value[i]!.x, y: one.heel_deg - one.residual_deg }))
    .sort((a, b) => a.x - b.x)
  return [{ name: 'fitted', dashed: false, points: fitted }]
})
const gm = computed(() => {
  const fit = props.fit
  if (!fit) return ''
  return showBand(fit.gm_m, fit.gm_off_m, 'length', props.units)
})
</script>

<template>
  <TestFrame
    title="Tilt test"
    lead="Set a weighed jug left and right of the middle, measure how far, and read the angle of the
      deck. Three readings or more, both sides. It gives GM, and from it the hull's own height of
      weight."
    :made="test !== null"
    :used="test?.used ?? false"
    testid="tilt"
    @update:used="test && (test.used = $event)"
    @start="start"
    @forget="test = null"
  >
    <template v-if="test">
      <TestLoad v-model="test" :units="units" :bow_x_m="bow_x_m" testid="tilt" />
      <div class="next">
        <label>Weight</label>
        <QuantityInput
          v-model="mass_kg"
          label="Weight moved"
          kind="mass"
          :units="units"
          testid="tilt-mass"
        />
        <label>To starboard</label>
        <QuantityInput
          v-model="offset_m"
          label="Off the middle, starboard positive"
          kind="length"
          :units="units"
          testid="tilt-offset"
        />
        <label>Angle</label>
        <QuantityInput
          v-model="heel_deg"
          label="Angle read, starboard down positive"
          kind="angle"
          :units="units"
          testid="tilt-angle"
        />
        <el-button size="small" data-testid="tilt-add" @click="take">Add reading</el-button>
      </div>
      <InstrumentReading
        :moment_kg_m="mass_kg * offset_m"
        @heel="
          (read) => {
            heel_deg = read
            take()
          }
        "
      />
      <table v-if="test.readings.length">
        <thead>
          <tr>
            <th>weight</th>
            <th>to starboard</th>
            <th>angle</th>
            <th>off the line</th>
            <th />
          </tr>
        </thead>
        <tbody data-testid="tilt-readings">
          <tr v-for="(one, i) in test.readings" :key="i">
            <td class="num">{{ show(one.mass_kg, 'mass', units) }}</td>
            <td class="num">{{ show(one.offset_m, 'length', units) }}</td>
            <td class="num">{{ show(one.heel_deg, 'angle', units, 2) }}</td>
            <td class="num">
              {{ fit?.points[i] ? show(fit.points[i]!.residual_deg, 'angle', units, 2) : '' }}
            </td>
            <td>
              <button
                type="button"
                :aria-label="`Remove reading ${i + 1}`"
                @click="test.readings.splice(i, 1)"
              >
                ×
              </button>
            </td>
          </tr>
        </tbody>
      </table>
      <p v-if="trouble" class="fix" role="alert" data-testid="tilt-trouble">{{ trouble }}</p>
      <template v-if="fit">
        <p data-testid="tilt-fit">
          GM {{ gm }} at {{ show(fit.displacement_kg, 'mass', units) }} with all aboard.
          <template v-if="fit.hull_vcg_m !== null"
            >The hull's own weight acts {{ show(fit.hull_vcg_m, 'length', units) }} above the
            bottom.</template
          >
        </p>
        <p v-if="fit.mismatch" class="fix" role="alert">{{ fit.mismatch }}</p>
        <FitPlot
          :series="line"
          :dots="dots"
          :x-name="`moment, ${unitOf('moment', units)}`"
          y-name="angle, °"
          label="Angle against moment, with the fitted line"
        />
      </template>
    </template>
  </TestFrame>
</template>

<style scoped>
.next {
  display: grid;
  grid-template-columns: 84px 1fr 84px 1fr;
  gap: 6px 10px;
  align-items: start;
  margin-top: 8px;
}
label {
  padding-top: 3px;
}
table {
  width: 100%;
  margin-top: 6px;
  border-collapse: collapse;
}
th {
  color: var(--soft);
  font-size: 12px;
  font-weight: 400;
  text-align: right;
}
td {
  border-top: 1px solid var(--line);
  text-align: right;
}
td button {
  border: 0;
  background: none;
  color: var(--soft);
  cursor: pointer;
}
p {
  margin: 8px 0 2px;
}
</style>
