<script setup lang="ts">
/** What comes off for the road, ticked off in the garage; what stays, and what goes into the hull. */
import { computed } from 'vue'
import type { Schemas, Thing } from '@/api/client'
import { CHOICES } from '@/api/words'
import GearPicture from '@/drawing/GearPicture.vue'
import { pick, ticked } from '@/kit/heard'
import { show, type Units } from '@/kit/units'
import type { HaulChange } from '@/setup/changing'
import { useTicks } from '@/setup/useTicks'

type Row = Schemas['OffRow']
const props = defineProps<{
  haul: Schemas['HaulFigures']
  things: Record<string, Thing>
  units: Units
}>()
const emit = defineEmits<{ take: [fields: HaulChange] }>()
const WORDS: Record<Row['leaves'], string> = {
  off: 'comes off',
  stays: 'stays on',
  inside: 'into the hull',
}
const ORDER: Row['leaves'][] = ['off', 'inside', 'stays']
const ticks = useTicks('off')

const rows = computed(() =>
  [...props.haul.off].sort(
    (a, b) => ORDER.indexOf(a.leaves) - ORDER.indexOf(b.leaves) || b.kg - a.kg,
  ),
)
const off = computed(() => rows.value.filter((row) => row.leaves === 'off'))
const left = computed(() => off.value.filter((row) => !ticks.isDone(String(row.thing_id))).length)
const nameOf = (row: Row) => props.things[String(row.thing_id)]?.name ?? ''
const minutes = (row: Row) => `${Number(row.minutes.toFixed(1))} min`
function choose(row: Row, event: Event): void {
  const leaves = pick(event) as Row['leaves'] | ''
  emit('take', { off: { [row.thing_id]: leaves || null } })
}
</script>

<template>
  <div class="card pad" data-testid="off-list">
    <div class="head">
      <h2>For the road</h2>
      <span class="soft" data-testid="off-left">{{
        left ? `${left} of ${off.length} still on` : off.length ? 'all of it is off' : ''
      }}</span>
      <button v-if="left < off.length" type="button" class="small" @click="ticks.clear()">
        clear ticks
      </button>
    </div>
    <p v-if="ticks.trouble.value" class="stop" role="alert">{{ ticks.trouble.value }}</p>
    <p v-if="!rows.length" class="soft">Nothing aboard yet: put gear on the boat on the Bench.</p>
    <ul>
      <li v-for="row in rows" :key="row.thing_id" :class="row.leaves">
        <label class="what">
          <input
            v-if="row.leaves === 'off'"
            type="checkbox"
            :checked="ticks.isDone(String(row.thing_id))"
            :aria-label="`${nameOf(row)} is off`"
            @change="ticks.set(String(row.thing_id), ticked($event))"
          />
          <span v-else class="blank"></span>
          <GearPicture v-if="things[String(row.thing_id)]" :thing="things[String(row.thing_id)]!" />
          <span :class="{ done: row.leaves === 'off' && ticks.isDone(String(row.thing_id)) }">{{
            nameOf(row)
          }}</span>
        </label>
        <span class="num">{{ show(row.kg, 'mass', units) }}</span>
        <span class="num soft">{{ row.leaves === 'off' ? minutes(row) : '' }}</span>
        <select
          :value="row.said ? row.leaves : ''"
          :aria-label="`${nameOf(row)} for the road`"
          :data-testid="`leaves-${row.thing_id}`"
          @change="choose(row, $event)"
        >
          <option value="">{{ row.said ? 'as usual' : WORDS[row.leaves] }}</option>
          <option v-for="one in CHOICES.OffRow.leaves" :key="one" :value="one">
            {{ WORDS[one] }}
          </option>
        </select>
      </li>
    </ul>
  </div>
</template>

<style scoped src="@/kit/cards.css"></style>
<style scoped>
.head {
  display: flex;
  gap: 10px;
  align-items: baseline;
}
ul {
  margin: 4px 0 0;
  padding: 0;
  list-style: none;
}
li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 62px 52px 108px;
  gap: 6px;
  align-items: center;
  min-height: 30px;
  border-top: 1px solid var(--line);
  font-size: 12.5px;
}
.what {
  display: flex;
  gap: 6px;
  align-items: center;
  min-width: 0;
}
.blank {
  width: 13px;
}
.num {
  text-align: right;
}
.done {
  color: var(--soft);
  text-decoration: line-through;
}
@media (max-width: 700px) {
  li {
    grid-template-columns: minmax(0, 1fr) 60px 104px;
    min-height: 44px;
  }
  .what {
    min-height: 44px;
  }
  li .soft {
    display: none;
  }
  input {
    width: 22px;
    height: 22px;
  }
  .blank {
    width: 22px;
  }
}
</style>
