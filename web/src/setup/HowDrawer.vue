<script setup lang="ts">
/** How a figure was computed: words, formula, inputs and values between, and how sure it is. */
import { watch } from 'vue'
import { api, ask, type How } from '@/api/client'
import { useAsked } from '@/kit/useAsked'
import { show, type Units } from '@/kit/units'
import type { HowFigure } from './how'

const props = defineProps<{
  setup_id: number
  revision: number
  figure: HowFigure | null
  units: Units
}>()
const emit = defineEmits<{ close: [] }>()

const { answer: how, trouble, put, forget } = useAsked<How>()

watch(
  [() => props.figure, () => props.revision],
  ([figure]) => {
    forget()
    if (!figure) return
    const path = { setup_id: props.setup_id, figure }
    void put(() => ask(api.GET('/api/v1/setups/{setup_id}/how/{figure}', { params: { path } })))
  },
  { immediate: true },
)
</script>

<template>
  <el-drawer
    :model-value="figure !== null"
    :title="how?.title ?? 'How it was computed'"
    size="380"
    @close="emit('close')"
  >
    <p v-if="trouble" class="stop">{{ trouble }}</p>
    <template v-if="how">
      <p>{{ how.plain }}</p>
      <p class="formula">{{ how.formula }}</p>
      <table data-testid="how-rows">
        <tbody>
          <tr v-for="row in how.rows" :key="row.label">
            <th scope="row">{{ row.label }}</th>
            <td class="num">{{ show(row.value, row.kind, units) }}</td>
          </tr>
        </tbody>
      </table>
      <p v-if="how.band" data-testid="how-band">
        <b>± {{ show(how.band.value, how.band.kind, units) }}</b> by the evidence of hull and
        weights
      </p>
      <table v-if="how.band_parts.length" data-testid="how-band-parts">
        <caption>
          What of it comes from where; the parts add in squares
        </caption>
        <tbody>
          <tr v-for="row in how.band_parts" :key="row.label">
            <th scope="row">{{ row.label }}</th>
            <td class="num">{{ show(row.value, row.kind, units) }}</td>
          </tr>
        </tbody>
      </table>
      <p class="soft">{{ how.sure }}</p>
    </template>
  </el-drawer>
</template>

<style scoped>
.formula {
  padding: 8px 10px;
  border-left: 3px solid var(--pick);
  background: var(--paper);
  font-family: var(--mono);
  font-size: 12px;
}
caption {
  padding: 4px 0;
  color: var(--soft);
  text-align: left;
}
table {
  width: 100%;
  border-collapse: collapse;
}
th,
td {
  padding: 4px 0;
  border-bottom: 1px solid var(--line);
  font-weight: 400;
  text-align: left;
}
td {
  text-align: right;
  white-space: nowrap;
}
</style>
