<script setup lang="ts">
/** What the trips teach, with how many it rests on; taken over only where one says so. */
import { computed } from 'vue'
import type { Schemas } from '@/api/client'
import { showMoney } from '@/kit/money'
import { show, type Units } from '@/kit/units'
import VerdictMark from '@/kit/VerdictMark.vue'
import { useOffers } from '@/setup/useOffers'
import { useSetup } from '@/setup/useSetup'
import DrawPlot from './DrawPlot.vue'
import { FLAG_WORD, perHour } from './words'

const props = defineProps<{ learned: Schemas['Learned']; units: Units }>()
const store = useSetup()
const { nameOf } = store
const { takeUse, takeDraw, takeTrips, leaveAshore } = useOffers()
const currency = computed(() => store.kept?.setup.money.currency)
const unused = computed(() => props.learned.unused.filter((one) => one.unused > 1))
const uses = computed(() => props.learned.uses.filter((one) => one.suggested || !one.enough))
const rest = computed(() => props.learned.uses.length - uses.value.length)
const watts = (value: number | null) => (value == null ? '—' : show(value, 'power', props.units))
const trips = (n: number) => `${n} ${n === 1 ? 'trip' : 'trips'}`
</script>

<template>
  <div class="learned">
    <p v-if="learned.trips < 3" class="soft">
      Not enough trips: from three on the log tells what it has learned.
    </p>
    <div class="card pad" data-testid="unused">
      <h2>Not used</h2>
      <p v-if="!unused.length" class="soft">
        Nothing you marked lay unused twice in a row. What is for emergencies is never offered.
      </p>
      <table v-else>
        <thead>
          <tr>
            <th scope="col">Item</th>
            <th scope="col" class="right">Not used on</th>
            <th scope="col" class="right wide">Weighs</th>
            <th scope="col" class="right wide">Cost</th>
            <th scope="col" class="wide">Lies</th>
            <th scope="col" class="right wide">Still wanted, at most</th>
            <th></th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="row in unused" :key="row.thing_id" :data-testid="`unused-${row.thing_id}`">
            <th scope="row">{{ nameOf(row.thing_id) }}</th>
            <td class="right">the last {{ trips(row.unused) }}</td>
            <td class="right wide">{{ show(row.mass_kg, 'mass', units) }}</td>
            <td class="right wide">
              {{ row.minor == null ? '' : showMoney(row.minor, currency) }}
            </td>
            <td class="wide">{{ row.where }}</td>
            <td class="right wide">on {{ show(row.chance_share, 'ratio', units) }} of trips</td>
            <td class="acts">
              <button v-if="row.enough" type="button" class="small" @click="leaveAshore(row)">
                Leave ashore
              </button>
              <span v-else class="soft">not enough trips</span>
            </td>
          </tr>
        </tbody>
      </table>
    </div>
    <div class="card pad" data-testid="uses">
      <h2>Used otherwise than you say</h2>
      <table v-if="uses.length">
        <thead>
          <tr>
            <th scope="col">Item</th>
            <th scope="col">You say</th>
            <th scope="col">The log says</th>
            <th scope="col" class="right wide">Against it</th>
            <th></th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="row in uses" :key="row.thing_id" :data-testid="`use-${row.thing_id}`">
            <th scope="row">
              <VerdictMark v-if="row.suggested" :verdict="row.verdict" bare />
              {{ nameOf(row.thing_id) }}
            </th>
            <td>{{ row.use }}</td>
            <td>{{ perHour(row.per_h) }}</td>
            <td class="right wide">{{ row.differs }} of {{ trips(row.of) }}</td>
            <td class="acts">
              <button v-if="row.suggested" type="button" class="small" @click="takeUse(row)">
                Set “{{ row.suggested }}”
              </button>
              <span v-else class="soft">not enough trips</span>
            </td>
          </tr>
        </tbody>
      </table>
      <p class="soft">
        {{ rest ? `${rest} more ${rest === 1 ? 'item goes' : 'items go'} with what you say.` : '' }}
        {{
          uses.some((one) => one.suggested)
            ? 'A changed use changes what Reach asks of its place.'
            : rest
              ? ''
              : 'You have not marked any item yet.'
        }}
      </p>
    </div>
    <div class="card pad" data-testid="draws">
      <h2>Draw</h2>
      <p v-if="!learned.draws.length" class="soft">
        Say how much charge was left, and after three trips you see what your battery really gives.
      </p>
      <div v-for="row in learned.draws" :key="row.thing_id" class="draw">
        <div>
          <p>
            <b>{{ nameOf(row.thing_id) }}</b>:
            <b data-testid="measured-w">{{ watts(row.measured_w) }}</b> over {{ trips(row.n)
            }}<template v-if="row.low_w != null">
              <span class="soft"
                >, {{ watts(row.low_w) }} to {{ watts(row.high_w) }} in 95 of 100 cases</span
              ></template
            >
          </p>
          <p class="soft">
            Power holds {{ watts(row.assumed_w) }}.
            {{
              !row.enough
                ? 'Not enough trips.'
                : row.differs
                  ? 'That is more than chance tells apart.'
                  : 'That goes with what you saw.'
            }}
            <template v-if="row.trips.some((one) => one.dark)"
              >Trips that ended dark are shown hollow and left out: they took at least that
              much.</template
            >
          </p>
          <button
            v-if="row.differs && row.loads.length"
            type="button"
            class="small"
            data-testid="take-draw"
            @click="takeDraw(row)"
          >
            Use it for {{ row.loads.map((one) => nameOf(one.thing_id)).join(', ') }}
          </button>
        </div>
        <DrawPlot :row="row" :units="units" />
      </div>
    </div>
    <div class="card pad" data-testid="proved">
      <h2>Proved in place</h2>
      <p v-if="!learned.proved.length" class="soft">Nothing is mounted in this setup.</p>
      <table v-else>
        <tbody>
          <tr v-for="row in learned.proved" :key="row.thing_id">
            <th scope="row">{{ nameOf(row.thing_id) }}</th>
            <td>
              {{ trips(row.n) }} here
              <span class="soft">{{
                row.proved
                  ? 'used, nothing wrong: may be drilled'
                  : `of ${row.asked}; ${row.why_not?.text ?? 'not enough trips'}`
              }}</span>
            </td>
            <td class="acts">
              <button
                v-if="row.told != null && row.n > row.told"
                type="button"
                class="small"
                :data-testid="`take-trips-${row.thing_id}`"
                @click="takeTrips(row)"
              >
                Tell Fixing
              </button>
              <span v-else-if="row.told != null" class="soft">Fixing knows</span>
            </td>
          </tr>
        </tbody>
      </table>
    </div>
    <div v-if="learned.troubles.length" class="card pad" data-testid="troubles">
      <h2>Went wrong</h2>
      <table>
        <tbody>
          <tr v-for="row in learned.troubles" :key="`${row.thing_id} ${row.flag}`">
            <th scope="row">{{ nameOf(row.thing_id) }}</th>
            <td>{{ FLAG_WORD[row.flag] }} on {{ row.times }} of {{ trips(row.trips) }}</td>
            <td class="acts soft">last {{ row.last }}</td>
          </tr>
        </tbody>
      </table>
    </div>
  </div>
</template>

<style scoped src="@/kit/cards.css"></style>
<style scoped src="./tables.css"></style>
<style scoped>
.learned {
  display: grid;
  gap: 12px;
}
.draw {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 300px;
  gap: 14px;
}
.draw p {
  margin: 4px 0;
}
@media (max-width: 600px) {
  .draw {
    grid-template-columns: 1fr;
  }
}
</style>
