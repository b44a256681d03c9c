<script setup lang="ts">
/** From nothing to a boat on the bench: the boat, you, what you bring. */
import { computed, nextTick, ref, useTemplateRef, watch } from 'vue'
import { useRouter } from 'vue-router'
import BoatPart from './BoatPart.vue'
import GearPart from './GearPart.vue'
import GreetingPart from './GreetingPart.vue'
import StartFigures from './StartFigures.vue'
import StartSheet from './StartSheet.vue'
import YouPart from './YouPart.vue'
import { useStart, type Part, type Way } from './useStart'

const router = useRouter()
const start = useStart()
const { told, kit, known, answer, rest, wrong, countOf } = start
const PARTS: readonly (readonly [Part, string])[] = [
  ['boat', 'Boat'],
  ['you', 'You'],
  ['gear', 'What you bring'],
]
const measuring = ref('length_m')
const busy = ref(false)
const missing = ref(false)
const boatPart = useTemplateRef<InstanceType<typeof BoatPart>>('boatPart')
const place = computed(() => PARTS.findIndex(([part]) => part === told.value.part))
// Someone who comes back begins at the greeting, which offers to go on.
const begun = computed(() => Object.keys(told.value.measures).length > 0)
const shown = ref<Part>('greeting')
watch(
  shown,
  (part) => {
    told.value.part = part
    if (part === 'gear') void start.tried(start.loadKit)
  },
  { immediate: true },
)

async function begin(way: Way): Promise<void> {
  told.value.way = way
  shown.value = 'boat'
  await nextTick()
  await boatPart.value?.go(0)
}
async function example(): Promise<string[]> {
  await start.loadKit()
  const names = kit.value
    .filter((item) => item.trips.includes('lake'))
    .map((item) => item.thing.name)
  return [...names, 'Pedal drive', 'Rod and reel', 'Rod holder']
}
async function demo(): Promise<void> {
  if (await start.openDemo()) await router.push('/bench')
}
async function next(): Promise<void> {
  missing.value = !known.value
  if (missing.value) return
  const following = PARTS[place.value + 1]
  if (following) {
    shown.value = following[0]
    return
  }
  busy.value = true
  if (await start.finish()) await router.push('/bench')
  busy.value = false
}
function back(): void {
  shown.value = PARTS[place.value - 1]?.[0] ?? 'greeting'
}
</script>

<template>
  <div class="start">
    <template v-if="shown === 'greeting'">
      <GreetingPart
        :begun="begun"
        :kit-of="example"
        @way="begin"
        @demo="demo"
        @go-on="shown = 'boat'"
      />
      <p v-if="rest" class="why" role="alert">{{ rest }}</p>
    </template>
    <div v-else class="parts">
      <section class="asked" :aria-label="PARTS[place]?.[1]">
        <nav aria-label="Parts of the start">
          <button
            v-for="([part, word], i) in PARTS"
            :key="part"
            type="button"
            :class="{ here: part === shown }"
            :aria-current="part === shown ? 'step' : undefined"
            :disabled="i > 0 && !known"
            @click="shown = part"
          >
            {{ i + 1 }} {{ word }}
          </button>
        </nav>
        <BoatPart
          v-if="shown === 'boat'"
          ref="boatPart"
          v-model="told"
          :started="answer"
          :wrong="wrong"
          @measuring="measuring = $event"
        />
        <YouPart v-else-if="shown === 'you'" v-model="told" :started="answer" :wrong="wrong" />
        <GearPart
          v-else
          v-model="told"
          :kit="kit"
          :started="answer"
          :count-of="countOf"
          @count="start.setCount"
          @none="start.tickNone"
        />
        <p v-if="missing && !known" class="why" role="alert">
          Type the length and the beam of the boat first.
        </p>
        <p v-else-if="rest" class="why" role="alert">{{ rest }}</p>
        <div class="acts">
          <el-button size="small" @click="back">Back</el-button>
          <el-button
            size="small"
            type="primary"
            :disabled="busy"
            :data-testid="shown === 'gear' ? 'start-go' : 'start-next'"
            @click="next"
            >{{
              shown === 'gear'
                ? 'Put it on the water'
                : shown === 'boat'
                  ? 'That is the boat'
                  : 'Next'
            }}</el-button
          >
        </div>
      </section>
      <section class="seen" aria-label="The boat so far">
        <template v-if="answer">
          <StartSheet
            :started="answer"
            :high="430"
            :field="shown === 'boat' ? measuring : undefined"
          />
          <StartFigures class="figures" :started="answer" />
        </template>
        <p v-else class="empty">
          Type length and beam: the boat is drawn here, and the first figures with it.
        </p>
      </section>
    </div>
  </div>
</template>

<style scoped>
.start {
  padding: 18px 22px;
}
.parts {
  display: grid;
  grid-template-columns: 440px minmax(0, 1fr);
  gap: 24px;
}
nav {
  display: flex;
  gap: 6px;
  margin-bottom: 16px;
}
nav button {
  padding: 4px 12px;
  border: 1px solid var(--line);
  border-radius: 14px;
  background: none;
  color: var(--soft);
  font: inherit;
  cursor: pointer;
}
nav .here {
  border-color: var(--ink);
  color: var(--ink);
  font-weight: 600;
}
nav button:disabled {
  opacity: 0.5;
  cursor: default;
}
.acts {
  display: flex;
  gap: 8px;
  justify-content: space-between;
  position: sticky;
  bottom: 0;
  z-index: 1;
  padding: 10px 0;
  background: var(--paper);
}
.seen {
  position: sticky;
  top: 18px;
  align-self: start;
}
.why {
  color: var(--stop);
}
.figures {
  margin-top: 12px;
}
.empty {
  display: grid;
  height: 430px;
  margin: 0;
  border: 1px dashed var(--line);
  border-radius: 8px;
  color: var(--soft);
  place-items: center;
  text-align: center;
}
@media (max-width: 900px) {
  .start {
    padding: 12px;
  }
  .parts {
    display: flex;
    flex-direction: column;
  }
  .empty {
    height: 80px;
  }
  .seen {
    position: static;
    align-self: stretch;
  }
}
</style>
