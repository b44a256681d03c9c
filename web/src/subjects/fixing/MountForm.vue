<script setup lang="ts">
/** How one thing is mounted: what joins it, how many, on which base; the rest is as usual. */
import { computed } from 'vue'
import type { MountFigure, Schemas } from '@/api/client'
import { CHOICES } from '@/api/words'
import QuantityInput from '@/kit/QuantityInput.vue'
import type { Units } from '@/kit/units'
import { BOLTED, BY } from './words'
import { pick, ticked } from '@/kit/heard'
import TickBox from '@/kit/TickBox.vue'

type Mount = Schemas['Mount']
const props = defineProps<{
  mount: MountFigure
  spec: Partial<Mount> | null
  loads: Schemas['MountDetail']['loads_n']
  units: Units
}>()
const emit = defineEmits<{ change: [fields: Partial<Mount>]; forget: [] }>()

const bolted = computed(() => BOLTED.has(props.mount.by))
const plate = computed(() => props.spec?.plate ?? null)
const PLATE: Schemas['Plate'] = {
  stuff: 'aluminium',
  length_m: 0.12,
  width_m: 0.08,
  thickness_mm: 3,
}
const parts = computed(() => props.spec?.parts ?? [])
const LOADS: Record<string, string> = {
  fish: 'a fish pulls',
  snag: 'a snag pulls',
  lift: 'lifted with',
  pull: 'a line pulls',
  leash: 'a leash snatches',
  axle: 'an axle carries',
}
/** These pull only where that is said. */
const OPTIONAL = new Set(['leash', 'axle'])
const pulls = computed(() =>
  Object.entries(props.loads).map(([of, newtons]) => ({ of, newtons: newtons ?? 0 })),
)
/** What is said of it makes it one that somebody has described. */
function set(fields: Partial<Mount>): void {
  emit('change', { by: props.mount.by, ...fields })
}
function setPlate(fields: Partial<Schemas['Plate']>): void {
  set({ plate: { ...PLATE, ...plate.value, ...fields } })
}
function setLoad(of: string, newtons: number | null): void {
  set({ loads: { [of]: newtons } as Mount['loads'] })
}
function setPart(at: number, fields: Partial<Schemas['ChainPart']> | null): void {
  const rows = parts.value.map((one) => ({ ...one }))
  if (!fields) rows.splice(at, 1)
  else if (at < rows.length) rows[at] = { ...rows[at]!, ...fields }
  else rows.push({ part: 'arm', length_m: 0.05, mass_kg: 0.1, slack_deg: 0, ...fields })
  set({ parts: rows })
}
</script>

<template>
  <div class="form" data-testid="mount-form">
    <label
      >By
      <select
        :value="mount.by"
        data-testid="mount-by"
        @change="emit('change', { by: pick($event) as MountFigure['by'], bolts: null })"
      >
        <option v-for="one in CHOICES.MountFigure.by" :key="one" :value="one">{{ BY[one] }}</option>
      </select></label
    >
    <template v-if="bolted">
      <label
        >How many
        <select
          :value="String(mount.bolts.length)"
          data-testid="mount-count"
          @change="set({ count: Number(pick($event)), bolts: null })"
        >
          <option v-for="n in [1, 2, 3, 4, 6, 8]" :key="n" :value="String(n)">{{ n }}</option>
        </select></label
      >
      <label
        >Size
        <select :value="mount.size" @change="set({ size: pick($event) as MountFigure['size'] })">
          <option v-for="one in CHOICES.MountFigure.size" :key="one" :value="one">{{ one }}</option>
        </select></label
      >
    </template>
    <label
      >Base
      <select
        :value="mount.shape"
        @change="set({ shape: pick($event) as MountFigure['shape'], bolts: null })"
      >
        <option value="rect">rectangle</option>
        <option value="round">round</option>
      </select></label
    >
    <label
      >{{ mount.shape === 'round' ? 'Across' : 'Long' }}
      <QuantityInput
        :model-value="mount.length_m"
        label="Length of the base"
        kind="length"
        :units="units"
        testid="mount-length"
        @update:model-value="set({ length_m: $event, bolts: null })"
    /></label>
    <label v-if="mount.shape === 'rect'"
      >Wide
      <QuantityInput
        :model-value="mount.width_m"
        label="Width of the base"
        kind="length"
        :units="units"
        testid="mount-width"
        @update:model-value="set({ width_m: $event, bolts: null })"
    /></label>
    <label
      >Turned
      <QuantityInput
        :model-value="mount.turn_deg"
        label="Base's length from the bow toward port"
        kind="angle"
        :digits="0"
        :units="units"
        testid="mount-turn"
        @update:model-value="set({ turn_deg: $event })"
    /></label>
    <template v-if="bolted && mount.by !== 'track bolt'">
      <label
        >Sealed with
        <select
          :value="spec?.seal ?? 'polyether'"
          @change="set({ seal: pick($event) as Mount['seal'] })"
        >
          <option v-for="one in CHOICES.Mount.seal" :key="one" :value="one">{{ one }}</option>
        </select></label
      >
      <label
        >Trips on a track
        <select
          :value="String(Math.min(3, spec?.trips ?? 0))"
          data-testid="mount-trips"
          @change="set({ trips: Number(pick($event)) })"
        >
          <option v-for="n in [0, 1, 2, 3]" :key="n" :value="String(n)">
            {{ n === 3 ? '3 or more' : n }}
          </option>
        </select></label
      >
      <TickBox :on="spec?.drilled ?? false" testid="mount-drilled" @tick="set({ drilled: $event })"
        >drilled already</TickBox
      >
      <TickBox
        :on="plate !== null"
        testid="mount-plate"
        @tick="set({ plate: $event ? PLATE : null })"
        >plate behind</TickBox
      >
    </template>
    <TickBox :on="spec?.pad ?? false" @tick="emit('change', { pad: $event })"
      >rubber pad or mat</TickBox
    >
    <template v-if="plate">
      <label
        >Plate of
        <select
          :value="plate.stuff"
          @change="setPlate({ stuff: pick($event) as Schemas['Plate']['stuff'] })"
        >
          <option v-for="one in CHOICES.Plate.stuff" :key="one" :value="one">{{ one }}</option>
        </select></label
      >
      <label
        >long
        <QuantityInput
          :model-value="plate.length_m"
          label="Length of the plate"
          kind="length"
          :units="units"
          @update:model-value="setPlate({ length_m: $event })"
      /></label>
      <label
        >wide
        <QuantityInput
          :model-value="plate.width_m"
          label="Width of the plate"
          kind="length"
          :units="units"
          @update:model-value="setPlate({ width_m: $event })"
      /></label>
      <label
        >thick
        <QuantityInput
          :model-value="plate.thickness_mm / 1000"
          label="Thickness of the plate"
          kind="thin"
          :units="units"
          @update:model-value="setPlate({ thickness_mm: $event * 1000 })"
      /></label>
    </template>
    <label v-for="one in pulls" :key="one.of"
      ><span
        ><input
          v-if="OPTIONAL.has(one.of)"
          type="checkbox"
          :aria-label="LOADS[one.of]"
          :checked="one.of in (spec?.loads ?? {})"
          @change="setLoad(one.of, ticked($event) ? one.newtons : null)"
        />
        {{ LOADS[one.of] }}</span
      >
      <QuantityInput
        :model-value="one.newtons"
        :label="LOADS[one.of] ?? ''"
        kind="force"
        :units="units"
        :testid="`load-${one.of}`"
        @update:model-value="setLoad(one.of, $event)"
    /></label>
    <div v-for="(one, i) in parts" :key="i" class="chain">
      <label
        >Part {{ i + 1 }}
        <select
          :value="one.part"
          :aria-label="`Part ${i + 1}`"
          @change="setPart(i, { part: pick($event) as Schemas['ChainPart']['part'] })"
        >
          <option v-for="kind in CHOICES.ChainPart.part" :key="kind">{{ kind }}</option>
        </select></label
      >
      <label
        >long
        <QuantityInput
          :model-value="one.length_m"
          :label="`Part ${i + 1}: length`"
          kind="length"
          :units="units"
          :testid="`part-long-${i}`"
          @update:model-value="setPart(i, { length_m: $event })"
      /></label>
      <label
        >weighs
        <QuantityInput
          :model-value="one.mass_kg"
          :label="`Part ${i + 1}: weight`"
          kind="mass"
          :digits="2"
          :units="units"
          @update:model-value="setPart(i, { mass_kg: $event })"
      /></label>
      <label
        >slack
        <QuantityInput
          :model-value="one.slack_deg"
          :label="`Part ${i + 1}: slack`"
          kind="angle"
          :units="units"
          :testid="`part-slack-${i}`"
          @update:model-value="setPart(i, { slack_deg: $event })"
      /></label>
      <button
        type="button"
        class="small"
        :aria-label="`Part ${i + 1}: take it out`"
        @click="setPart(i, null)"
      >
        ×
      </button>
    </div>
    <button type="button" class="small" data-testid="part-add" @click="setPart(parts.length, {})">
      A part between base and item
    </button>
    <button v-if="!mount.usual" type="button" class="small" @click="emit('forget')">
      As is usual
    </button>
    <button v-else type="button" class="small" data-testid="mount-so" @click="set({})">
      It is so
    </button>
  </div>
</template>

<style scoped src="@/kit/cards.css"></style>
<style scoped>
.chain {
  display: flex;
  flex-wrap: wrap;
  flex-basis: 100%;
  gap: 4px 8px;
  align-items: end;
}
.form {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 10px;
  align-items: end;
}
label {
  display: grid;
  gap: 2px;
  color: var(--soft);
  font-size: 12px;
}
label.tick {
  display: flex;
  gap: 4px;
  align-items: center;
  height: 24px;
  color: var(--ink);
}
label :deep(input:not([type='checkbox'])) {
  width: 84px;
}
select {
  max-width: 150px;
}
</style>
