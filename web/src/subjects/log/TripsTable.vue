<script setup lang="ts">
/** Trips, the newest first. */
import { ref } from 'vue'
import type { Schemas } from '@/api/client'

defineProps<{ trips: Schemas['TripRow'][] }>()
const emit = defineEmits<{ edit: [trip_id: number]; drop: [trip_id: number] }>()
/** a second press is asked for: there is no undo of it */
const sure = ref<number | null>(null)
function drop(trip_id: number): void {
  if (sure.value === trip_id) emit('drop', trip_id)
  sure.value = sure.value === trip_id ? null : trip_id
}
</script>

<template>
  <div class="card pad">
    <p v-if="!trips.length" class="soft">
      No trips yet. After the next one press “Log a trip” at the ramp: two minutes, one tap an item,
      and after three trips the log begins to tell what you never use and what your battery really
      gives.
    </p>
    <table v-else data-testid="trips">
      <thead>
        <tr>
          <th scope="col">Day</th>
          <th scope="col">Where</th>
          <th scope="col" class="right">Hours</th>
          <th scope="col" class="wide">Setup</th>
          <th scope="col" class="right">Used</th>
          <th scope="col" class="wide">Went wrong</th>
          <th></th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="trip in trips" :key="trip.trip_id">
          <th scope="row" class="day">
            {{ trip.on_day }}<span v-if="trip.out_at" class="soft">&nbsp;{{ trip.out_at }}</span>
          </th>
          <td>
            {{ trip.where || '—' }}<span v-if="trip.water === 'salt'" class="soft">, salt</span>
            <span v-if="trip.note" class="soft note">{{ trip.note }}</span>
          </td>
          <td class="right">{{ Number(trip.hours.toFixed(1)) }}</td>
          <td class="wide">{{ trip.setup }}</td>
          <td class="right">
            <span :title="`Said of ${trip.said} of ${trip.aboard} items aboard`"
              >{{ trip.used }} of {{ trip.said }}</span
            >
          </td>
          <td class="wide">{{ trip.trouble.join(', ') }}</td>
          <td class="acts">
            <button
              type="button"
              class="small"
              :aria-label="`Change the trip of ${trip.on_day}`"
              @click="emit('edit', trip.trip_id)"
            >
              Change
            </button>
            <button
              type="button"
              class="small"
              :aria-label="`Delete the trip of ${trip.on_day}`"
              @click="drop(trip.trip_id)"
              @blur="sure = null"
            >
              {{ sure === trip.trip_id ? 'Sure?' : 'Delete' }}
            </button>
          </td>
        </tr>
      </tbody>
    </table>
  </div>
</template>

<style scoped src="@/kit/cards.css"></style>
<style scoped src="./tables.css"></style>
<style scoped>
.note {
  display: block;
}
@media (max-width: 600px) {
  thead {
    display: none;
  }
  tr {
    display: grid;
    grid-template-columns: 1fr auto auto;
    padding: 4px 0;
    border-top: 1px solid var(--line);
  }
  th,
  td {
    border: 0;
  }
  td:nth-child(2) {
    grid-row: 2;
    grid-column: 1;
  }
  td.right::after {
    content: ' h';
  }
  td.right ~ td.right::after {
    content: ' used';
  }
  td.acts {
    grid-row: 2;
    grid-column: 2 / 4;
  }
}
</style>
