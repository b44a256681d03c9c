<script setup lang="ts">
/** What the log has learned of one matter, beside what is held of it; taken over by a press. */
import { computed } from 'vue'
import { api, ask, type Schemas } from '@/api/client'
import { show } from '@/kit/units'
import { useLook } from './look'
import { useOffers } from './useOffers'
import { usePage } from './usePage'
import { useSetup } from './useSetup'

const props = defineProps<{ of: 'uses' | 'draws' | 'proved' }>()
const store = useSetup()
const look = useLook()
const { takeUse, takeDraw, takeTrips } = useOffers()
const page = usePage<Schemas['Learned']>((setup_id) =>
  ask(api.GET('/api/v1/setups/{setup_id}/log/learned', { params: { path: { setup_id } } })),
)
interface Offer {
  key: number
  words: string
  act: string
  take: () => void
}
const watts = (value: number | null) => (value == null ? '' : show(value, 'power', look.units))
const offers = computed<Offer[]>(() => {
  const learned = page.answer.value
  if (!learned) return []
  const nameOf = store.nameOf
  if (props.of === 'uses')
    return learned.uses
      .filter((row) => row.suggested)
      .map((row) => ({
        key: row.thing_id,
        words: `${nameOf(row.thing_id)}: you say ${row.use}, ${row.differs} of the last ${row.of} trips say otherwise`,
        act: `Set “${row.suggested}”`,
        take: () => takeUse(row),
      }))
  if (props.of === 'draws')
    return learned.draws
      .filter((row) => row.differs && row.loads.length)
      .map((row) => ({
        key: row.thing_id,
        words: `${nameOf(row.thing_id)}: ${watts(row.measured_w)} over ${row.n} trips, ${watts(row.assumed_w)} held here`,
        act: 'Use measured',
        take: () => takeDraw(row),
      }))
  return learned.proved
    .filter((row) => row.told != null && row.n > row.told)
    .map((row) => ({
      key: row.thing_id,
      words: `${nameOf(row.thing_id)}: ${row.n} trips at this place and nothing wrong, ${row.told} held here`,
      act: `Set ${row.n} trips`,
      take: () => takeTrips(row),
    }))
})
</script>

<template>
  <div v-if="offers.length" class="learned" :data-testid="`learned-${of}`">
    <h2>The log says</h2>
    <p v-for="one in offers" :key="one.key">
      {{ one.words }}
      <button type="button" :aria-label="`${one.act}: ${one.words}`" @click="one.take()">
        {{ one.act }}
      </button>
    </p>
  </div>
</template>

<style scoped>
.learned {
  margin: 12px 0;
  padding: 10px 12px;
  border: 1px solid var(--line);
  border-radius: 8px;
  background: var(--card);
}
h2,
p {
  margin: 0;
}
p {
  display: flex;
  gap: 10px;
  align-items: center;
  justify-content: space-between;
  padding: 4px 0;
}
button {
  flex: none;
  min-height: 26px;
  padding: 0 9px;
  border: 1px solid var(--line);
  border-radius: 6px;
  background: var(--card);
  color: var(--ink);
  font: inherit;
  font-size: 12px;
  cursor: pointer;
}
</style>
