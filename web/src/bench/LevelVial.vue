<script setup lang="ts">
/** A spirit level: the bubble goes to the high side. */
import { computed } from 'vue'

const props = defineProps<{
  /** degrees by which the left end of the vial stands high */
  leftHigh_deg: number
  leftName: string
  rightName: string
  /** ± of it, drawn as a bar under the bubble */
  band_deg: number
  /** something is in hand: the bubble follows at once */
  live: boolean
}>()

const FULL_DEG = 4 // the bubble touches the end
const place = (deg: number) => 50 - 42 * Math.max(-1, Math.min(1, deg / FULL_DEG))
const at = computed(() => `calc(${place(props.leftHigh_deg)}% - 15px)`)
const band = computed(() => {
  const left = place(props.leftHigh_deg + props.band_deg)
  return { left: `${left}%`, width: `${place(props.leftHigh_deg - props.band_deg) - left}%` }
})
</script>

<template>
  <div class="row" aria-hidden="true">
    <span>{{ leftName }}</span>
    <div class="vial" :class="{ live }">
      <i class="frame" /><i class="bubble" :style="{ left: at }" /><i class="band" :style="band" />
    </div>
    <span>{{ rightName }}</span>
  </div>
</template>

<style scoped>
.row {
  display: flex;
  gap: 8px;
  align-items: center;
  margin: 2px 0 10px;
  color: var(--soft);
  font-size: 11px;
}
.vial {
  position: relative;
  flex: 1;
  height: 20px;
  border: 1px solid var(--vial-low);
  border-radius: 10px;
  background: linear-gradient(var(--vial-high), var(--vial-low));
}
.frame {
  position: absolute;
  inset: 0 calc(50% - 19px);
  border-right: 1.5px solid var(--vial-line);
  border-left: 1.5px solid var(--vial-line);
}
.band {
  position: absolute;
  bottom: 1px;
  height: 2px;
  border-radius: 1px;
  background: var(--vial-line);
}
.bubble {
  position: absolute;
  top: 3px;
  width: 30px;
  height: 12px;
  border: 1px solid var(--vial-line);
  border-radius: 7px;
  background: rgb(255 255 255 / 70%);
  transition: left 120ms ease-out;
}
.live .bubble {
  transition: none;
}
</style>
