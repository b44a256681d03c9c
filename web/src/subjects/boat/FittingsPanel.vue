<script setup lang="ts">
/** What the boat has and where: tracks, hatches, wells, scuppers and the rest. */
import type { Boat, Fitting, FittingKind } from '@/api/client'
import { CHOICES, USUAL } from '@/api/words'
import { unitOf, type Units } from '@/kit/units'
import ChoiceGroup from '@/kit/ChoiceGroup.vue'
import FromBowInput from '@/kit/FromBowInput.vue'
import QuantityInput from '@/kit/QuantityInput.vue'

const boat = defineModel<Boat>({ required: true })
const chosen = defineModel<number | null>('chosen', { required: true })
const props = defineProps<{ units: Units; bow_x_m: number; wrong: (field: string) => string }>()

const KINDS: readonly FittingKind[] = CHOICES.Boat.fittings
const LONG: FittingKind[] = ['track', 'hatch', 'seat rail']
const TUBE_M = 0.24 // an ordinary one, until it is measured

function add(kind: FittingKind): void {
  const count = boat.value.fittings.filter((one) => one.kind === kind).length + 1
  const place = {
    ...USUAL.Handle,
    name: `${kind[0]!.toUpperCase()}${kind.slice(1)} ${count}`,
    x_m: props.bow_x_m / 2,
    y_m: 0,
    z_m: boat.value.tape.depth_m,
    length_m: LONG.includes(kind) ? 0.4 : 0,
  }
  let one: Fitting
  if (kind === 'flush tube') one = { ...USUAL.FlushTube, ...place, kind, depth_m: TUBE_M }
  else if (kind === 'hatch') one = { ...USUAL.Hatch, ...place, kind }
  else one = { ...place, kind }
  boat.value.fittings.push(one)
  chosen.value = boat.value.fittings.length - 1
}
function drop(i: number): void {
  boat.value.fittings.splice(i, 1)
  chosen.value = null
}
</script>

<template>
  <p class="soft">
    Distances from the bow, to port positive off the centerline, heights above the lowest point.
    What a tube or drive well takes out of the hull counts against its lift.
  </p>
  <h2>Wells, {{ unitOf('length', units) }}</h2>
  <div class="wells">
    <span
      v-for="word in ['', 'fore end', 'aft end', 'half breadth', 'floor', 'rim', 'scuppers']"
      :key="word"
      class="soft"
      >{{ word }}</span
    >
    <template v-for="(well, i) in boat.wells" :key="i">
      <el-input v-model="well.name" size="small" :aria-label="`Name of well ${i + 1}`" />
      <FromBowInput
        v-model="well.x_fwd_m"
        :bow_x_m="bow_x_m"
        :label="`${well.name}: forward end, from the bow`"
        :units="units"
        :wrong="wrong(`wells[${i}].x_fwd_m`)"
      />
      <FromBowInput
        v-model="well.x_aft_m"
        :bow_x_m="bow_x_m"
        :label="`${well.name}: aft end, from the bow`"
        :units="units"
        :wrong="wrong(`wells[${i}].x_aft_m`)"
      />
      <QuantityInput
        v-model="well.half_breadth_m"
        :label="`${well.name}: half breadth`"
        kind="length"
        :units="units"
        :wrong="wrong(`wells[${i}].half_breadth_m`)"
      />
      <QuantityInput
        v-model="well.floor_z_m"
        :label="`${well.name}: height of the floor`"
        kind="length"
        :units="units"
        :wrong="wrong(`wells[${i}].floor_z_m`)"
        :testid="`floor-${i}`"
      />
      <QuantityInput
        v-model="well.rim_z_m"
        :label="`${well.name}: height of the rim`"
        kind="length"
        :units="units"
        :wrong="wrong(`wells[${i}].rim_z_m`)"
      />
      <ChoiceGroup
        v-model="well.scuppers"
        :label="`${well.name}: scuppers`"
        :options="[
          ['open', 'open'],
          ['plugged', 'shut'],
        ]"
      />
    </template>
  </div>
  <h2>Fittings</h2>
  <div class="add">
    <el-button v-for="kind in KINDS" :key="kind" size="small" @click="add(kind)"
      >+ {{ kind }}</el-button
    >
  </div>
  <p v-if="boat.fittings.length === 0" class="soft">
    Nothing yet. Add what the boat came with: items can be mounted on it later.
  </p>
  <ul>
    <li v-for="(one, i) in boat.fittings" :key="i" :class="{ chosen: chosen === i }">
      <button
        type="button"
        class="name"
        :aria-expanded="chosen === i"
        @click="chosen = chosen === i ? null : i"
      >
        {{ one.name }} <span class="soft">{{ one.kind }}</span>
      </button>
      <div v-if="chosen === i" class="edit">
        <label>Name</label>
        <el-input v-model="one.name" size="small" aria-label="Name of the fitting" />
        <label>From the bow</label>
        <FromBowInput v-model="one.x_m" :bow_x_m="bow_x_m" label="From the bow" :units="units" />
        <label>To port</label>
        <QuantityInput
          v-model="one.y_m"
          label="To port of the centerline"
          kind="length"
          :units="units"
        />
        <label>Height</label>
        <QuantityInput v-model="one.z_m" label="Height" kind="length" :units="units" />
        <label>Length</label>
        <QuantityInput v-model="one.length_m" label="Length" kind="length" :units="units" />
        <template v-if="one.kind === 'hatch' || one.kind === 'recess'">
          <label>Breadth</label>
          <QuantityInput
            v-model="one.width_m"
            label="Breadth of the mouth; 0 while not measured"
            kind="length"
            :units="units"
          />
        </template>
        <template v-if="one.kind === 'hatch' || one.kind === 'flush tube'">
          <label>Depth</label>
          <QuantityInput
            v-model="one.depth_m"
            label="How deep it goes; 0 while not measured"
            kind="length"
            :units="units"
          />
        </template>
        <template v-if="one.kind === 'flush tube'">
          <label>Points to</label>
          <QuantityInput
            v-model="one.bearing_deg"
            label="Where the tube points, from the bow toward port"
            kind="angle"
            :units="units"
            :digits="0"
          />
          <label>Rises</label>
          <QuantityInput
            v-model="one.elevation_deg"
            label="How steeply the tube rises from level"
            kind="angle"
            :units="units"
            :digits="0"
          />
        </template>
        <label>Takes out</label>
        <QuantityInput
          v-model="one.lost_m3"
          label="Volume it takes out under water"
          kind="volume"
          :units="units"
          :digits="2"
        />
        <el-button size="small" @click="drop(i)">Remove</el-button>
      </div>
    </li>
  </ul>
</template>

<style scoped>
p {
  margin: 4px 0;
  font-size: 12px;
}
h2 {
  margin-top: 10px;
}
.wells {
  display: grid;
  grid-template-columns: 78px repeat(5, minmax(0, 1fr)) 92px;
  gap: 6px;
  align-items: start;
}
.wells .soft {
  font-size: 11px;
}
.wells :deep(.el-radio-button__inner) {
  padding: 5px 8px;
}
.wells :deep(.el-input__wrapper) {
  padding: 1px 6px;
}
.wells :deep(.el-input__suffix) {
  display: none;
}
.add {
  display: flex;
  flex-wrap: wrap;
  gap: 4px;
  margin-bottom: 6px;
}
.add :deep(.el-button) {
  margin: 0;
}
ul {
  margin: 0;
  padding: 0;
  list-style: none;
}
li {
  border-bottom: 1px solid var(--line);
}
li.chosen {
  background: var(--pick-pale);
}
.name {
  display: flex;
  justify-content: space-between;
  width: 100%;
  padding: 4px 6px;
  border: 0;
  background: none;
  color: var(--ink);
  font-size: 13px;
  cursor: pointer;
}
.edit {
  display: grid;
  grid-template-columns: 90px 1fr 70px 1fr;
  gap: 6px 10px;
  align-items: start;
  padding: 4px 6px 8px;
}
label {
  padding-top: 3px;
}
</style>
