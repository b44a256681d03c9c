<script setup lang="ts">
/** A thing by number: name, weight and where the weight comes from, shape and size. */
import { computed, reactive, watch } from 'vue'
import type { Problem, Thing } from '@/api/client'
import type { Units } from '@/edge/units'
import ChoiceGroup from './ChoiceGroup.vue'
import QuantityInput from './QuantityInput.vue'

const props = defineProps<{ thing: Thing | null; units: Units; refused: Problem | null }>()
const open = defineModel<boolean>({ required: true })
const emit = defineEmits<{ save: [thing: Thing]; strike: [] }>()

const BLANK: Thing = {
  name: '',
  shape: 'box',
  mass_kg: 1,
  evidence: 'guess',
  length_m: 0.3,
  width_m: 0.2,
  height_m: 0.15,
  sloshes: false,
}
const draft = reactive<Thing>({ ...BLANK })
watch(open, (now) => now && Object.assign(draft, props.thing ?? BLANK), { immediate: true })

const wrong = (field: string) =>
  props.refused?.fields.find((one) => one.field === `thing.${field}`)?.why ?? ''
const other = computed(() =>
  props.refused && props.refused.fields.every((one) => !one.field.startsWith('thing.'))
    ? props.refused.detail
    : '',
)
</script>

<template>
  <el-dialog v-model="open" :title="thing ? thing.name : 'Add a thing'" width="420" align-center>
    <form class="form" @submit.prevent="emit('save', { ...draft })">
      <label for="thing-name">Name</label>
      <div>
        <el-input id="thing-name" v-model="draft.name" size="small" maxlength="80" />
        <p v-if="wrong('name')" class="why" role="alert">{{ wrong('name') }}</p>
      </div>
      <label>Weight</label>
      <QuantityInput
        v-model="draft.mass_kg"
        label="Weight"
        kind="mass"
        :digits="2"
        :units="units"
        :wrong="wrong('mass_kg')"
        testid="thing-mass"
      />
      <span>It was</span>
      <ChoiceGroup
        v-model="draft.evidence"
        label="Where the weight comes from"
        :options="[
          ['weighed', 'weighed'],
          ['label', 'on a label'],
          ['guess', 'guessed'],
        ]"
      />
      <span>Shape</span>
      <ChoiceGroup
        v-model="draft.shape"
        label="Shape"
        :options="[
          ['box', 'box or bag'],
          ['rod', 'rod or pole'],
        ]"
      />
      <label>Length</label>
      <QuantityInput
        v-model="draft.length_m"
        label="Length"
        kind="length"
        :units="units"
        :wrong="wrong('length_m')"
      />
      <label>Width</label>
      <QuantityInput
        v-model="draft.width_m"
        label="Width"
        kind="length"
        :units="units"
        :wrong="wrong('width_m')"
      />
      <label>Height</label>
      <QuantityInput
        v-model="draft.height_m"
        label="Height"
        kind="length"
        :units="units"
        :wrong="wrong('height_m')"
      />
      <span>Inside</span>
      <el-checkbox
        :model-value="draft.sloshes"
        size="small"
        @update:model-value="draft.sloshes = Boolean($event)"
        >a liquid that can run</el-checkbox
      >
      <p v-if="other" class="why wide" role="alert">{{ other }}</p>
      <div class="acts">
        <el-button v-if="thing" size="small" @click="emit('strike')">Strike off</el-button>
        <span class="push" />
        <el-button size="small" @click="open = false">Cancel</el-button>
        <el-button size="small" type="primary" native-type="submit" data-testid="save-thing">
          {{ thing ? 'Save' : 'Add to the shelf' }}
        </el-button>
      </div>
    </form>
  </el-dialog>
</template>

<style scoped>
.form {
  display: grid;
  grid-template-columns: 70px 1fr;
  gap: 8px 10px;
  align-items: start;
}
label,
.form > span {
  padding-top: 3px;
  color: var(--soft);
}
.why {
  margin: 2px 0 0;
  color: var(--stop);
  font-size: 12px;
}
.wide,
.acts {
  grid-column: 1 / -1;
}
.acts {
  display: flex;
  margin-top: 8px;
}
.push {
  flex: 1;
}
</style>
