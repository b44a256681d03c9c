<script setup lang="ts">
/** Better than a tape: a table of offsets; and points measured to check the drawn sections. */
import { computed, ref } from 'vue'
import { api, ask, Refusal, type Boat } from '@/api/client'
import { number, parse, show, unitOf, type Units } from '@/kit/units'

const boat = defineModel<Boat>({ required: true })
const props = defineProps<{ units: Units; wrong: (field: string) => string }>()

const trouble = ref<string[]>([])
const point = ref({ x: '', y: '', z: '' })
const badPoint = ref('')
const length = computed(() => boat.value.offsets?.at(-1)?.x_m ?? boat.value.tape.length_m)

async function read(event: Event): Promise<void> {
  const input = event.target as HTMLInputElement
  const file = input.files?.[0]
  if (!file) return
  trouble.value = []
  try {
    boat.value.offsets = (await ask(
      api.POST('/api/v1/boat/offsets', { body: { text: await file.text() } }),
    )) as Boat['offsets']
  } catch (error) {
    trouble.value =
      error instanceof Refusal
        ? error.problem.fields.map((one) => `${one.field}: ${one.why}`)
        : ['The file could not be read.']
  }
  input.value = ''
}

function add(): void {
  const [x, y, z] = (['x', 'y', 'z'] as const).map((axis) =>
    parse(point.value[axis], 'length', props.units),
  )
  if (x == null || y == null || z == null) {
    badPoint.value = 'Three lengths are needed, such as 120, 38.5 and 12.'
    return
  }
  badPoint.value = ''
  boat.value.measured = [...boat.value.measured, { x_m: length.value - x, y_m: y, z_m: z }]
  point.value = { x: '', y: '', z: '' }
}
const drop = (i: number) => boat.value.measured.splice(i, 1)
</script>

<template>
  <h2>Measured points</h2>
  <p class="soft">
    Check a drawn section: from the bow, off the middle, above the ground. A point that disagrees
    shows red on the sections.
  </p>
  <div class="points">
    <el-input v-model="point.x" size="small" placeholder="from bow" aria-label="From the bow" />
    <el-input v-model="point.y" size="small" placeholder="off middle" aria-label="Off the middle" />
    <el-input v-model="point.z" size="small" placeholder="height" aria-label="Height" />
    <span class="soft">{{ unitOf('length', units) }}</span>
    <el-button size="small" data-testid="add-point" @click="add">Add point</el-button>
  </div>
  <p v-if="badPoint" class="stop" role="alert">{{ badPoint }}</p>
  <ul v-if="boat.measured.length">
    <li v-for="(one, i) in boat.measured" :key="i" class="num">
      {{ number(length - one.x_m, 'length', units) }} · {{ number(one.y_m, 'length', units) }} ·
      {{ show(one.z_m, 'length', units) }}
      <button type="button" :aria-label="`Remove point ${i + 1}`" @click="drop(i)">×</button>
    </li>
  </ul>
  <div class="file">
    <label class="soft" for="offsets">Offsets from a CSV file (x_cm, y_cm, z_cm)</label>
    <input id="offsets" type="file" accept=".csv,text/csv" data-testid="offsets" @change="read" />
  </div>
  <p v-if="boat.offsets" class="taken">
    {{ boat.offsets.length }} measured stations stand in for the tape's lines.
    <el-button size="small" @click="boat.offsets = null">Back to the tape</el-button>
  </p>
  <ul v-if="trouble.length" class="stop" role="alert">
    <li v-for="line in trouble" :key="line">{{ line }}</li>
  </ul>
</template>

<style scoped>
h2 {
  margin-top: 12px;
}
p {
  margin: 0 0 6px;
  font-size: 12px;
}
.points {
  display: grid;
  grid-template-columns: 1fr 1fr 1fr auto auto;
  gap: 8px;
  align-items: center;
}
ul {
  margin: 6px 0;
  padding: 0;
  list-style: none;
}
li button {
  border: 0;
  background: none;
  color: var(--soft);
  cursor: pointer;
}
.file {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: center;
  margin-top: 6px;
  font-size: 12px;
}
.file input {
  max-width: 230px;
  font-size: 12px;
}
.taken {
  margin-top: 6px;
}
</style>
