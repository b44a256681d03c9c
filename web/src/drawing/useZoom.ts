/**
 * Looking nearer: the sheet's scale, and where its views stand then. All views keep one ruler, so
 * that they are moved along the boat together, and up and down each for itself.
 */
import { computed, ref, type Ref } from 'vue'
import { layOut, type Nearer, type Sheet } from './sheet'

const MOST = 8
const STEP = 1.25
const FULL: Nearer = { k: 1, along: 0, plan: 0, side: 0 }

export function useZoom(bare: Ref<Sheet>, ends: Ref<readonly [number, number]>) {
  const nearer = ref<Nearer>(FULL)
  const sheet = computed(() =>
    layOut(bare.value.width, bare.value.height, ends.value[0], ends.value[1], nearer.value),
  )
  const percent = computed(() => Math.round(nearer.value.k * 100))

  /** By a factor, about a spot of the sheet that stays where it is. */
  function about(factor: number, px: number, py: number): void {
    const k = Math.max(1, Math.min(MOST, nearer.value.k * factor))
    if (k === 1) return full()
    const f = k / nearer.value.k
    const s = sheet.value
    const inPlan = py < s.planBottom
    const [plan_y, side_y] = inPlan
      ? [py, (s.sideTop + s.sideBottom) / 2]
      : [(s.planTop + s.planBottom) / 2, py]
    nearer.value = {
      k,
      along: nearer.value.along + (1 - f) * (px - s.left),
      plan: nearer.value.plan + (1 - f) * (plan_y - s.planMiddle),
      side: nearer.value.side + (1 - f) * (side_y - s.sideBase),
    }
  }
  const middle = () => [sheet.value.width / 2, sheet.value.planMiddle] as const
  const closer = () => about(STEP, ...middle())
  const farther = () => about(1 / STEP, ...middle())
  function full(): void {
    nearer.value = FULL
  }
  function pan(dx: number, dy: number, view: 'plan' | 'side'): void {
    if (nearer.value.k === 1) return
    const one = nearer.value
    nearer.value = { ...one, along: one.along + dx, [view]: one[view] + dy }
  }
  /** So that a spot on the boat stands in the middle, `wide_m` filling a third of the sheet. */
  function fit(x_m: number, y_m: number, z_m: number, wide_m: number): void {
    const s = bare.value
    const k = Math.max(1, Math.min(MOST, s.width / 3 / Math.max(0.05, wide_m) / s.scale))
    const scale = s.scale * k
    nearer.value = {
      k,
      along: s.width / 2 - (s.left + (s.bow_x_m - x_m) * scale),
      plan: -y_m * scale,
      side: (s.sideTop + s.sideBottom) / 2 - (s.sideBase - z_m * scale),
    }
  }
  return { sheet, percent, about, closer, farther, full, pan, fit }
}
