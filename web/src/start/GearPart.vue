<script setup lang="ts">
/** What is taken along: ticked by the kind of trip, put where such things usually go. */
import { computed } from 'vue'
import GearPicture from '@/drawing/GearPicture.vue'
import ChoiceGroup from '@/kit/ChoiceGroup.vue'
import { counted } from '@/kit/words'
import { show } from '@/kit/units'
import { useLook } from '@/setup/look'
import type { Started } from '@/api/client'
import type { KitItem, Told, TripKind } from './useStart'

const told = defineModel<Told>({ required: true })
const props = defineProps<{
  kit: KitItem[]
  started: Started | null
  countOf: (item: KitItem) => number
}>()
const emit = defineEmits<{ count: [item: KitItem, count: number]; none: [] }>()
const look = useLook()

const TRIPS: (readonly [TripKind, string])[] = [
  ['pond', 'Small lake, near shore'],
  ['lake', 'Big lake, all day'],
  ['sea', 'Inshore sea'],
  ['river', 'Slow river'],
]
const GROUPS = [
  ['You and safety', ['clothes', 'safety', 'paddle', 'drive', 'seat']],
  ['Fishing', ['rod', 'holder', 'tackle', 'storage', 'fish', 'bait']],
  ['Electrics, anchor and the rest', ['electronics', 'power', 'anchor', 'other', 'cart']],
] as const
const groups = computed(() =>
  GROUPS.map(([name, kinds]) => ({
    name,
    items: props.kit.filter((item) => (kinds as readonly string[]).includes(item.thing.kind)),
  })),
)
const MOST = 6
/** What many bring more than one of. */
const several = ({ thing }: KitItem): boolean =>
  Boolean(thing.rod || thing.holder || (thing.container && !thing.worn))
const ashore = computed(() => {
  const setup = props.started?.setup
  if (!setup) return []
  return Object.entries(setup.things).flatMap(([id, thing]) =>
    setup.places[id] ? [] : [thing.name],
  )
})
const aboard = computed(() => Object.keys(props.started?.setup.places ?? {}).length)
</script>

<template>
  <div>
    <ChoiceGroup v-model="told.trip" label="Kind of trip" :options="TRIPS" />
    <p class="soft">
      <button type="button" class="link" data-testid="bring-none" @click="emit('none')">
        Tick none
      </button>
      Ticked is what most take. Weights are guesses until you weigh them; everything can be changed
      later.
    </p>
    <fieldset v-for="group in groups" :key="group.name">
      <legend>{{ group.name }}</legend>
      <ul>
        <li v-for="item in group.items" :key="item.thing.name">
          <el-checkbox
            size="small"
            :model-value="countOf(item) > 0"
            :data-testid="`bring-${item.thing.name}`"
            @update:model-value="emit('count', item, $event ? 1 : 0)"
          >
            <GearPicture :thing="item.thing" />
            {{ item.thing.name }}
          </el-checkbox>
          <span v-if="several(item) && countOf(item) > 0" class="several">
            <button
              type="button"
              :aria-label="`One ${item.thing.name} less`"
              @click="emit('count', item, countOf(item) - 1)"
            >
              −
            </button>
            <span class="num">{{ countOf(item) }}</span>
            <button
              type="button"
              :aria-label="`One ${item.thing.name} more`"
              :disabled="countOf(item) >= MOST"
              @click="emit('count', item, countOf(item) + 1)"
            >
              +
            </button>
          </span>
          <span class="num soft">{{ show(item.thing.mass_kg, 'mass', look.units) }}</span>
        </li>
      </ul>
    </fieldset>
    <p class="soft" aria-live="polite" data-testid="stowed">
      {{ counted(aboard) }} aboard, where such things usually go.
      <template v-if="ashore.length"
        >No room found for {{ ashore.join(', ') }}: still ashore.</template
      >
    </p>
  </div>
</template>

<style scoped>
fieldset {
  margin: 0 0 8px;
  padding: 0;
  border: 0;
}
legend {
  padding: 0;
  color: var(--soft);
  font-size: 12px;
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
  min-height: 25px;
}
li .soft {
  margin-left: auto;
}
.soft {
  color: var(--soft);
}
p.soft {
  margin: 6px 0 8px;
}
:deep(.el-checkbox__label) {
  display: flex;
  gap: 8px;
  align-items: center;
  color: var(--ink);
}
:deep(.el-checkbox) {
  height: 24px;
}
.link {
  float: right;
  padding: 0;
  border: 0;
  background: none;
  color: var(--pick);
  font: inherit;
  text-decoration: underline;
  cursor: pointer;
}
.several {
  display: flex;
  gap: 5px;
  align-items: center;
}
.several button {
  width: 20px;
  height: 20px;
  padding: 0;
  border: 1px solid var(--line);
  border-radius: 4px;
  background: var(--card);
  color: var(--ink);
  line-height: 1;
  cursor: pointer;
}
</style>
