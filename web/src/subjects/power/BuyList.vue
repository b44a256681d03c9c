<script setup lang="ts">
/** What to buy for the wiring, and how each battery gets to its charger. */
import type { FullPower, Thing } from '@/api/client'
import { show, type Units } from '@/kit/units'

defineProps<{ full: FullPower; setup_id: number; things: Record<string, Thing>; units: Units }>()
</script>

<template>
  <section v-if="full.buy.length" aria-label="What to buy">
    <h2>
      What to buy
      <a :href="`/api/v1/setups/${setup_id}/power/shopping.csv`" download data-testid="buy-csv"
        >as a table (CSV)</a
      >
    </h2>
    <table>
      <tbody>
        <tr v-for="one in full.buy" :key="one.what + one.size">
          <th scope="row">{{ one.what }} {{ one.size }}</th>
          <td class="num">
            {{ one.length_m === null ? one.count : show(one.length_m, 'length', units, 0) }}
          </td>
          <td class="soft">{{ one.note }}</td>
        </tr>
      </tbody>
    </table>
    <template v-for="one in full.ashore" :key="one.thing_id">
      <h2 class="next">
        To take {{ things[String(one.thing_id)]?.name }} ashore: {{ one.steps.length }}
        {{ one.steps.length === 1 ? 'step' : 'steps' }}
      </h2>
      <ol>
        <li v-for="step in one.steps" :key="step.words">{{ step.words }}</li>
      </ol>
    </template>
  </section>
</template>

<style scoped src="./tables.css"></style>
<style scoped>
h2 a {
  margin-left: 8px;
  font-size: 12px;
  font-weight: 400;
}
.next {
  margin-top: 12px;
}
ol {
  margin: 0;
  padding-left: 20px;
}
td.soft {
  white-space: normal;
}
</style>
