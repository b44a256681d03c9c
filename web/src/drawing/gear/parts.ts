/**
 * What a piece of gear is drawn with. Lengths are centimetres of the real thing, so that it stays
 * to scale: from above `x` runs the way it points and `y` to its left, from the side `y` runs up
 * from its foot; what is long runs along `x` from its butt.
 */

/** How a part is painted: filled by family or card, or a line of some weight. */
export type Paint =
  'body' | 'soft' | 'card' | 'dark' | 'lamp' | 'line' | 'fine' | 'shaft' | 'wood' | 'grip'

export interface Part {
  paint: Paint
  d: string
}

/** Length, width and height in cm; of what is long the length as seen. */
export interface Size {
  l: number
  w: number
  h: number
}

/** Its parts, the outline first, which is all that is drawn where it is small. */
export type Draw = (size: Size) => Part[]

export interface Picture {
  plan: Draw
  side: Draw
}

type Spot = readonly [number, number]

const n = (value: number): number => Math.round(value * 100) / 100

export const part = (paint: Paint, ...d: string[]): Part => ({ paint, d: d.join('') })

/** A rectangle by its middle, round at the corners. */
export function box(x: number, y: number, wide: number, high: number, round = 0): string {
  const r = Math.min(round, wide / 2, high / 2)
  const [left, top] = [x - wide / 2, y - high / 2]
  if (r <= 0) return `M${n(left)},${n(top)}h${n(wide)}v${n(high)}h${n(-wide)}z`
  const arc = (dx: number, dy: number) => `a${n(r)},${n(r)} 0 0 1 ${n(dx)},${n(dy)}`
  return (
    `M${n(left + r)},${n(top)}h${n(wide - 2 * r)}${arc(r, r)}v${n(high - 2 * r)}${arc(-r, r)}` +
    `h${n(2 * r - wide)}${arc(-r, -r)}v${n(2 * r - high)}${arc(r, -r)}z`
  )
}

/** A box that stands on its foot. */
export const standing = (x: number, foot: number, wide: number, high: number, round = 0): string =>
  box(x, foot + high / 2, wide, high, round)

export function oval(x: number, y: number, rx: number, ry = rx): string {
  const half = `a${n(rx)},${n(ry)} 0 1 0`
  return `M${n(x - rx)},${n(y)}${half} ${n(2 * rx)},0${half} ${n(-2 * rx)},0z`
}

export function lines(...spots: Spot[]): string {
  return spots.map(([x, y], i) => `${i ? 'L' : 'M'}${n(x)},${n(y)}`).join('')
}

export const closed = (...spots: Spot[]): string => `${lines(...spots)}z`

/** Straight lines across, evenly, without the two at the ends. */
export function bars(from: Spot, to: Spot, along: Spot, count: number): string {
  return Array.from({ length: count }, (_, i) => (i + 1) / (count + 1))
    .map((share) => {
      const [x, y] = [from[0] + share * (to[0] - from[0]), from[1] + share * (to[1] - from[1])]
      return lines([x, y], [x + along[0], y + along[1]])
    })
    .join('')
}

/** A curve through a bend. */
export const bend = (from: Spot, by: Spot, to: Spot): string =>
  `M${n(from[0])},${n(from[1])}Q${n(by[0])},${n(by[1])} ${n(to[0])},${n(to[1])}`

/** A curve through a bend, on from where one is. */
export const on = (by: Spot, to: Spot): string => `Q${n(by[0])},${n(by[1])} ${n(to[0])},${n(to[1])}`
