<script setup lang="ts">
/**
 * What is in hand, at its place among all else of a view: it goes with the hand as it was drawn.
 *
 * It is moved by an animation that stands still: the browser then moves that layer alone. For any
 * other change of place it looks through all layers of the page, which takes longer than to draw.
 */
import { onMounted, useTemplateRef } from 'vue'

defineProps<{ width: number; height: number }>()

const hand = useTemplateRef<HTMLDivElement>('hand')
let still: KeyframeEffect | null = null
onMounted(() => {
  still = new KeyframeEffect(hand.value, at(0, 0), { fill: 'both' })
  new Animation(still).pause()
})

const at = (x: number, y: number) => {
  const there = `translate(${x}px, ${y}px)`
  return { transform: [there, there] }
}
/** So many pixels from where it is drawn. */
const follow = (x: number, y: number): void => still?.setKeyframes(at(x, y))

defineExpose({ follow })
</script>

<template>
  <foreignObject class="hand" x="0" y="0" :width="width" :height="height">
    <div ref="hand">
      <svg width="1" height="1"><slot /></svg>
    </div>
  </foreignObject>
</template>

<style scoped>
.hand {
  pointer-events: none;
}
svg {
  display: block;
  overflow: visible;
}
</style>
