<script setup lang="ts">
/** The cart, and the way it goes to the water. */
import { computed } from 'vue'
import type { FullHaul, HaulPlan, Schemas } from '@/api/client'
import { CHOICES, USUAL } from '@/api/words'
import FromBowInput from '@/kit/FromBowInput.vue'
import { pick } from '@/kit/heard'
import QuantityInput from '@/kit/QuantityInput.vue'
import { show, type Units } from '@/kit/units'
import VerdictMark from '@/kit/VerdictMark.vue'
import type { HaulChange } from '@/setup/changing'
import TickBox from '@/kit/TickBox.vue'

type Cart = NonNullable<HaulPlan['cart']>
type Stretch = HaulPlan['way'][number]
const props = defineProps<{
  plan: HaulPlan
  haul: Schemas['HaulFigures'] | null
  full: FullHaul
  bow_x_m: number
  units: Units
}>()
const emit = defineEmits<{ take: [fields: HaulChange] }>()

const cart = computed(() => props.plan.cart ?? null)
const figure = computed(() => props.haul?.cart ?? null)
const setCart = (fields: Partial<Cart>) =>
  emit('take', { cart: cart.value ? fields : { ...USUAL.CartPlan, ...fields } })
const way = computed<Stretch[]>(() => (props.plan.way.length ? props.plan.way : [USUAL.Stretch]))
const setWay = (i: number, fields: Partial<Stretch>) =>
  emit('take', { way: way.value.map((one, at) => (at === i ? { ...one, ...fields } : one)) })
const add = () => emit('take', { way: [...way.value, USUAL.Stretch] })
const drop = (i: number) => emit('take', { way: way.value.filter((_, at) => at !== i) })
const force = (value: number) => show(value, 'force', props.units)
</script>

<template>
  <div class="card pad">
    <TickBox
      :on="cart !== null"
      testid="cart"
      @tick="$event ? setCart({}) : emit('take', { cart: null })"
      >it goes on a cart</TickBox
    >
    <template v-if="cart">
      <div class="fields">
        <label
          >Wheels
          <select
            :value="cart.wheels"
            data-testid="wheels"
            @change="
              setCart({
                wheels: pick($event) as Cart['wheels'],
                radius_m: null,
                width_m: null,
              })
            "
          >
            <option v-for="one in CHOICES.CartPlan.wheels" :key="one">{{ one }}</option>
          </select></label
        >
        <label
          >Pulled by the
          <select
            :value="cart.by"
            data-testid="cart-by"
            @change="setCart({ by: pick($event) as Cart['by'] })"
          >
            <option v-for="one in CHOICES.CartPlan.by" :key="one">{{ one }}</option>
          </select></label
        >
        <TickBox :on="cart.loaded" testid="cart-loaded" @tick="setCart({ loaded: $event })"
          >all rides on it</TickBox
        >
        <label
          >Axle from the bow
          <FromBowInput
            v-if="figure"
            :model-value="figure.axle[0]"
            :bow_x_m="bow_x_m"
            :units="units"
            label="Axle from the bow"
            testid="axle-from-bow"
            @update:model-value="setCart({ axle_x_m: $event })"
        /></label>
        <button
          v-if="cart.axle_x_m != null"
          type="button"
          class="small"
          data-testid="axle-for-hand"
          @click="setCart({ axle_x_m: null })"
        >
          where your hand bears {{ force(cart.hand_n) }}
        </button>
        <label
          >In your hand
          <QuantityInput
            :model-value="cart.hand_n"
            label="What your hand is to bear"
            kind="force"
            :units="units"
            testid="hand-n"
            @update:model-value="setCart({ hand_n: $event, axle_x_m: null })"
        /></label>
        <label
          >Wheel across
          <QuantityInput
            :model-value="2 * (figure?.radius_m ?? cart.radius_m ?? 0)"
            label="Diameter of a wheel"
            kind="length"
            :units="units"
            @update:model-value="setCart({ radius_m: $event / 2 })"
        /></label>
        <label
          >and wide
          <QuantityInput
            :model-value="figure?.width_m ?? cart.width_m ?? 0"
            label="Width of a wheel"
            kind="length"
            :units="units"
            @update:model-value="setCart({ width_m: $event })"
        /></label>
        <TickBox
          :on="cart.posts != null"
          testid="posts"
          @tick="setCart({ posts: $event ? USUAL.PostsPlan : null })"
          >posts in the scuppers</TickBox
        >
        <TickBox
          v-if="cart.posts"
          :on="cart.posts.slabs"
          @tick="setCart({ posts: { ...cart.posts, slabs: $event } })"
          >with slabs under the hull</TickBox
        >
      </div>
      <table v-if="full.wheels.length" data-testid="wheels-table">
        <thead>
          <tr>
            <th scope="col">Wheels, the whole way</th>
            <th scope="col">Hardest</th>
            <th scope="col">Ground bears</th>
          </tr>
        </thead>
        <tbody>
          <tr
            v-for="one in full.wheels"
            :key="one.wheels"
            :class="{ is: one.wheels === cart.wheels }"
          >
            <th scope="row"><VerdictMark :verdict="one.verdict" bare /> {{ one.wheels }}</th>
            <td>{{ force(one.pull_n) }} on {{ one.hardest }}</td>
            <td>{{ show(one.pressure_share, 'ratio', units) }}</td>
          </tr>
        </tbody>
      </table>
    </template>
    <h2 class="gap">The way to the water</h2>
    <ul>
      <li v-for="(one, i) in way" :key="i">
        <select
          :value="one.ground"
          :aria-label="`Ground of stretch ${i + 1}`"
          :data-testid="`ground-${i}`"
          @change="setWay(i, { ground: pick($event) as Stretch['ground'] })"
        >
          <option v-for="ground in CHOICES.Stretch.ground" :key="ground">{{ ground }}</option>
        </select>
        <QuantityInput
          :model-value="one.length_m"
          :label="`Length of stretch ${i + 1}`"
          kind="far"
          :units="units"
          @update:model-value="setWay(i, { length_m: $event })"
        />
        <span class="soft">up</span>
        <QuantityInput
          :model-value="one.slope_deg"
          :label="`Slope of stretch ${i + 1}`"
          kind="angle"
          :digits="0"
          :units="units"
          :testid="`slope-${i}`"
          @update:model-value="setWay(i, { slope_deg: $event })"
        />
        <span class="soft">step</span>
        <QuantityInput
          :model-value="one.step_m"
          :label="`Highest step in stretch ${i + 1}`"
          kind="length"
          :digits="0"
          :units="units"
          @update:model-value="setWay(i, { step_m: $event })"
        />
        <button
          type="button"
          class="small"
          :aria-label="`Delete stretch ${i + 1}`"
          :disabled="way.length === 1"
          @click="drop(i)"
        >
          ×
        </button>
      </li>
    </ul>
    <button type="button" class="small" data-testid="add-stretch" @click="add">
      another stretch
    </button>
  </div>
</template>

<style scoped src="@/kit/cards.css"></style>
<style scoped>
.fields {
  display: grid;
  grid-template-columns: repeat(2, minmax(0, 1fr));
}
.fields :deep(.el-input) {
  width: 74px;
}
.fields label:not(.tick) {
  justify-content: space-between;
}
.gap {
  margin-top: 10px;
}
ul {
  margin: 4px 0;
  padding: 0;
  list-style: none;
}
li {
  display: grid;
  grid-template-columns: 92px 70px auto 56px auto 66px 24px;
  gap: 5px;
  align-items: center;
  margin-bottom: 4px;
}
@media (max-width: 700px) {
  li {
    display: flex;
    flex-wrap: wrap;
  }
}
table {
  width: 100%;
  margin-top: 8px;
  border-collapse: collapse;
  font-size: 12px;
}
th,
td {
  padding: 2px 4px 2px 0;
  text-align: left;
  font-weight: 400;
}
thead th {
  color: var(--soft);
}
tbody tr {
  border-top: 1px solid var(--line);
}
.is th {
  font-weight: 700;
}
</style>
