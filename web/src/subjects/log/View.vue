<script setup lang="ts">
/** Log: trips, what they teach, what is to be looked after, and the lists a trip is packed by. */
import { computed, ref } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { api, ask, whyNone, type Schemas } from '@/api/client'
import ChoiceGroup from '@/kit/ChoiceGroup.vue'
import { useLook } from '@/setup/look'
import { usePage } from '@/setup/usePage'
import { useSetup } from '@/setup/useSetup'
import CareTable from './CareTable.vue'
import FilesCard from './FilesCard.vue'
import LearnedCards from './LearnedCards.vue'
import ListsPanel from './ListsPanel.vue'
import TripForm from './TripForm.vue'
import TripsTable from './TripsTable.vue'

const PARTS = ['trips', 'learned', 'care', 'lists'] as const
type Part = (typeof PARTS)[number]

const store = useSetup()
const look = useLook()
const route = useRoute()
const router = useRouter()
const part = computed<Part>({
  get: () => PARTS.find((one) => one === route.query.part) ?? 'trips',
  set: (now) => void router.replace({ query: now === 'trips' ? {} : { part: now } }),
})
const page = usePage<Schemas['LogPage']>((setup_id) =>
  ask(api.GET('/api/v1/setups/{setup_id}/log', { params: { path: { setup_id } } })),
)
const learned = computed(() => page.answer.value?.learned ?? null)
const due = computed(() => learned.value?.care.filter((one) => one.verdict !== 'fine').length ?? 0)
const offers = computed(
  () =>
    (learned.value?.unused.filter((one) => one.enough).length ?? 0) +
    (learned.value?.uses.filter((one) => one.suggested).length ?? 0) +
    (learned.value?.draws.filter((one) => one.differs).length ?? 0),
)

const telling = ref<'new' | Schemas['KeptTrip'] | null>(null)
const trouble = ref('')
async function edit(trip_id: number): Promise<void> {
  const path = { setup_id: store.kept!.setup_id, trip_id }
  try {
    telling.value = await ask(
      api.GET('/api/v1/setups/{setup_id}/log/trips/{trip_id}', { params: { path } }),
    )
    trouble.value = ''
  } catch (error) {
    trouble.value = whyNone(error)
  }
}
function kept(now: Schemas['LogPage']): void {
  telling.value = null
  void page.put(() => Promise.resolve(now))
}
</script>

<template>
  <div v-if="store.kept" class="page log" :class="{ telling }" :aria-busy="page.busy.value">
    <section class="left" aria-label="The log">
      <div class="top">
        <h1>Log</h1>
        <p v-if="page.answer.value" class="answer">
          <b data-testid="trip-count">{{ page.answer.value.trips.length }}</b>
          {{ page.answer.value.trips.length === 1 ? 'trip' : 'trips'
          }}<template v-if="offers"
            >, <b>{{ offers }}</b> learned</template
          ><template v-if="due"
            >, <b>{{ due }}</b> due</template
          >
        </p>
        <button
          v-if="!telling"
          type="button"
          class="tell"
          data-testid="tell"
          @click="telling = 'new'"
        >
          Log a trip
        </button>
      </div>
      <p v-if="page.trouble.value || trouble" class="stop" role="alert">
        {{ page.trouble.value || trouble }}
      </p>
      <ChoiceGroup
        v-model="part"
        label="What is shown"
        :options="[
          ['trips', 'Trips'],
          ['learned', 'Learned'],
          ['care', 'Care'],
          ['lists', 'Lists'],
        ]"
      />
      <template v-if="page.answer.value && learned">
        <TripsTable
          v-if="part === 'trips'"
          class="gap"
          :trips="page.answer.value.trips"
          @edit="edit"
          @drop="store.dropTrip"
        />
        <LearnedCards
          v-else-if="part === 'learned'"
          class="gap"
          :learned="learned"
          :units="look.units"
        />
        <CareTable
          v-else-if="part === 'care'"
          class="gap"
          :rows="learned.care"
          :names="store.things"
          :held="page.held.value"
          :change="store.lookAfter"
        />
      </template>
      <ListsPanel v-if="part === 'lists'" class="gap" :units="look.units" />
    </section>
    <section class="side" aria-label="A trip, and files">
      <div v-if="telling" class="card pad">
        <TripForm
          :key="telling === 'new' ? 'new' : telling.trip_id"
          :trip="telling === 'new' ? null : telling"
          @kept="kept"
          @close="telling = null"
        />
      </div>
      <FilesCard v-else @taken="kept" />
    </section>
  </div>
</template>

<style scoped src="@/setup/page.css"></style>
<style scoped src="@/kit/cards.css"></style>
<style scoped>
.tell {
  min-height: 32px;
  margin-left: auto;
  padding: 0 14px;
  border: 0;
  border-radius: 7px;
  background: var(--ink);
  color: var(--on-ink);
  font: inherit;
  cursor: pointer;
}
@media (max-width: 1000px) {
  .telling .side {
    order: -1;
  }
}
@media (max-width: 600px) {
  .tell {
    width: 100%;
    min-height: 44px;
    margin: 6px 0 0;
  }
}
</style>
