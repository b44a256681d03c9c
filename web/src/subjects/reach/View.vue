<script setup lang="ts">
/** Who comes to what from the seat, and what the boat does meanwhile. */
import { useElementSize } from '@vueuse/core'
import { computed, ref, useTemplateRef, watch } from 'vue'
import { api, ask, type Drawing, type Reaching, type FullReach } from '@/api/client'
import { useAsked } from '@/kit/useAsked'
import { useEased } from '@/kit/useEased'
import AnglerShape from '@/drawing/AnglerShape.vue'
import AsternView from '@/drawing/AsternView.vue'
import FittingMarks from '@/drawing/FittingMarks.vue'
import HullPlan from '@/drawing/HullPlan.vue'
import HullSide from '@/drawing/HullSide.vue'
import ReachMap from '@/drawing/ReachMap.vue'
import RulerMarks from '@/drawing/RulerMarks.vue'
import ThingShape from '@/drawing/ThingShape.vue'
import type { Drawn } from '@/drawing/types'
import { show } from '@/kit/units'
import { ZONE_WORD } from '@/kit/words'
import { layOut } from '@/drawing/sheet'
import { rowsById } from '@/drawing/stands'
import { looksInside } from '@/drawing/insides'
import LabelMarks from '@/drawing/LabelMarks.vue'
import QuantityInput from '@/kit/QuantityInput.vue'
import ReachTable from './ReachTable.vue'
import RodTable from './RodTable.vue'
import { useLook } from '@/setup/look'
import { useSetup } from '@/setup/useSetup'

const store = useSetup()
const look = useLook()
const map = useAsked<FullReach>()
const onTheWay = useAsked<Reaching>()
const [reach, reaching] = [map.answer, onTheWay.answer]
const trouble = computed(() => map.trouble.value || onTheWay.trouble.value)
const chosen = ref<number | null>(null)
const height_m = ref((store.kept?.setup.seat.z_m ?? 0.23) + 0.2)

const heights = computed(() => {
  const setup = store.kept!.setup
  const floor = setup.boat.wells[0]?.floor_z_m ?? 0
  return [
    ['floor', floor],
    ['lap', setup.seat.z_m + 0.2],
    ['gunwale', setup.boat.tape.depth_m],
    ['shoulder', store.drawing?.shoulders[0]?.[2] ?? 0.8],
  ] as [string, number][]
})

watch(
  [() => store.kept?.setup_id, () => store.kept?.revision, height_m],
  () => {
    const setup_id = store.kept?.setup_id
    if (setup_id === undefined) return
    void map.put(
      () =>
        ask(
          api.POST('/api/v1/setups/{setup_id}/reach', {
            params: { path: { setup_id } },
            body: { height_m: height_m.value, places: [] },
          }),
        ) as Promise<FullReach>,
    )
  },
  { immediate: true },
)
watch([chosen, () => store.kept?.revision], ([thing_id]) => {
  const setup_id = store.kept?.setup_id
  if (thing_id === null || setup_id === undefined) return onTheWay.forget()
  void onTheWay.put(
    () =>
      ask(
        api.GET('/api/v1/setups/{setup_id}/reaching/{thing_id}', {
          params: { path: { setup_id, thing_id: thing_id as number } },
        }),
      ) as Promise<Reaching>,
  )
})
watch(
  () => store.kept?.setup_id,
  () => (chosen.value = null),
)

const frame = useTemplateRef<HTMLDivElement>('frame')
const { width } = useElementSize(frame)
const sheet = computed(() => {
  const x = store.drawing?.x_m ?? [0, 1]
  return layOut(Math.max(300, width.value), 660, x[0]!, x.at(-1)!)
})
const rows = computed(() => rowsById(store.figures))
const drawn = computed<Drawn[]>(() => {
  const shown = looksInside(
    store.places,
    store.things,
    store.kept?.setup.boat.fittings ?? [],
    chosen.value === null ? [] : [chosen.value],
  )
  return [...rows.value]
    .flatMap(([id, aboard]) => {
      const thing = store.things[String(id)]
      const selected = id === chosen.value
      return thing
        ? [
            {
              id,
              thing,
              stand: aboard,
              aboard,
              selected,
              ghost: false,
              depth: aboard.depth,
              ...shown(id),
            },
          ]
        : []
    })
    .filter((one) => !one.hidden)
})

// The figure leans over to the chosen thing, and the boat with it.
const target = computed(() => {
  const limbs = reaching.value?.limbs ?? store.drawing?.limbs
  const head = reaching.value?.head_m ?? store.drawing?.head_m
  if (!limbs || !head) return null
  const heel = reaching.value?.heel_deg ?? store.figures?.afloat?.heel_deg ?? 0
  return [...limbs.flatMap((limb) => [...limb.upper, ...limb.far]), ...head, heel]
})
const eased = useEased(target)
const posed = computed<Drawing | null>(() => {
  const drawing = store.drawing
  const values = eased.value
  if (!drawing || !values) return drawing
  const spot = (at: number): [number, number, number] => [
    values[at]!,
    values[at + 1]!,
    values[at + 2]!,
  ]
  const limbs = drawing.limbs.map((limb, i) => ({
    ...limb,
    upper: spot(6 * i),
    far: spot(6 * i + 3),
  }))
  const shoulders = limbs.filter((limb) => limb.name === 'upper arm').map((limb) => limb.upper)
  return { ...drawing, limbs, shoulders, head_m: spot(6 * limbs.length) }
})
const afloat = computed(() => {
  const still = store.figures?.afloat
  return still ? { ...still, heel_deg: eased.value?.at(-1) ?? still.heel_deg } : null
})
const label = (id: number): string => {
  const row = rows.value.get(id)
  const name = store.things[String(id)]?.name ?? ''
  return row ? `${name}, ${ZONE_WORD[row.zone]}` : name
}
</script>

<template>
  <div v-if="store.kept && store.figures && store.drawing && posed" class="reach">
    <section class="map" aria-label="Map of reach">
      <div class="heights" role="group" aria-label="Height of the map">
        <span>Map at</span>
        <button
          v-for="[word, z] in heights"
          :key="word"
          type="button"
          :aria-pressed="Math.abs(z - height_m) < 0.001"
          @click="height_m = z"
        >
          {{ word }}
        </button>
        <QuantityInput
          v-model="height_m"
          label="Height of the map above the bottom of the boat"
          kind="length"
          :units="look.units"
          testid="map-height"
        />
        <span class="soft key hand">within reach</span>
        <span class="soft key lean">lean needed</span>
        <span class="soft key twist">twist needed</span>
      </div>
      <p v-if="trouble" class="stop" role="alert">{{ trouble }}</p>
      <div ref="frame" class="sheet">
        <svg
          v-if="width > 0"
          :width="sheet.width"
          :height="sheet.sideBottom"
          role="group"
          aria-label="The boat from above with zones of reach, and from the side"
        >
          <HullSide
            :sheet="sheet"
            :drawing="store.drawing"
            :boat="store.kept.setup.boat"
            :afloat="store.figures.afloat"
          />
          <RulerMarks
            :sheet="sheet"
            :length_m="store.drawing.x_m.at(-1)! - store.drawing.x_m[0]!"
            :imperial="look.units === 'imperial'"
          />
          <defs>
            <clipPath id="reach-plan">
              <rect
                :width="sheet.width"
                :y="sheet.planTop"
                :height="sheet.planBottom - sheet.planTop"
              />
            </clipPath>
            <clipPath id="reach-side">
              <rect
                :width="sheet.width"
                :y="sheet.sideTop"
                :height="sheet.sideBottom - sheet.sideTop"
              />
            </clipPath>
          </defs>
          <g clip-path="url(#reach-plan)">
            <HullPlan :sheet="sheet" :drawing="store.drawing" :boat="store.kept.setup.boat" />
            <FittingMarks :sheet="sheet" :fittings="store.kept.setup.boat.fittings" view="plan" />
            <ReachMap v-if="reach" :sheet="sheet" :reach="reach" />
          </g>
          <g
            v-for="view in ['plan', 'side'] as const"
            :key="view"
            :clip-path="`url(#reach-${view})`"
          >
            <ThingShape
              v-for="one in drawn"
              :key="one.id"
              :sheet="sheet"
              :drawn="one"
              :view="view"
              :label="label(one.id)"
              @grab="chosen = one.id"
              @pick="chosen = one.id"
            />
            <AnglerShape
              :sheet="sheet"
              :drawing="posed"
              :seat="store.kept.setup.seat"
              :view="view"
              :all="reaching !== null"
            />
            <LabelMarks
              :sheet="sheet"
              :drawing="store.drawing"
              :things="drawn"
              :view="view"
              :leaders="view === 'plan'"
            />
          </g>
          <HullSide
            :sheet="sheet"
            :drawing="store.drawing"
            :boat="store.kept.setup.boat"
            :afloat="store.figures.afloat"
            front
          />
          <g :transform="`translate(12 ${sheet.sideTop + 25})`">
            <AsternView :drawing="posed" :afloat="afloat" :width="150" :height="130" />
          </g>
        </svg>
      </div>
      <p class="said" role="status" data-testid="reaching">
        <template v-if="reaching"
          ><b>{{ store.things[String(reaching.thing_id)]?.name }}</b
          >: {{ ZONE_WORD[reaching.zone]
          }}<template v-if="reaching.heel_deg != null"
            >, the boat heels {{ Math.abs(reaching.heel_deg).toFixed(1) }}° to
            {{ reaching.heel_deg > 0 ? 'starboard' : 'port' }},
            {{ Math.round(100 * (reaching.margin_used ?? 0)) }} % of the righting stability margin
            used, {{ show(reaching.freeboard_m ?? 0, 'length', look.units) }} of freeboard
            left</template
          >.</template
        >
        <span v-else class="soft"
          >Select an item in the table or on the boat: the figure leans to it, and the boat with
          it.</span
        >
      </p>
      <RodTable
        v-if="reach"
        :reach="reach"
        :things="store.things"
        :units="look.units"
        @choose="chosen = $event"
      />
    </section>
    <section class="tables">
      <ReachTable
        :aboard="store.figures.aboard"
        :needs="reach?.needs ?? []"
        :things="store.things"
        :chosen="chosen"
        :units="look.units"
        @choose="chosen = $event"
      />
    </section>
  </div>
</template>

<style scoped>
.reach {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 548px;
  gap: 16px;
  padding: 12px 16px;
}
.map,
.tables {
  min-width: 0;
}
.heights {
  display: flex;
  gap: 6px;
  align-items: center;
  margin-bottom: 8px;
}
.heights button {
  height: 24px;
  padding: 0 9px;
  border: 1px solid var(--line);
  border-radius: 6px;
  background: var(--card);
  color: var(--ink);
  font-size: 12px;
  cursor: pointer;
}
.heights button[aria-pressed='true'] {
  border-color: var(--pick);
  background: var(--pick-pale);
  color: var(--pick);
}
.heights .quantity {
  width: 84px;
}
.key {
  padding-left: 22px;
  font-size: 12px;
  background: no-repeat left center / 16px 0;
  position: relative;
}
.key::before {
  position: absolute;
  top: 50%;
  left: 0;
  width: 17px;
  border-top: 2px solid var(--pick);
  content: '';
}
.key.lean::before {
  border-top-style: dashed;
}
.key.twist::before {
  border-top-style: dotted;
}
.sheet {
  overflow: hidden;
  border: 1px solid var(--line);
  border-radius: 8px;
  background: var(--card);
}
.sheet svg {
  display: block;
}
.said {
  min-height: 36px;
  margin: 8px 0 0;
}
@media (max-width: 900px) {
  .reach {
    display: flex;
    flex-direction: column;
    height: auto;
    padding: 10px;
  }
  .heights {
    flex-wrap: wrap;
  }
}
</style>
