<script setup lang="ts">
/** A table of gear taken in: first what each line would do, then the step itself. */
import { computed, ref } from 'vue'
import { api, ask, whyNone, type ImportRow } from '@/api/client'

const props = defineProps<{ setup_id: number }>()
const open = defineModel<boolean>({ required: true })
const emit = defineEmits<{ take: [text: string, take_good: boolean] }>()

const text = ref('')
const rows = ref<ImportRow[]>([])
const trouble = ref('')
const count = (does: ImportRow['does']) => rows.value.filter((row) => row.does === does).length
const bad = computed(() => count('bad'))
const does = computed(() => count('new') + count('changes'))

async function read(event: Event): Promise<void> {
  const input = event.target as HTMLInputElement
  const file = input.files?.[0]
  if (!file) return
  text.value = await file.text()
  input.value = ''
  rows.value = []
  trouble.value = ''
  try {
    rows.value = (await ask(
      api.POST('/api/v1/setups/{setup_id}/gear/preview', {
        params: { path: { setup_id: props.setup_id } },
        body: { text: text.value },
      }),
    )) as ImportRow[]
  } catch (error) {
    trouble.value = whyNone(error)
  }
}
</script>

<template>
  <el-dialog v-model="open" title="Gear from a CSV file" width="600" align-center>
    <p class="soft">
      One row for each item; a column <code>name</code> and one of weights (<code>mass_kg</code> or
      <code>mass_lb</code>) are enough. Nothing changes before you say so.
    </p>
    <input
      type="file"
      accept=".csv,text/csv"
      aria-label="CSV file"
      data-testid="gear-file"
      @change="read"
    />
    <p v-if="trouble" class="stop" role="alert">{{ trouble }}</p>
    <template v-if="rows.length">
      <p data-testid="import-sum">
        {{ count('new') }} new, {{ count('changes') }} changed, {{ count('same') }} as they are,
        {{ bad }} that cannot be read.
      </p>
      <div class="rows">
        <table>
          <tbody>
            <tr v-for="row in rows" :key="row.line" :class="{ stop: row.does === 'bad' }">
              <td class="num">line {{ row.line }}</td>
              <td>{{ row.name }}</td>
              <td>{{ row.does }}</td>
              <td class="soft">{{ row.why }}</td>
            </tr>
          </tbody>
        </table>
      </div>
    </template>
    <template #footer>
      <el-button size="small" @click="open = false">Leave it</el-button>
      <el-button
        v-if="bad"
        size="small"
        :disabled="!does"
        data-testid="take-good"
        @click="emit('take', text, true)"
        >Import the {{ does }} good ones</el-button
      >
      <el-button
        v-else
        size="small"
        type="primary"
        :disabled="!does"
        data-testid="take-all"
        @click="emit('take', text, false)"
        >Import</el-button
      >
    </template>
  </el-dialog>
</template>

<style scoped>
p {
  margin: 0 0 8px;
}
input {
  max-width: 100%;
  margin-bottom: 8px;
  font-size: 12px;
}
.rows {
  max-height: 300px;
  overflow-y: auto;
}
table {
  width: 100%;
  border-collapse: collapse;
}
td {
  padding: 2px 6px;
  border-top: 1px solid var(--line);
}
</style>
