<script setup lang="ts">
/** Places for everything at once: rounds with the best so far; it can be stopped at any of them. */
import { computed, onScopeDispose, ref, shallowRef, watch } from 'vue'
import { whyNone, type ArrangeProgress, type Arrangement } from '@/api/client'
import { askRounds } from '@/api/rounds'
import type { Units } from '@/kit/units'
import { counted, listWords, said, trimWords } from '@/kit/words'
import { number } from '@/kit/units'
import VerdictMark from '@/kit/VerdictMark.vue'
import { useLook } from '@/setup/look'
import { useSetup } from '@/setup/useSetup'
import { useStanding } from './useStanding'

const open = defineModel<boolean>({ required: true })
const store = useSetup()
const look = useLook()
const progress = shallowRef<ArrangeProgress | null>(null)
const running = ref(false)
const trouble = ref('')
const standing = useStanding()
const waiting = standing.words
let asking: AbortSignal | null = null

const best = computed<Arrangement | null>(() => progress.value?.best ?? null)
const share = computed(() =>
  progress.value ? Math.round((100 * progress.value.done) / progress.value.total) : 0,
)
const locked = computed(
  () => Object.values(store.kept?.setup.places ?? {}).filter((place) => place.locked).length,
)

/** Each line is a round; what came before a stop stays. */
async function run(): Promise<void> {
  const { setup_id } = store.kept!
  const { name, signal } = standing.begin(setup_id)
  asking = signal
  running.value = true
  trouble.value = ''
  progress.value = null
  try {
    const path = `/api/v1/setups/${setup_id}/arrange?name=${name}`
    await askRounds<ArrangeProgress>(path, signal, (round) => (progress.value = round))
  } catch (error) {
    trouble.value = whyNone(error)
  } finally {
    if (asking === signal) stop()
  }
}
function stop(): void {
  standing.hangUp()
  asking = null
  running.value = false
}

const moves = () =>
  best.value!.places.map(({ thing_id, place }): [number, typeof place] => [thing_id, place])
/** On the bench as a ghost; Esc or the next touch drops it. */
async function preview(): Promise<void> {
  stop()
  await store.tryMove(moves(), null)
  open.value = false
}
async function apply(): Promise<void> {
  stop()
  const words = `Arrange ${counted(best.value!.moved)}`
  if (await store.takeMoves(words, best.value!.places, null, {})) open.value = false
  else trouble.value = store.refusal?.message ?? ''
}

const names = computed(() =>
  best.value?.places.map(({ thing_id }) => store.things[String(thing_id)]?.name ?? '').join(', '),
)
function rows(one: Arrangement, units: Units): [string, string, string][] {
  const { before: a, after: b } = one
  const gm = (value: number | null) => (value === null ? '–' : number(value, 'length', units))
  return [
    ['trim', trimWords(a.trim_deg ?? 0), trimWords(b.trim_deg ?? 0)],
    ['list', listWords(a.heel_deg ?? 0), listWords(b.heel_deg ?? 0)],
    ['GM', gm(a.gm_m), gm(b.gm_m)],
    [
      'No-go · Fix · Watch',
      `${a.stops} · ${a.fixes} · ${a.watches}`,
      `${b.stops} · ${b.fixes} · ${b.watches}`,
    ],
  ]
}

watch(open, (now) => {
  if (now) void run()
  else stop()
})
watch(
  () => store.kept?.revision,
  () => {
    stop()
    progress.value = null
  },
)
onScopeDispose(stop)
</script>

<template>
  <el-dialog v-model="open" title="Arrange everything" width="560" align-center>
    <p class="soft">
      Looks for places for everything that may move: level, low, within reach by use, in as few
      moves as it takes. What is locked ({{ locked }}) and what is worn stays; a rod goes with its
      holder, and a crate with what is in it.
    </p>
    <div class="bar">
      <progress :value="share" max="100" aria-label="Arranging" />
      <span class="soft" role="status" data-testid="arrange-status">{{
        running ? (progress?.words ?? (waiting || 'starting')) : progress ? 'done' : 'stopped'
      }}</span>
      <button v-if="running" type="button" class="small" data-testid="arrange-stop" @click="stop">
        Stop
      </button>
      <button v-else type="button" class="small" data-testid="arrange-again" @click="run">
        Again
      </button>
    </div>
    <p v-if="trouble" class="stop" role="alert">{{ trouble }}</p>
    <template v-if="best">
      <h2>Best so far</h2>
      <ol class="lines" data-testid="arrange-lines">
        <li v-for="(line, i) in best.lines" :key="i">{{ said(line, look.units) }}</li>
      </ol>
      <table>
        <thead>
          <tr>
            <th scope="col"><span class="unseen">Figure</span></th>
            <th scope="col">now</th>
            <th scope="col">arranged</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="[label, was, is] in rows(best, look.units)" :key="label">
            <th scope="row">{{ label }}</th>
            <td class="num">{{ was }}</td>
            <td class="num">{{ is }}</td>
          </tr>
        </tbody>
      </table>
      <p>Moves {{ names }}.</p>
      <p v-for="one in best.new" :key="one.key" class="new">
        <VerdictMark :verdict="one.verdict" bare /> new: {{ said(one.title, look.units) }}
      </p>
      <p v-if="best.proved" class="soft">
        No better choice among the places looked at, as far as small changes tell.
      </p>
    </template>
    <p v-else-if="progress && !running">
      Nothing better was found than what is there; unlock more, or move one item yourself.
    </p>
    <template #footer>
      <el-button :disabled="!best" data-testid="arrange-preview" @click="preview"
        >Show on the bench</el-button
      >
      <el-button type="primary" :disabled="!best" data-testid="arrange-apply" @click="apply"
        >Apply</el-button
      >
    </template>
  </el-dialog>
</template>

<style scoped>
.bar {
  display: flex;
  gap: 10px;
  align-items: center;
}
progress {
  flex: 1;
  height: 8px;
  accent-color: var(--pick);
}
h2 {
  margin: 12px 0 4px;
}
.lines {
  margin: 0 0 8px;
  padding-left: 18px;
}
table {
  border-collapse: collapse;
}
th,
td {
  padding: 1px 14px 1px 0;
  text-align: left;
}
th {
  color: var(--soft);
  font-weight: 400;
}
p {
  margin: 6px 0;
}
.new {
  margin: 2px 0;
}
</style>
