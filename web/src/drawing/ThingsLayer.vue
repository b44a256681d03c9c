<script setup lang="ts">
/** All items of a view, the deepest last, with where those stood that are tried elsewhere; what is
 * in hand is drawn over all of them. */
import { computed, useTemplateRef } from 'vue'
import { drawnAt, type Sheet, type Spot } from './sheet'
import HandLayer from './HandLayer.vue'
import ThingShape from './ThingShape.vue'
import type { Drawn } from './types'

const props = defineProps<{
  sheet: Sheet
  view: 'plan' | 'side'
  things: Drawn[]
  ghosts: Drawn[]
  /** what goes with the hand */
  held: ReadonlySet<number>
  /** in the way of something, or something in its way; told in one view alone */
  clashing?: ReadonlySet<number>
  labels: ReadonlyMap<number, string>
}>()
const emit = defineEmits<{
  grab: [event: PointerEvent, id: number]
  key: [event: KeyboardEvent, id: number]
  pick: [id: number]
  edit: [id: number]
}>()

const ordered = computed(() => [...props.things].sort((a, b) => a.depth - b.depth))
const still = computed(() => ordered.value.filter(({ id }) => !props.held.has(id)))
const inHand = computed(() => ordered.value.filter(({ id }) => props.held.has(id)))
const shape = (one: Drawn) => ({
  sheet: props.sheet,
  drawn: one,
  view: props.view,
  label: one.ghost ? '' : (props.labels.get(one.id) ?? one.thing.name),
  clashing: !one.ghost && props.clashing?.has(one.id),
})

const hand = useTemplateRef<InstanceType<typeof HandLayer>>('hand')
/** What is in hand has gone so far from where it is drawn. */
function follow(gone: Spot): void {
  const [from, to] = [[0, 0, 0] as const, gone].map((at) => drawnAt(props.sheet, props.view, at))
  hand.value?.follow(to![0] - from![0], to![1] - from![1])
}

defineExpose({ follow })
</script>

<template>
  <ThingShape v-for="one in ghosts" :key="`ghost${one.id}`" v-bind="shape(one)" />
  <ThingShape
    v-for="one in still"
    :key="one.id"
    v-bind="shape(one)"
    @grab="emit('grab', $event, one.id)"
    @key="emit('key', $event, one.id)"
    @pick="emit('pick', one.id)"
    @edit="emit('edit', one.id)"
  />
  <HandLayer v-if="inHand.length" ref="hand" :width="sheet.width" :height="sheet.height">
    <ThingShape v-for="one in inHand" :key="one.id" v-bind="shape(one)" />
  </HandLayer>
</template>
