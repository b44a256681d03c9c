<script setup lang="ts">
/** What a setup is judged for, and the one table of limits; any of them can be moved. */
import { computed, ref, watch } from 'vue'
import { api, ask, type Judging, type LimitRow } from '@/api/client'
import { useAsked } from '@/kit/useAsked'
import { number, parse, unitOf, type Units } from '@/kit/units'
import { useLook } from '@/setup/look'
import { useSetup } from '@/setup/useSetup'
import CellInput from '@/kit/CellInput.vue'
import ChoiceGroup from '@/kit/ChoiceGroup.vue'

const open = defineModel<boolean>({ required: true })
const store = useSetup()
const look = useLook()
const table = useAsked<LimitRow[]>()
const rows = computed(() => table.answer.value ?? [])
const refused = ref('')
const trouble = computed(() => refused.value || table.trouble.value)

watch([open, () => store.kept?.revision], ([now]) => {
  if (!now || !store.kept) return
  const path = { setup_id: store.kept.setup_id }
  void table.put(() => ask(api.GET('/api/v1/setups/{setup_id}/limits', { params: { path } })))
})

async function put(change: Partial<Judging>): Promise<void> {
  refused.value = ''
  if (!(await store.putJudging(change))) refused.value = store.refusal?.message ?? ''
}

type Level = 'fine' | 'watch' | 'fix'
function move(row: LimitRow, level: Level, text: string): void {
  const value = parse(text, row.kind, look.units)
  if (value === null) {
    refused.value = `“${text}” cannot be read as a limit for ${row.title}.`
    return
  }
  const { waters, hand, moved } = store.kept!.setup.judging
  const rest = moved.filter((one) => !isMine(one, row))
  // What was moved a moment ago is not in the row yet.
  const { fine, watch, fix } = moved.find((one) => isMine(one, row)) ?? row
  const levels = { fine, watch, fix: fix ?? row.fix, [level]: value }
  void put({ moved: [...rest, { key: row.key, waters, hand, ...levels }] })
}
const isMine = (one: Judging['moved'][number], row: LimitRow) => {
  const { waters, hand } = store.kept!.setup.judging
  return one.key === row.key && one.waters === waters && one.hand === hand
}
const reset = (row: LimitRow) =>
  put({ moved: store.kept!.setup.judging.moved.filter((one) => !isMine(one, row)) })

function shown(row: LimitRow, level: Level, units: Units): string {
  const value = row[level]
  return value === null ? '' : number(value, row.kind, units, row.kind === 'angle' ? 1 : undefined)
}
/** What it is judged for, each as a few words to choose from. */
const PROFILE: {
  label: string
  words: [string, string][]
  of: (judging: Judging) => string
  to: (word: string) => Partial<Judging>
}[] = [
  {
    label: 'Water',
    words: [
      ['calm pond', 'calm pond'],
      ['river', 'river'],
      ['open water', 'open water'],
    ],
    of: (judging) => judging.waters,
    to: (word) => ({ waters: word as Judging['waters'] }),
  },
  {
    label: 'Hand',
    words: [
      ['novice', 'novice'],
      ['used to it', 'used to it'],
    ],
    of: (judging) => judging.hand,
    to: (word) => ({ hand: word as Judging['hand'] }),
  },
  {
    label: 'Light',
    words: [
      ['day', 'by day'],
      ['night', 'into the dark'],
    ],
    of: (judging) => (judging.by_night ? 'night' : 'day'),
    to: (word) => ({ by_night: word === 'night' }),
  },
  {
    label: 'How much may be carried',
    words: [
      ['tightest', 'the tightest'],
      ['working load', 'working load'],
      ['freeboard', 'freeboard'],
    ],
    of: (judging) => judging.school,
    to: (word) => ({ school: word as Judging['school'] }),
  },
]
const LEVELS: [Level, string][] = [
  ['fine', 'OK to'],
  ['watch', 'Watch to'],
  ['fix', 'Fix to'],
]
</script>

<template>
  <el-dialog v-model="open" title="Limits for this trip" width="760" align-center>
    <template v-if="store.kept">
      <div class="profile">
        <ChoiceGroup
          v-for="one in PROFILE"
          :key="one.label"
          :model-value="one.of(store.kept.setup.judging)"
          :label="one.label"
          :options="one.words"
          @update:model-value="put(one.to($event))"
        />
      </div>
      <p class="soft">
        Our own starting levels, for this water and your practice. The law, makers' labels and
        qualified people come first. Past the maker's rating is always a No-go.
      </p>
      <p v-if="trouble" class="stop" role="alert">{{ trouble }}</p>
      <div class="scroll">
        <table data-testid="limit-table">
          <thead>
            <tr>
              <th scope="col">Limit</th>
              <th v-for="[level, word] in LEVELS" :key="level" scope="col">{{ word }}</th>
              <th scope="col"><span class="unseen">Back to usual</span></th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="row in rows" :key="row.key" :data-limit="row.key">
              <th scope="row">
                {{ row.title }}
                <span class="soft reason">{{ row.reason }}</span>
              </th>
              <td v-for="[level, word] in LEVELS" :key="level">
                <span v-if="row[level] === null" class="soft">–</span>
                <label v-else>
                  <span class="unseen">{{ row.title }}, {{ word }}</span>
                  <CellInput
                    class="num"
                    :value="shown(row, level, look.units)"
                    @take="move(row, level, $event)"
                  />
                  <span class="soft">{{ unitOf(row.kind, look.units) }}</span>
                </label>
              </td>
              <td>
                <button v-if="row.moved" type="button" class="link" @click="reset(row)">
                  back to usual
                </button>
              </td>
            </tr>
          </tbody>
        </table>
      </div>
    </template>
  </el-dialog>
</template>

<style scoped>
.profile {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 16px;
}
.scroll {
  max-height: 440px;
  overflow-y: auto;
}
table {
  width: 100%;
  border-collapse: collapse;
}
thead th {
  position: sticky;
  top: 0;
  background: var(--card);
  color: var(--soft);
  font-size: 12px;
  font-weight: 400;
}
th,
td {
  padding: 3px 6px;
  border-bottom: 1px solid var(--line);
  text-align: left;
  vertical-align: top;
}
tbody th {
  font-weight: 400;
}
.reason {
  display: block;
  max-width: 330px;
  font-size: 11px;
  line-height: 1.3;
}
td {
  white-space: nowrap;
}
input {
  width: 58px;
  margin-right: 3px;
  height: 22px;
  padding: 0 4px;
  border: 1px solid var(--line);
  border-radius: 4px;
  background: var(--card);
  color: var(--ink);
  text-align: right;
}
</style>
