<script setup lang="ts">
/** The hull by regions: how thick, how far free; typical until it is measured or pressed. */
import { ref } from 'vue'
import type { Schemas } from '@/api/client'
import { CHOICES } from '@/api/words'
import QuantityInput from '@/kit/QuantityInput.vue'
import { show, type Units } from '@/kit/units'
import { MATERIAL, REGION } from './words'
import { pick } from '@/kit/heard'

type Plan = Schemas['FixingPlan']
type Wall = Schemas['Wall']
const props = defineProps<{ plan: Plan; walls: readonly Schemas['WallFigure'][]; units: Units }>()
const emit = defineEmits<{
  plan: [fields: Partial<Plan>]
  wall: [region: string, fields: Partial<Wall> | null]
}>()

const pressing = ref<string | null>(null)
const PRESS: Schemas['PressTest'] = { pull_n: 50, arm_m: 0.2, base_m: 0.08, tilt_deg: 1 }
const pressed = (region: string) => props.plan.walls[region]?.pressed ?? null
function press(region: string, fields: Partial<Schemas['PressTest']>): void {
  emit('wall', region, { pressed: { ...PRESS, ...pressed(region), ...fields } })
}
</script>

<template>
  <section aria-label="Walls">
    <h2>Walls</h2>
    <p class="fields">
      <label
        >Hull of
        <select
          :value="plan.material"
          data-testid="wall-material"
          @change="emit('plan', { material: pick($event) as Plan['material'] })"
        >
          <option v-for="one in CHOICES.FixingPlan.material" :key="one" :value="one">
            {{ MATERIAL[one] }}
          </option>
        </select></label
      >
      <label
        >Deck gets to
        <QuantityInput
          :model-value="plan.deck_c"
          label="How hot the deck gets"
          kind="warmth"
          :units="units"
          testid="deck-warmth"
          @update:model-value="emit('plan', { deck_c: $event })"
      /></label>
    </p>
    <table>
      <thead>
        <tr>
          <th>Region</th>
          <th>thick</th>
          <th>core in it</th>
          <th>free round a mount</th>
          <th>known by</th>
          <th class="num">mounts</th>
          <th />
        </tr>
      </thead>
      <tbody>
        <template v-for="one in walls" :key="one.region">
          <tr :class="{ guessed: one.thickness_usual && !one.measured }">
            <th scope="row">{{ REGION[one.region] }}</th>
            <td>
              <QuantityInput
                :model-value="one.thickness_mm / 1000"
                :label="`${REGION[one.region]}: thickness`"
                kind="thin"
                :units="units"
                @update:model-value="emit('wall', one.region, { thickness_mm: $event * 1000 })"
              />
            </td>
            <td>
              <QuantityInput
                :model-value="one.core_mm / 1000"
                :label="`${REGION[one.region]}: core`"
                kind="thin"
                :units="units"
                @update:model-value="emit('wall', one.region, { core_mm: $event * 1000 })"
              />
            </td>
            <td>
              <QuantityInput
                :model-value="one.radius_m"
                :label="`${REGION[one.region]}: free radius`"
                kind="length"
                :units="units"
                @update:model-value="emit('wall', one.region, { radius_m: $event })"
              />
            </td>
            <td>{{ one.measured ? 'pressed' : one.thickness_usual ? 'usual' : 'you' }}</td>
            <td class="num">{{ one.mounts }}</td>
            <td>
              <button
                type="button"
                class="small"
                :aria-expanded="pressing === one.region"
                @click="pressing = pressing === one.region ? null : one.region"
              >
                Press test
              </button>
            </td>
          </tr>
          <tr v-if="pressing === one.region">
            <td colspan="7">
              <p class="fields">
                <label
                  >Pulled sideways with
                  <QuantityInput
                    :model-value="pressed(one.region)?.pull_n ?? 50"
                    label="Pull"
                    kind="force"
                    :units="units"
                    @update:model-value="press(one.region, { pull_n: $event })"
                /></label>
                <label
                  >at a height of
                  <QuantityInput
                    :model-value="pressed(one.region)?.arm_m ?? 0.2"
                    label="Height of the pull"
                    kind="length"
                    :units="units"
                    @update:model-value="press(one.region, { arm_m: $event })"
                /></label>
                <label
                  >on a base of
                  <QuantityInput
                    :model-value="pressed(one.region)?.base_m ?? 0.08"
                    label="Side of the base"
                    kind="length"
                    :units="units"
                    @update:model-value="press(one.region, { base_m: $event })"
                /></label>
                <label
                  >it tilts
                  <QuantityInput
                    :model-value="pressed(one.region)?.tilt_deg ?? 1"
                    label="Tilt read off a phone"
                    kind="angle"
                    :units="units"
                    :testid="`press-${one.region}`"
                    @update:model-value="press(one.region, { tilt_deg: $event })"
                /></label>
                <button
                  v-if="pressed(one.region)"
                  type="button"
                  class="small"
                  @click="emit('wall', one.region, { pressed: null })"
                >
                  Forget it
                </button>
              </p>
              <p class="soft">
                A luggage scale, a stick on a base that is taped down, and a phone flat on it. It
                sets how far the wall is free: {{ show(one.radius_m, 'length', units) }} now.
              </p>
            </td>
          </tr>
        </template>
      </tbody>
    </table>
  </section>
</template>

<style scoped src="./tables.css"></style>
<style scoped>
.fields {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 12px;
  margin: 4px 0 8px;
}
label {
  display: grid;
  gap: 2px;
  color: var(--soft);
  font-size: 12px;
}
td :deep(input),
label :deep(input) {
  width: 78px;
}
td p.soft {
  margin: 0 0 6px;
  white-space: normal;
}
</style>
