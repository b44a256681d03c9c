<script setup lang="ts">
/** One transducer: how it is mounted, and what becomes of it as the boat lies. */
import type { Figures, Thing } from '@/api/client'
import { CHOICES } from '@/api/words'
import { pick } from '@/kit/heard'
import QuantityInput from '@/kit/QuantityInput.vue'
import { show, type Units } from '@/kit/units'
import VerdictMark from '@/kit/VerdictMark.vue'
import { listWords } from '@/kit/words'
import { underWords } from './depths'
import TickBox from '@/kit/TickBox.vue'

type Transducer = NonNullable<Thing['transducer']>
const props = defineProps<{
  seen: NonNullable<Figures['sonar']>['transducers'][number]
  name: string
  aspect: Transducer | null
  units: Units
}>()
const emit = defineEmits<{ change: [fields: Partial<Transducer>] }>()

const MOUNT: Record<Transducer['mount'], string> = {
  inside: 'inside the hull',
  recess: 'recess under it',
  arm: 'arm over the side',
  motor: 'on the motor',
  pole: 'pole at the bow',
}
const under = (depth_m: number | null) => underWords(depth_m, props.units)
</script>

<template>
  <div>
    <h2>{{ name }}</h2>
    <div v-if="aspect" class="fields">
      <label
        >Mounted
        <select
          :value="seen.mount"
          data-testid="sonar-mount"
          @change="emit('change', { mount: pick($event) as Transducer['mount'] })"
        >
          <option v-for="mount in CHOICES.Transducer.mount" :key="mount" :value="mount">
            {{ MOUNT[mount] }}
          </option>
        </select></label
      >
      <label
        >Sounds through
        <select
          :value="aspect.through"
          data-testid="sonar-through"
          @change="emit('change', { through: pick($event) as Transducer['through'] })"
        >
          <option v-for="through in CHOICES.Transducer.through" :key="through">
            {{ through }}
          </option>
        </select></label
      >
      <label
        >Cone
        <QuantityInput
          :model-value="aspect.cone_deg"
          label="Cone, whole angle"
          kind="angle"
          :digits="0"
          :units="units"
          testid="sonar-cone"
          @update:model-value="emit('change', { cone_deg: $event })"
      /></label>
      <TickBox :on="aspect.side_beams" @tick="emit('change', { side_beams: $event })"
        >side beams</TickBox
      >
      <TickBox :on="aspect.reads_temperature" @tick="emit('change', { reads_temperature: $event })"
        >shows temperature</TickBox
      >
    </div>
    <dl>
      <div>
        <dt>Face, at rest</dt>
        <dd data-testid="sonar-rest">{{ under(seen.depth_m) }}</dd>
      </div>
      <div>
        <dt>
          At its least<template v-if="seen.least_heel_deg"
            >, {{ listWords(seen.least_heel_deg) }}</template
          ><template v-else-if="seen.least_by">, {{ seen.least_by.toLowerCase() }}</template>
        </dt>
        <dd>{{ under(seen.least_m) }} <VerdictMark :verdict="seen.verdict" bare /></dd>
      </div>
      <div>
        <dt>Below the hull there</dt>
        <dd>{{ show(Math.max(0, seen.below_here_m), 'length', units) }}</dd>
      </div>
      <div>
        <dt>Behind the drive</dt>
        <dd>
          {{
            seen.behind_drive_m === null ? 'clear' : show(seen.behind_drive_m, 'length', units, 0)
          }}
        </dd>
      </div>
      <div>
        <dt>Side beam hidden</dt>
        <dd>{{ show(seen.cut_off_deg, 'angle', units, 0) }}</dd>
      </div>
      <div>
        <dt>Drag at {{ seen.speed_m_s }} m/s</dt>
        <dd>{{ seen.drag_n.toFixed(1) }} N</dd>
      </div>
      <div v-if="seen.ball_from_m !== null">
        <dt>Downrigger’s ball in the cone</dt>
        <dd>from {{ show(seen.ball_from_m, 'length', units, 0) }} down</dd>
      </div>
    </dl>
  </div>
</template>

<style scoped>
h2 {
  margin: 0 0 6px;
}
.fields {
  display: grid;
  grid-template-columns: 1fr 1fr 90px;
  gap: 6px 10px;
}
.fields label {
  display: grid;
  gap: 2px;
  color: var(--soft);
  font-size: 11px;
}
.fields .tick {
  display: flex;
  gap: 5px;
  align-items: center;
  font-size: 13px;
}
select {
  width: 100%;
  height: 24px;
  border: 1px solid var(--line);
  border-radius: 6px;
  background: var(--card);
  color: var(--ink);
  font: inherit;
  font-size: 13px;
}
dl {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 6px 12px;
  margin: 10px 0 0;
}
dt {
  color: var(--soft);
  font-size: 11px;
}
dd {
  margin: 0;
  font-family: var(--mono);
  font-size: 12px;
}
</style>
