<script setup lang="ts">
/** What pulls at a mount, what each bolt bears, and how far from giving way. */
import type { Schemas } from '@/api/client'
import { show, type Units } from '@/kit/units'
import VerdictMark from '@/kit/VerdictMark.vue'
import { CHECK, LASTS } from './words'

defineProps<{ situations: readonly Schemas['SituationFigure'][]; units: Units }>()
const chosen = defineModel<string>({ required: true })
const most = (bolts: readonly Schemas['Pull'][], of: 'tension_n' | 'shear_n') =>
  Math.max(0, ...bolts.map((one) => one[of]))
/** The three that are nearest to giving way. */
const nearest = (checks: readonly Schemas['Check'][]) =>
  [...checks].sort((a, b) => a.safety - b.safety).slice(0, 3)
</script>

<template>
  <section aria-label="Situations">
    <table>
      <thead>
        <tr>
          <th>When</th>
          <th class="num">bolt pulled</th>
          <th class="num">aside</th>
          <th class="num">tilt</th>
          <th class="num">without plate</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="one in situations" :key="one.name" :class="{ chosen: one.name === chosen }">
          <th scope="row">
            <button type="button" @click="chosen = one.name">{{ one.name }}</button>
            <small>{{ LASTS[one.duration] }}</small>
          </th>
          <td class="num">
            {{ one.bolts.length ? show(most(one.bolts, 'tension_n'), 'force', units) : '—' }}
          </td>
          <td class="num">
            {{ one.bolts.length ? show(most(one.bolts, 'shear_n'), 'force', units) : '—' }}
          </td>
          <td class="num">{{ show(one.tilt_deg, 'angle', units) }}</td>
          <td class="num">{{ show(one.tilt_bare_deg, 'angle', units) }}</td>
        </tr>
      </tbody>
    </table>
    <ul v-for="one in situations.filter((row) => row.name === chosen)" :key="one.name">
      <li v-for="check in nearest(one.checks)" :key="check.name">
        <VerdictMark :verdict="check.verdict" bare /> {{ CHECK[check.name] }}:
        <b>{{ check.safety > 99 ? 'over 99' : show(check.safety, 'times', units) }}</b> times strong
        enough
      </li>
    </ul>
  </section>
</template>

<style scoped src="./tables.css"></style>
<style scoped>
ul {
  margin: 6px 0 0;
  padding: 0;
  list-style: none;
  font-size: 12px;
}
</style>
