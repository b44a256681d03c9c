<script setup lang="ts">
/** A boat drawn as this application draws boats, and three ways to begin. */
import { onMounted } from 'vue'
import { api, askStarted, type Schemas } from '@/api/client'
import { useAsked } from '@/kit/useAsked'
import StartSheet from './StartSheet.vue'
import type { Started } from '@/api/client'
import type { Way } from './useStart'

const props = defineProps<{ begun: boolean; kitOf: () => Promise<string[]> }>()
defineEmits<{ way: [way: Way]; demo: []; goOn: [] }>()

// A boat like many, by the same rules as anybody's; no figure of it is shown.
const EXAMPLE: Omit<Schemas['FirstMeasures'], 'kit'> = {
  setup_name: 'Example',
  boat_name: 'A boat',
  length_m: 3.75,
  beam_m: 0.88,
  pedals: true,
  sit_in: false,
  hull_evidence: 'guess',
  angler_name: 'Somebody',
  angler_evidence: 'guess',
  water: 'fresh',
}
const shown = useAsked<Started>()
onMounted(() =>
  shown.put(async () => {
    const kit = await props.kitOf()
    const body = { ...EXAMPLE, kit }
    return askStarted(api.POST('/api/v1/start/preview', { body }))
  }),
) // prettier-ignore
</script>

<template>
  <div class="greeting">
    <section>
      <h1>See what your boat does with it, before you drill.</h1>
      <p class="lead">
        Weight, trim, stability, reach from the seat and clearances: worked out from your boat, from
        you, and from the gear you bring.
      </p>
      <div class="ways">
        <button
          v-if="begun"
          type="button"
          class="way on"
          data-testid="go-on"
          @click="$emit('goOn')"
        >
          <b>Go on where you were</b>
          <span>What you typed is still here.</span>
        </button>
        <button
          type="button"
          class="way"
          data-testid="way-measure"
          @click="$emit('way', 'measure')"
        >
          <b>Measure my boat</b>
          <span>A tape and a bathroom scale, ten minutes. The surest figures.</span>
        </button>
        <button type="button" class="way" data-testid="way-label" @click="$emit('way', 'label')">
          <b>Only what the label says</b>
          <span>Length, beam, weight and rating. A first answer with a wide ±; measure later.</span>
        </button>
        <button type="button" class="way" data-testid="way-demo" @click="$emit('demo')">
          <b>Look at the demo</b>
          <span>Three made-up boats with gear aboard, and honest faults to find.</span>
        </button>
      </div>
      <p class="lead caution">
        Everything stays on this machine. Use whichever limit is lower, the maker's or ours, and
        wear your life jacket (PFD).
      </p>
    </section>
    <div class="picture">
      <StartSheet v-if="shown.answer.value" :started="shown.answer.value" :high="600" />
    </div>
  </div>
</template>

<style scoped>
.greeting {
  display: grid;
  grid-template-columns: 390px minmax(0, 1fr);
  gap: 28px;
}
h1 {
  margin: 10px 0 8px;
  font-size: 28px;
  line-height: 1.15;
}
.lead {
  margin: 0 0 20px;
  color: var(--soft);
  font-size: 14px;
}
.caution {
  margin: 20px 0 0;
  font-size: 12px;
}
.ways {
  display: flex;
  flex-direction: column;
  gap: 10px;
}
.way {
  display: flex;
  flex-direction: column;
  gap: 4px;
  padding: 12px 14px;
  border: 1px solid var(--line);
  border-radius: 8px;
  background: var(--card);
  color: var(--ink);
  font: inherit;
  text-align: left;
  cursor: pointer;
}
.way:hover,
.way.on {
  border-color: var(--pick);
}
.way b {
  color: var(--pick);
  font-size: 16px;
}
.way span {
  color: var(--soft);
}
@media (max-width: 900px) {
  .greeting {
    display: flex;
    flex-direction: column;
  }
}
</style>
