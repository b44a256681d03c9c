<script setup lang="ts">
/** How others see the boat: its light by night, its flag by day; nothing here says that they do. */
import { computed } from 'vue'
import type { Drawing, SafetyPlan, Schemas } from '@/api/client'
import SliderInput from '@/kit/SliderInput.vue'
import { show, type Units } from '@/kit/units'
import type { SafetyChange } from '@/setup/changing'
import LightRing from './LightRing.vue'

type Lamp = Schemas['LampFigure']
const props = defineProps<{
  seen: Schemas['SeenFigures'] | null
  plan: SafetyPlan
  drawing: Drawing
  units: Units
  size: number
  nameOf: (id: number | null) => string
}>()
const emit = defineEmits<{ try: [SafetyChange]; take: [SafetyChange]; how: [] }>()

const lamp = computed(() => props.seen?.lamps[0] ?? null)
const flag = computed(() => props.seen?.flag ?? null)
const named = (one: Lamp['blocked'][number]) =>
  one.thing_id == null ? `your ${one.what}` : props.nameOf(one.thing_id)
const length = (m: number) => show(m, 'length', props.units, 0)
</script>

<template>
  <div class="seen">
    <p v-if="!lamp && !flag" class="soft">
      No lamp and no flag is aboard. Say in Gear what shows a light or a flag.
    </p>
    <LightRing v-if="lamp" :drawing="drawing" :lamp="lamp" :size="size" :named="named" />
    <div class="told">
      <template v-if="lamp">
        <p>
          <b data-testid="blocked">{{ show(lamp.blocked_deg, 'angle', units, 0) }}</b> of
          {{ show(lamp.sector_deg, 'angle', units, 0) }} blocked; made out
          <b>{{ show(lamp.range_m, 'far', units) }}</b> away
        </p>
        <dl>
          <dt>Lamp</dt>
          <dd>{{ nameOf(lamp.thing_id) }}, {{ length(lamp.over_m) }} above the water</dd>
          <dt>Clears your head from</dt>
          <dd>{{ length(lamp.clear_at_m) }} up</dd>
          <dt>Seen to here</dt>
          <dd>{{ show(lamp.warning_s, 'seconds', units) }}</dd>
          <dt>Leans at worst</dt>
          <dd>
            {{ show(lamp.dip_deg, 'angle', units, 0) }}, shines to
            {{ show(lamp.vertical_deg, 'angle', units, 0) }}
          </dd>
        </dl>
        <button type="button" class="small" @click="emit('how')">How was this computed?</button>
      </template>
      <dl v-if="flag">
        <dt>Flag</dt>
        <dd>
          {{ length(flag.over_seat_m) }} above the seat; made out at
          {{ show(flag.made_out_m, 'far', units) }}, and over
          {{ length(flag.shows_over_swell_m) }} of swell
        </dd>
      </dl>
      <SliderInput
        :model-value="plan.boats_m_s"
        label="Other boats go at"
        :min="0"
        :max="20"
        :step="0.5"
        :told="show(plan.boats_m_s, 'speed', units)"
        testid="boats"
        @try="emit('try', { boats_m_s: $event })"
        @take="emit('take', { boats_m_s: $event })"
      />
      <SliderInput
        :model-value="plan.swell_m"
        label="Swell"
        :min="0"
        :max="3"
        :step="0.1"
        :told="length(plan.swell_m)"
        testid="swell"
        @try="emit('try', { swell_m: $event })"
        @take="emit('take', { swell_m: $event })"
      />
      <p class="soft">
        Rules of navigation and local law say which lights you show: ask them first. Nothing here
        says that you are seen.
      </p>
    </div>
  </div>
</template>

<style scoped src="@/kit/cards.css"></style>
<style scoped>
.seen {
  display: flex;
  flex-wrap: wrap;
  gap: 14px;
}
.told {
  flex: 1;
  min-width: 240px;
}
.told p {
  margin: 0 0 6px;
}
</style>
