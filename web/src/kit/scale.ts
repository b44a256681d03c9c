/** Axes: round steps, and straight scales from values to pixels. */
export interface Axis {
  low: number
  high: number
  ticks: number[]
}

/** An axis over `low` to `high` with about `count` round steps. */
export function axis(low: number, high: number, count = 5): Axis {
  const span = high - low || 1
  const rough = span / count
  const power = 10 ** Math.floor(Math.log10(rough))
  const step = [1, 2, 2.5, 5, 10].map((m) => m * power).find((s) => s >= rough) ?? 10 * power
  const from = Math.floor(low / step + 1e-9) * step
  const to = Math.ceil(high / step - 1e-9) * step
  const ticks = Array.from({ length: Math.round((to - from) / step) + 1 }, (_, i) =>
    Number((from + i * step).toPrecision(10)),
  )
  return { low: from, high: to === from ? from + step : to, ticks }
}

/** A scale from an axis to pixels. */
export function onto(a: Axis, from_px: number, to_px: number): (value: number) => number {
  return (value) => from_px + ((value - a.low) / (a.high - a.low)) * (to_px - from_px)
}

/** A figure on an axis without a tail of zeros. */
export const tick = (value: number): string => String(Number(value.toPrecision(6)))
