<script setup lang="ts">
/** Situations, worst first: heel, freeboard, and how much of the margin it takes. */
import type { Demand, Drawing } from '@/api/client'
import HeeledSection from '@/drawing/HeeledSection.vue'
import { number, show, unitOf, type Units } from '@/kit/units'
import { told } from '@/kit/words'
import VerdictMark from '@/kit/VerdictMark.vue'

defineProps<{ demands: Demand[]; drawing: Drawing; units: Units }>()

function heel(deg: number | null): string {
  if (deg === null) return '—'
  const size = Math.abs(deg).toFixed(1)
  return size === '0.0' ? '0.0°' : `${size}° ${deg > 0 ? 'starb.' : 'port'}`
}
function percent({ margin_used: share, margin_band: band }: Demand): string {
  if (share === null) return 'over'
  if (share > 2) return 'over 200 %'
  return `${(100 * share).toFixed(0)}${band === null ? '' : ` ± ${(100 * band).toFixed(0)}`} %`
}
</script>

<template>
  <table data-testid="demands">
    <thead>
      <tr>
        <th scope="col" />
        <th scope="col" class="left">Situation</th>
        <th scope="col">heel</th>
        <th scope="col">least freeboard, {{ unitOf('length', units) }}</th>
        <th scope="col">GM, {{ unitOf('length', units) }}</th>
        <th scope="col">stability margin used</th>
        <th scope="col" />
      </tr>
    </thead>
    <tbody>
      <tr v-for="one in demands" :key="one.code" :data-demand="one.code">
        <td>
          <HeeledSection
            :drawing="drawing"
            :heel_deg="one.heel_deg"
            :water_m="one.section_water_m"
            :size="62"
          />
        </td>
        <th scope="row" class="left">
          {{ one.title }}
          <span class="what">{{ told(one.what, one.amounts, units) }}</span>
          <span v-if="one.trouble" class="what trouble">{{ one.trouble }}</span>
        </th>
        <td class="num">{{ heel(one.heel_deg) }}</td>
        <td class="num">
          {{
            one.least_freeboard_m === null ? '—' : number(one.least_freeboard_m, 'length', units)
          }}
        </td>
        <td class="num">{{ one.gm_m === null ? '—' : number(one.gm_m, 'length', units) }}</td>
        <td
          class="num"
          :title="`heeling lever ${show(one.lever_m, 'length', units)} of ${show(one.greatest_gz_m ?? 0, 'length', units)}`"
        >
          {{ percent(one) }}
          <span class="bar" aria-hidden="true"
            ><i
              :class="one.verdict"
              :style="{ width: `${Math.min(100, 100 * (one.margin_used ?? 1))}%` }"
          /></span>
        </td>
        <td><VerdictMark :verdict="one.verdict" /></td>
      </tr>
    </tbody>
  </table>
</template>

<style scoped>
table {
  width: 100%;
  border-collapse: collapse;
}
thead th {
  padding: 4px 6px;
  color: var(--soft);
  font-size: 12px;
  font-weight: 400;
  text-align: right;
}
.left,
thead .left {
  text-align: left;
}
tbody tr {
  border-top: 1px solid var(--line);
}
td,
tbody th {
  padding: 3px 6px;
  font-weight: 600;
  text-align: right;
  white-space: nowrap;
}
td {
  font-weight: 400;
}
tbody th.left {
  white-space: normal;
}
.what {
  display: block;
  color: var(--soft);
  font-size: 12px;
  font-weight: 400;
}
.trouble {
  color: var(--stop);
}
.bar {
  display: block;
  width: 74px;
  height: 4px;
  margin: 3px 0 0 auto;
  border-radius: 2px;
  background: var(--line);
}
.bar i {
  display: block;
  height: 4px;
  border-radius: 2px;
  background: currentColor;
}
</style>
