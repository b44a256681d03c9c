<script setup lang="ts">
/** What is used, melts, grows and fills through the day, each in the thing that holds it. */
import { computed, reactive } from 'vue'
import type { DayPlan, Schemas, Thing } from '@/api/client'
import { CHOICES, USUAL } from '@/api/words'
import CellInput from '@/kit/CellInput.vue'
import { clock, hourOf } from '@/kit/clock'
import { pick } from '@/kit/heard'
import QuantityInput from '@/kit/QuantityInput.vue'
import type { Units } from '@/kit/units'
import type { DayChange } from '@/setup/changing'
import TickBox from '@/kit/TickBox.vue'

type Store = DayPlan['stores'][string]
type Kind = Store['kind']
const props = defineProps<{
  plan: DayPlan
  gone: Schemas['GoneFigure'][]
  things: Record<string, Thing>
  aboard: number[]
  units: Units
}>()
const emit = defineEmits<{ take: [fields: DayChange] }>()
const WORDS: Record<Kind, string> = {
  used: 'Food or drink',
  ice: 'Ice',
  catch: 'Catch',
  tank: 'Tank',
  cockpit: 'Water in the cockpit',
  wet: 'Wet clothes',
}
const nameOf = (id: number) => props.things[String(id)]?.name ?? ''
/** One that is being deleted stands there as nothing until that is kept. */
const rows = computed(() => Object.entries(props.plan.stores))
const set = (name: string, fields: object) =>
  emit('take', { stores: { [name]: fields as Partial<Store> } })
const drop = (name: string) => emit('take', { stores: { [name]: null } })
const gone = (name: string) => props.gone.find((one) => one.store === name)?.h ?? null

/** The thing that is likeliest to hold it: what is filled, or a box, or whatever is aboard. */
function likely(kind: Kind): number | null {
  const of = (test: (thing: Thing) => boolean) =>
    props.aboard.find((id) => test(props.things[String(id)]!)) ?? null
  if (kind === 'tank') return of((thing) => Boolean(thing.fill?.afloat || thing.fill?.sloshes))
  if (kind === 'used') return of((thing) => Boolean(thing.fill && !thing.fill.sloshes))
  return of((thing) => thing.kind === 'fish') ?? of((thing) => Boolean(thing.container))
}
function add(event: Event): void {
  const kind = pick(event) as Kind | ''
  if (!kind) return
  ;(event.target as HTMLSelectElement).value = ''
  const thing = likely(kind) ?? props.aboard[0] ?? null
  if (thing === null && ['used', 'ice', 'tank'].includes(kind)) return
  const usual: Record<Kind, object> = {
    used: { ...USUAL.Used, thing },
    ice: { ...USUAL.Ice, thing },
    catch: { ...USUAL.Catch, thing },
    tank: { ...USUAL.Tank, thing },
    cockpit: { ...USUAL.Cockpit },
    wet: { ...USUAL.Wet },
  }
  let name = WORDS[kind].toLowerCase()
  for (let n = 2; name in props.plan.stores; n += 1) name = `${WORDS[kind].toLowerCase()} ${n}`
  emit('take', { stores: { [name]: { kind, ...usual[kind] } as Store } })
}
/** `9:30 2.1, 11:00 1.4` */
const fishText = (one: Schemas['Catch']) =>
  one.fish.map((fish) => `${clock(fish.h)} ${fish.kg}`).join(', ')
const fillText = (one: Schemas['Tank']) =>
  one.events.map((fill) => `${clock(fill.h)} ${Math.round(100 * fill.share)}`).join(', ')
function pairs(text: string): [number, number][] | null {
  const found: [number, number][] = []
  for (const part of text.split(/[,;]\s*/).filter(Boolean)) {
    const [at, amount] = part.trim().split(/\s+/)
    const hour = hourOf(at ?? '')
    const value = Number(amount)
    if (hour === null || !Number.isFinite(value) || value < 0) return null
    found.push([hour, value])
  }
  return found
}
/** Of which stores what was typed cannot be read. */
const unread = reactive<Record<string, boolean>>({})
function setFish(name: string, text: string): void {
  const found = pairs(text)
  unread[name] = !found
  if (found) set(name, { fish: found.map(([h, kg]) => ({ h, kg })) })
}
function setFills(name: string, text: string): void {
  const found = pairs(text)
  const good = found?.every(([, share]) => share <= 100) ? found : null
  unread[name] = !good
  if (good) set(name, { events: good.map(([h, share]) => ({ h, share: share / 100 })) })
}
</script>

<template>
  <div class="card pad" data-testid="stores">
    <h2>What is used, melts, grows</h2>
    <p v-if="!rows.length" class="soft">
      Nothing yet. Ice, water and the catch are most of what changes between launch and home.
    </p>
    <div v-for="[name, one] in rows" :key="name" class="store">
      <div class="head">
        <b>{{ name }}</b>
        <span v-if="gone(name) !== null" class="fix">gone at {{ clock(gone(name)!) }}</span>
        <button type="button" class="small" :aria-label="`Delete ${name}`" @click="drop(name)">
          ×
        </button>
      </div>
      <div class="fields">
        <label v-if="one.kind !== 'cockpit' && one.kind !== 'wet'"
          >in
          <select
            :value="one.thing ?? ''"
            :aria-label="`What holds ${name}`"
            :data-testid="`store-thing-${name}`"
            @change="set(name, { thing: pick($event) ? Number(pick($event)) : null })"
          >
            <option v-if="one.kind === 'catch'" value="">the water, on a stringer</option>
            <option v-for="id in aboard" :key="id" :value="id">{{ nameOf(id) }}</option>
          </select></label
        >
        <template v-if="one.kind === 'used'">
          <label
            >an hour
            <QuantityInput
              :model-value="one.rate_kg_h ?? null"
              :label="`${name} used an hour`"
              kind="mass"
              :units="units"
              optional
              placeholder="typical"
              :testid="`store-rate-${name}`"
              @update:model-value="set(name, { rate_kg_h: $event })"
          /></label>
          <TickBox :on="one.drink" @tick="set(name, { drink: $event })">to drink</TickBox>
        </template>
        <template v-else-if="one.kind === 'ice'">
          <label
            >ice
            <QuantityInput
              :model-value="one.ice_kg"
              :label="`${name}, so much`"
              kind="mass"
              :units="units"
              :testid="`store-ice-${name}`"
              @update:model-value="set(name, { ice_kg: $event })"
          /></label>
          <label
            >walls
            <select
              :value="one.walls"
              :aria-label="`Walls about ${name}`"
              :data-testid="`store-walls-${name}`"
              @change="set(name, { walls: pick($event) })"
            >
              <option v-for="walls in CHOICES.Ice.walls" :key="walls">{{ walls }}</option>
            </select></label
          >
          <label
            >lid
            <select
              :value="one.lid"
              :aria-label="`Lid over ${name}`"
              @change="set(name, { lid: pick($event) })"
            >
              <option v-for="lid in CHOICES.Ice.lid" :key="lid">{{ lid }}</option>
            </select></label
          >
          <TickBox :on="one.drains" @tick="set(name, { drains: $event })"
            >drained as it melts</TickBox
          >
        </template>
        <template v-else-if="one.kind === 'catch'">
          <label
            >an hour
            <QuantityInput
              :model-value="one.rate_kg_h"
              :label="`${name} an hour`"
              kind="mass"
              :units="units"
              :testid="`store-rate-${name}`"
              @update:model-value="set(name, { rate_kg_h: $event })"
          /></label>
          <label
            >and fish at
            <CellInput
              class="text"
              :value="fishText(one)"
              placeholder="9:30 2.1, 11:00 1.4 kg"
              :label="`Single fish of ${name}`"
              :bad="unread[name]"
              @take="setFish(name, $event)"
          /></label>
          <p v-if="unread[name]" class="stop" role="alert">Type it like 9:30 2.1, 11:00 1.4</p>
          <TickBox :on="one.chilled" @tick="set(name, { chilled: $event })"
            >on the ice there</TickBox
          >
        </template>
        <template v-else-if="one.kind === 'tank'">
          <label
            >filled to % at
            <CellInput
              class="text"
              :value="fillText(one)"
              placeholder="7:00 100, 13:00 0"
              :label="`When ${name} is filled and emptied`"
              :bad="unread[name]"
              @take="setFills(name, $event)"
          /></label>
          <p v-if="unread[name]" class="stop" role="alert">Type it like 7:00 100, 13:00 0</p>
          <TickBox :on="one.lid" @tick="set(name, { lid: $event })">full under a lid</TickBox>
        </template>
        <label v-else-if="one.kind === 'cockpit'"
          >an hour
          <QuantityInput
            :model-value="one.rate_kg_h"
            :label="`${name} an hour`"
            kind="mass"
            :units="units"
            @update:model-value="set(name, { rate_kg_h: $event })"
        /></label>
        <label v-else
          >by the end
          <QuantityInput
            :model-value="one.kg"
            :label="`${name} by the end`"
            kind="mass"
            :units="units"
            @update:model-value="set(name, { kg: $event })"
        /></label>
      </div>
    </div>
    <select class="add" aria-label="Add to the day" data-testid="add-store" @change="add">
      <option value="">add to the day…</option>
      <option v-for="(word, kind) in WORDS" :key="kind" :value="kind">{{ word }}</option>
    </select>
  </div>
</template>

<style scoped src="@/kit/cards.css"></style>
<style scoped>
.store {
  padding: 5px 0;
  border-top: 1px solid var(--line);
  font-size: 12.5px;
}
.head {
  display: flex;
  gap: 8px;
  align-items: baseline;
}
.head button {
  margin-left: auto;
}
.fields {
  margin-top: 3px;
}
.fields input.text {
  width: 150px;
  height: 24px;
  border: 1px solid var(--line);
  border-radius: 5px;
  background: var(--card);
  color: var(--ink);
  font: inherit;
}
select {
  max-width: 190px;
}
.add {
  margin-top: 6px;
}
</style>
