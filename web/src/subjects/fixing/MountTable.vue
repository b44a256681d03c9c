<script setup lang="ts">
/** Every mount as a row, the worst first. */
import { computed } from 'vue'
import type { MountFigure } from '@/api/client'
import { show, type Units } from '@/kit/units'
import VerdictMark from '@/kit/VerdictMark.vue'
import { BY, CHECK, REGION } from './words'

const props = defineProps<{ mounts: readonly MountFigure[]; units: Units }>()
const chosen = defineModel<string | null>({ required: true })

const RANK = { stop: 0, fix: 1, watch: 2, fine: 3 }
const rows = computed(() =>
  [...props.mounts].sort(
    (a, b) =>
      Number(a.usual) - Number(b.usual) ||
      RANK[a.verdict] - RANK[b.verdict] ||
      (a.least ?? 999) - (b.least ?? 999),
  ),
)
const strength = (one: MountFigure) =>
  one.least === null ? '—' : one.least > 99 ? 'over 99' : show(one.least, 'times', props.units)
const stiff = (one: MountFigure) => one.by === 'strap' || one.by === 'clamp'
</script>

<template>
  <section aria-label="Mounts">
    <table>
      <thead>
        <tr>
          <th>Mount</th>
          <th>by</th>
          <th>on the</th>
          <th class="num" title="Strength over what is asked">times strong enough</th>
          <th class="num">wobble</th>
          <th class="num">droop</th>
          <th />
        </tr>
      </thead>
      <tbody data-testid="mounts">
        <tr
          v-for="one in rows"
          :key="one.key"
          :class="{ chosen: one.key === chosen, guessed: one.usual }"
          :data-row="one.key"
        >
          <th scope="row">
            <button type="button" @click="chosen = one.key">{{ one.name }}</button>
            <small v-if="one.governs && (one.least ?? 999) < 99"
              >{{ CHECK[one.governs] }}, {{ one.worst_in }}</small
            >
          </th>
          <td>
            {{ one.bolts.length && !stiff(one) ? `${one.bolts.length} ` : ''
            }}{{ one.bolts.length === 1 ? BY[one.by].replace(/s$/, '') : BY[one.by]
            }}{{ one.usual ? ', guessed' : '' }}
          </td>
          <td>{{ one.on_track ?? REGION[one.region] }}</td>
          <td class="num">{{ strength(one) }}</td>
          <td class="num">
            {{ stiff(one) ? '—' : show(one.tilt_deg + one.play_deg, 'angle', units) }}
          </td>
          <td class="num">{{ stiff(one) ? '—' : show(one.droop_deg, 'angle', units) }}</td>
          <td><VerdictMark :verdict="one.verdict" /></td>
        </tr>
      </tbody>
    </table>
  </section>
</template>

<style scoped src="./tables.css"></style>
