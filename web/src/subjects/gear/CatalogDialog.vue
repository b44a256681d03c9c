<script setup lang="ts">
/** Generic items with typical figures, copied into the pile as guesses. */
import { computed, ref, watch } from 'vue'
import { api, ask, type Thing } from '@/api/client'
import { number, unitOf, type Units } from '@/kit/units'

defineProps<{ units: Units }>()
const open = defineModel<boolean>({ required: true })
const emit = defineEmits<{ add: [things: Thing[]] }>()

const things = ref<Thing[]>([])
const search = ref('')
const trouble = ref('')
watch(open, async (now) => {
  if (!now || things.value.length) return
  try {
    things.value = (await ask(api.GET('/api/v1/catalog'))) as Thing[]
  } catch {
    trouble.value = 'The catalogue could not be read.'
  }
})
const found = computed(() => {
  const text = search.value.trim().toLowerCase()
  return things.value.filter((one) => `${one.name} ${one.kind}`.toLowerCase().includes(text))
})
</script>

<template>
  <el-dialog v-model="open" title="Generic items" width="520" align-center>
    <p class="soft">
      Typical figures, none a maker's. Each comes as a guess ○ until you weigh yours.
    </p>
    <el-input
      v-model="search"
      size="small"
      placeholder="Find"
      aria-label="Find in the catalogue"
      clearable
    />
    <p v-if="trouble" class="stop" role="alert">{{ trouble }}</p>
    <ul data-testid="catalog">
      <li v-for="one in found" :key="one.name">
        <span>{{ one.name }}</span>
        <span class="soft">{{ one.kind }}</span>
        <span class="num"
          >{{ number(one.mass_kg, 'mass', units, 2) }} {{ unitOf('mass', units) }}</span
        >
        <el-button size="small" @click="emit('add', [one])">Copy</el-button>
      </li>
    </ul>
    <p v-if="things.length && !found.length" class="soft">Nothing of that name.</p>
  </el-dialog>
</template>

<style scoped>
p {
  margin: 0 0 8px;
}
ul {
  height: 380px;
  margin: 8px 0 0;
  padding: 0;
  overflow-y: auto;
  list-style: none;
}
li {
  display: grid;
  grid-template-columns: 1fr 90px 80px auto;
  gap: 10px;
  align-items: center;
  padding: 3px 0;
  border-bottom: 1px solid var(--line);
}
.num {
  text-align: right;
}
</style>
