<script setup lang="ts">
/** Rods where they are, in the hand, and where one is parked; and what hides the water ahead. */
import type { FullReach, Thing } from '@/api/client'
import { show, type Units } from '@/kit/units'
import { ZONE_WORD } from '@/kit/words'

const props = defineProps<{ reach: FullReach; things: Record<string, Thing>; units: Units }>()
const emit = defineEmits<{ choose: [id: number] }>()

const name = (id: number | null | undefined): string => props.things[String(id)]?.name ?? ''
const cm = (value: number): string => show(Math.abs(value), 'length', props.units, 0)
const past = (value: number): string => (value > 0 ? cm(value) : '')
function reel(out_m: number | null | undefined): string {
  if (out_m == null) return 'none'
  return out_m > 0 ? `${cm(out_m)} outboard` : `${cm(out_m)} inboard`
}
</script>

<template>
  <div class="rods">
    <h2>Rods where they are</h2>
    <p v-if="reach.rods.length === 0" class="soft">No rod is aboard.</p>
    <table v-else aria-label="Rods" data-testid="rod-table">
      <thead>
        <tr>
          <th scope="col">Rod</th>
          <th scope="col">Butt to nearest</th>
          <th scope="col">Reel</th>
          <th scope="col">Tip past bow</th>
          <th scope="col">stern</th>
          <th scope="col">beam</th>
          <th scope="col">above the seat</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="rod in reach.rods" :key="rod.thing_id">
          <th scope="row">
            <button type="button" @click="emit('choose', rod.thing_id)">
              {{ name(rod.thing_id) }}
            </button>
          </th>
          <td>
            {{ rod.leg_gap_m > 0 ? cm(rod.leg_gap_m) : `${cm(rod.leg_gap_m)} into` }},
            {{ rod.leg.replace(/^the /, '') }}
          </td>
          <td>{{ reel(rod.reel_out_m) }}</td>
          <td class="num">{{ past(rod.tip_past_bow_m) }}</td>
          <td class="num">{{ past(rod.tip_past_stern_m) }}</td>
          <td class="num">{{ past(rod.tip_past_beam_m) }}</td>
          <td class="num">{{ cm(rod.tip_over_seat_m) }}</td>
        </tr>
      </tbody>
    </table>
    <dl>
      <template v-if="reach.spread_m != null">
        <dt>Tips apart, port to starboard</dt>
        <dd class="num">{{ cm(reach.spread_m) }}</dd>
      </template>
      <template v-if="reach.closest_m != null">
        <dt>Nearest two tips</dt>
        <dd class="num">{{ cm(reach.closest_m) }}</dd>
      </template>
      <dt>Parked in while a fish is unhooked</dt>
      <dd data-testid="park-in">{{ reach.park_in ?? 'nowhere within reach' }}</dd>
      <template v-for="one in reach.hand_held" :key="one.thing_id">
        <dt>{{ name(one.thing_id) }}, in the hand</dt>
        <dd>
          {{
            one.passes_bow_m >= 0
              ? `passes the bow by ${cm(one.passes_bow_m)}`
              : `${cm(one.passes_bow_m)} short of the bow`
          }}
        </dd>
      </template>
      <dt>Shortest rod that passes the bow by hand</dt>
      <dd class="num">{{ cm(reach.shortest_rod_m) }}</dd>
      <dt>Water ahead that is hidden</dt>
      <dd>
        {{
          reach.dead_arcs.length
            ? `${Math.round(reach.dead_deg)}°, behind ${reach.dead_arcs.map((arc) => name(arc.thing_id)).join(', ')}`
            : 'none'
        }}
      </dd>
    </dl>
    <h2>Tubes and holders</h2>
    <ul>
      <li v-for="(one, i) in reach.parking" :key="i">
        {{ one.name }}: {{ ZONE_WORD[one.zone] }},
        {{ one.holds ? `holds ${name(one.holds)}` : 'free' }}
      </li>
      <li v-if="reach.parking.length === 0" class="soft">None: there is no place to park a rod.</li>
    </ul>
  </div>
</template>

<style scoped>
.rods {
  overflow-x: auto;
}
h2 {
  margin: 14px 0 4px;
}
table {
  width: 100%;
  border-collapse: collapse;
}
th,
td {
  padding: 2px 6px 2px 0;
  border-top: 1px solid var(--line);
  text-align: left;
  font-weight: 400;
}
thead th {
  border: 0;
  color: var(--soft);
  font-size: 12px;
}
th button {
  padding: 0;
  border: 0;
  background: none;
  color: var(--ink);
  font: inherit;
  text-align: left;
  cursor: pointer;
}
dl {
  display: grid;
  grid-template-columns: auto 1fr;
  gap: 2px 12px;
  margin: 8px 0 0;
}
dt {
  color: var(--soft);
}
dd {
  margin: 0;
}
ul {
  margin: 0;
  padding: 0;
  list-style: none;
}
</style>
