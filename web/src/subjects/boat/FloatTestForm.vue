<script setup lang="ts">
/** Float test: known weight aboard, how high the gunwale stands at two or three places. */
import type { Calibration, CalibrationReport } from '@/api/client'
import FitPlot from './FitPlot.vue'
import { number, show, unitOf, type Units } from '@/kit/units'
import { computed } from 'vue'
import { loadOf, type Aboard } from '@/setup/measures'
import FromBowInput from '@/kit/FromBowInput.vue'
import QuantityInput from '@/kit/QuantityInput.vue'
import TestFrame from './TestFrame.vue'
import TestLoad from './TestLoad.vue'

const test = defineModel<Calibration['float_test']>({ required: true })
const props = defineProps<{
  units: Units
  bow_x_m: number
  aboard: Aboard
  fit: CalibrationReport['float_test'] | null
  trouble: string
}>()

/** Without what a fit finds: a null sent along would be laid over what the server then found. */
function start(): void {
  test.value = {
    used: false,
    ...loadOf(props.aboard),
    marks: [0.15, 0.5, 0.85].map((share) => ({
      x_m: Math.round(props.bow_x_m * share * 100) / 100,
      freeboard_m: 0.25,
    })),
    low_down: true,
  }
}
const percent = (share: number) =>
  `${Math.abs(100 * share).toFixed(0)} % ${share >= 0 ? 'fuller' : 'finer'}`
const series = computed(() => {
  const marks = props.fit?.marks ?? []
  const at = (key: 'measured_m' | 'before_m' | 'after_m') =>
    marks.map((mark) => ({
      x: Number(number(props.bow_x_m - mark.x_m, 'length', props.units, 0)),
      y: Number(number(mark[key], 'length', props.units, 2)),
    }))
  return [
    { name: 'from the tape', dashed: true, points: at('before_m') },
    { name: 'fitted', dashed: false, points: at('after_m') },
  ]
})
const dots = computed(() =>
  (props.fit?.marks ?? []).map((mark) => ({
    x: Number(number(props.bow_x_m - mark.x_m, 'length', props.units, 0)),
    y: Number(number(mark.measured_m, 'length', props.units, 2)),
  })),
)
</script>

<template>
  <TestFrame
    title="Float test"
    lead="Load the boat with weighed jugs or yourself, let it lie still, and measure from the gunwale
      down to the water at each mark, both sides; type the mean. It makes the sections fuller or
      finer until they float as the boat does."
    :made="test !== null"
    :used="test?.used ?? false"
    testid="float"
    @update:used="test && (test.used = $event)"
    @start="start"
    @forget="test = null"
  >
    <template v-if="test">
      <TestLoad v-model="test" :units="units" :bow_x_m="bow_x_m" testid="float" />
      <div class="marks">
        <span class="soft">from the bow</span><span class="soft">freeboard</span><span />
        <template v-for="(mark, i) in test.marks" :key="i">
          <FromBowInput
            v-model="mark.x_m"
            :bow_x_m="bow_x_m"
            :label="`Mark ${i + 1}: from the bow`"
            :units="units"
          />
          <QuantityInput
            v-model="mark.freeboard_m"
            :label="`Mark ${i + 1}: freeboard`"
            kind="length"
            :units="units"
            :testid="`mark-${i}`"
          />
          <el-button
            size="small"
            :disabled="test.marks.length < 3"
            v-bind="{ 'aria-label': `Remove mark ${i + 1}` }"
            @click="test.marks.splice(i, 1)"
            >×</el-button
          >
        </template>
        <el-button
          size="small"
          :disabled="test.marks.length > 5"
          @click="test.marks.push({ ...test.marks.at(-1)! })"
          >Add a mark</el-button
        >
      </div>
      <p v-if="trouble" class="fix" role="alert" data-testid="float-trouble">{{ trouble }}</p>
      <template v-if="fit">
        <p data-testid="float-fit">
          {{ percent(fit.fullness_fore) }} forward, {{ percent(fit.fullness_aft) }} aft. The marks
          were off by {{ show(fit.rms_before_m, 'length', units) }}, now by
          {{ show(fit.rms_after_m, 'length', units) }}.
        </p>
        <FitPlot
          :series="series"
          :dots="dots"
          :x-name="`from the bow, ${unitOf('length', units)}`"
          :y-name="`freeboard, ${unitOf('length', units)}`"
          label="Freeboard at the marks, measured and modelled"
        />
      </template>
    </template>
  </TestFrame>
</template>

<style scoped>
.marks {
  display: grid;
  grid-template-columns: 130px 130px auto;
  gap: 5px 10px;
  justify-content: start;
  margin-top: 8px;
}
.marks :deep(.el-button + .el-button) {
  margin-left: 0;
}
.marks .soft {
  font-size: 12px;
}
p {
  margin: 8px 0 2px;
}
</style>
