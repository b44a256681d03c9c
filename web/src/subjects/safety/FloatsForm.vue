<script setup lang="ts">
/** What floats the hull when it is full, its drain, and what helps you back in. */
import type { SafetyPlan } from '@/api/client'
import { CHOICES } from '@/api/words'
import FromBowInput from '@/kit/FromBowInput.vue'
import { pick } from '@/kit/heard'
import QuantityInput from '@/kit/QuantityInput.vue'
import type { Units } from '@/kit/units'
import type { SafetyChange } from '@/setup/changing'
import TickBox from '@/kit/TickBox.vue'

const props = defineProps<{
  plan: SafetyPlan
  bow_x_m: number
  units: Units
}>()
const emit = defineEmits<{ take: [SafetyChange]; how: [] }>()

type Foam = NonNullable<SafetyPlan['flotation']>[number]
type Dry = SafetyPlan['dry'][number]
type Plug = NonNullable<SafetyPlan['plug']>
/** As usual: an arm's length of foam behind the bow, on the bottom. */
const block = (): Foam => ({
  kind: 'foam',
  aft_x_m: Math.max(0, props.bow_x_m - 1),
  fwd_x_m: Math.max(0.1, props.bow_x_m - 0.4),
  y_m: 0,
  width_m: 0.25,
  bottom_z_m: 0.06,
  height_m: 0.15,
})
const foams = (rows: Foam[]) => emit('take', { flotation: rows })
const changed = <T,>(rows: readonly T[], n: number, fields: Partial<T>) =>
  rows.map((row, i) => (i === n ? { ...row, ...fields } : row))
const without = <T,>(rows: readonly T[], n: number) => rows.filter((_, i) => i !== n)
const foam = (n: number, fields: Partial<Foam>) =>
  foams(changed(props.plan.flotation ?? [], n, fields))
const dry = (n: number, fields: Partial<Dry>) =>
  emit('take', { dry: changed(props.plan.dry, n, fields) })
const plug = (fields: Partial<Plug>) => emit('take', { plug: { ...props.plan.plug!, ...fields } })
const bare: Plug = { x_m: null, z_m: null, diameter_mm: 25, spare: false }
</script>

<template>
  <div class="card pad">
    <h2>
      <button type="button" title="How was this computed?" @click="emit('how')">
        What floats it when full
      </button>
    </h2>
    <div class="fields">
      <label
        >Hull of
        <select
          :value="plan.hull_material"
          data-testid="hull-material"
          @change="emit('take', { hull_material: pick($event) as SafetyPlan['hull_material'] })"
        >
          <option v-for="one in CHOICES.SafetyPlan.hull_material" :key="one">{{ one }}</option>
        </select></label
      >
    </div>
    <p v-if="plan.flotation == null" class="soft">
      You have not said what floats it. Look inside with a lamp.
      <button type="button" class="small" data-testid="no-foam" @click="foams([])">
        Nothing in there
      </button>
    </p>
    <fieldset v-for="(one, n) in plan.flotation ?? []" :key="n">
      <legend>
        <select
          :value="one.kind"
          :aria-label="`What number ${n + 1} is`"
          @change="foam(n, { kind: pick($event) as Foam['kind'] })"
        >
          <option v-for="kind in CHOICES.Flotation.kind" :key="kind">{{ kind }}</option>
        </select>
        <button type="button" class="small" @click="foams(without(plan.flotation!, n))">
          take out
        </button>
      </legend>
      <label
        >From the bow
        <FromBowInput
          :model-value="one.fwd_x_m"
          :bow_x_m="bow_x_m"
          :units="units"
          :label="`Front end of ${one.kind} ${n + 1}, from the bow`"
          @update:model-value="foam(n, { fwd_x_m: $event })"
      /></label>
      <label
        >to
        <FromBowInput
          :model-value="one.aft_x_m"
          :bow_x_m="bow_x_m"
          :units="units"
          :label="`Back end of ${one.kind} ${n + 1}, from the bow`"
          @update:model-value="foam(n, { aft_x_m: $event })"
      /></label>
      <label
        >wide
        <QuantityInput
          :model-value="one.width_m"
          :label="`Width of ${one.kind} ${n + 1}`"
          kind="length"
          :units="units"
          @update:model-value="foam(n, { width_m: $event })"
      /></label>
      <label
        >high
        <QuantityInput
          :model-value="one.height_m"
          :label="`Height of ${one.kind} ${n + 1}`"
          kind="length"
          :units="units"
          :testid="`foam-high-${n}`"
          @update:model-value="foam(n, { height_m: $event })"
      /></label>
      <label
        >to port
        <QuantityInput
          :model-value="one.y_m"
          :label="`Middle of ${one.kind} ${n + 1}, to port`"
          kind="length"
          :units="units"
          @update:model-value="foam(n, { y_m: $event })"
      /></label>
    </fieldset>
    <p>
      <button
        type="button"
        class="small"
        data-testid="add-foam"
        @click="foams([...(plan.flotation ?? []), block()])"
      >
        Add foam or a bag
      </button>
      <button
        type="button"
        class="small"
        @click="
          emit('take', { dry: [...plan.dry, { aft_x_m: 0, fwd_x_m: Math.min(0.6, bow_x_m) }] })
        "
      >
        Add a bulkhead's dry end
      </button>
    </p>
    <fieldset v-for="(one, n) in plan.dry" :key="`dry ${n}`">
      <legend>
        dry part
        <button type="button" class="small" @click="emit('take', { dry: without(plan.dry, n) })">
          take out
        </button>
      </legend>
      <label
        >From the bow
        <FromBowInput
          :model-value="one.fwd_x_m"
          :bow_x_m="bow_x_m"
          :units="units"
          :label="`Front end of dry part ${n + 1}, from the bow`"
          @update:model-value="dry(n, { fwd_x_m: $event })"
      /></label>
      <label
        >to
        <FromBowInput
          :model-value="one.aft_x_m"
          :bow_x_m="bow_x_m"
          :units="units"
          :label="`Back end of dry part ${n + 1}, from the bow`"
          @update:model-value="dry(n, { aft_x_m: $event })"
      /></label>
    </fieldset>
    <div class="fields">
      <TickBox
        :on="plan.plug != null"
        testid="has-plug"
        @tick="emit('take', { plug: $event ? bare : null })"
        >Drain plug</TickBox
      >
      <TickBox
        v-if="plan.plug"
        :on="plan.plug.spare"
        testid="spare-plug"
        @tick="plug({ spare: $event })"
        >a spare one aboard</TickBox
      >
      <TickBox :on="plan.stirrup" @tick="emit('take', { stirrup: $event })">stirrup ready</TickBox>
      <TickBox :on="plan.assist_rope" @tick="emit('take', { assist_rope: $event })"
        >rope across</TickBox
      >
    </div>
  </div>
</template>

<style scoped src="@/kit/cards.css"></style>
<style scoped>
fieldset {
  display: flex;
  flex-wrap: wrap;
  gap: 3px 8px;
  margin: 6px 0 0;
  padding: 2px 8px 6px;
  border: 1px solid var(--line);
  border-radius: 6px;
}
fieldset label {
  display: flex;
  gap: 4px;
  align-items: center;
  font-size: 12px;
}
fieldset :deep(.el-input) {
  width: 74px;
}
.pad p {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  margin: 6px 0 0;
}
legend button {
  margin-left: 4px;
}
</style>
