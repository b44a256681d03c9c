<script setup lang="ts">
/** Batteries joined in parallel: which, under what name, and where their leads meet. */
import { computed } from 'vue'
import type { Thing } from '@/api/client'
import type { Power } from './wiring'
import { pick } from '@/kit/heard'

type Bank = Power['banks'][string]
const props = defineProps<{
  power: Power
  batteries: number[]
  /** things at which leads can meet */
  blocks: number[]
  things: Record<string, Thing>
}>()
const emit = defineEmits<{ change: [rows: Record<string, Bank | null>] }>()

const rows = computed(() => Object.entries(props.power.banks))
const joined = computed(() => new Set(rows.value.flatMap(([, one]) => one.batteries)))
const free = computed(() => props.batteries.filter((id) => !joined.value.has(id)))
const nameOf = (id: number) => props.things[String(id)]?.name ?? ''

/** The first two that are in no bank; their leads meet at the first fuse block, or at their posts. */
function join(): void {
  let n = rows.value.length + 1
  while (props.power.banks[`House ${n}`]) n += 1
  const bank = { batteries: free.value.slice(0, 2), bus: props.blocks[0] ?? null }
  emit('change', { [`House ${n}`]: bank })
}
function turn(name: string, bank: Bank, id: number): void {
  const batteries = bank.batteries.includes(id)
    ? bank.batteries.filter((one) => one !== id)
    : [...bank.batteries, id]
  emit('change', { [name]: batteries.length < 2 ? null : { ...bank, batteries } })
}
</script>

<template>
  <section v-if="batteries.length > 1 || rows.length" aria-label="Batteries joined in parallel">
    <h2>Joined in parallel</h2>
    <p v-if="!rows.length" class="soft">Each battery feeds what hangs on it alone.</p>
    <table v-else>
      <tbody>
        <tr v-for="[name, bank] in rows" :key="name">
          <th scope="row">{{ name }}</th>
          <td>
            <label
              v-for="id in batteries.filter(
                (one) => bank.batteries.includes(one) || !joined.has(one),
              )"
              :key="id"
              ><input
                type="checkbox"
                :checked="bank.batteries.includes(id)"
                @change="turn(name, bank, id)"
              />
              {{ nameOf(id) }}</label
            >
          </td>
          <td>
            leads meet at
            <select
              :value="bank.bus ?? ''"
              :aria-label="`${name}: leads meet at`"
              @change="
                emit('change', {
                  [name]: { ...bank, bus: pick($event) === '' ? null : Number(pick($event)) },
                })
              "
            >
              <option value="">their posts</option>
              <option v-for="id in blocks" :key="id" :value="id">{{ nameOf(id) }}</option>
            </select>
          </td>
          <td>
            <button
              type="button"
              class="gone"
              :aria-label="`Part ${name}`"
              @click="emit('change', { [name]: null })"
            >
              ×
            </button>
          </td>
        </tr>
      </tbody>
    </table>
    <el-button v-if="free.length > 1" size="small" data-testid="join" @click="join"
      >Join two batteries</el-button
    >
  </section>
</template>

<style scoped src="./tables.css"></style>
<style scoped>
table {
  width: auto;
  margin-bottom: 6px;
}
label {
  margin-right: 10px;
}
p {
  margin: 0 0 6px;
}
</style>
