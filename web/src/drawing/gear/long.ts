/** What lies along its length, from the butt at 0 to the tip; seen alike from above and the side. */
import { bars, box, closed, lines, on, oval, part, type Draw, type Picture } from './parts'

const both = (draw: Draw): Picture => ({ plan: draw, side: draw })

/** Less length than that is seen end on. */
const endOn = (l: number, w: number): boolean => l < 2 * w

export const rod = both(({ l }) => {
  const rings = [0.42, 0.58, 0.72, 0.84, 0.93].map((share) => oval(share * l, -0.9, 1.1))
  return [
    part('wood', lines([0, 0], [l, 0])),
    part('grip', lines([0, 0], [l * 0.13, 0]), lines([l * 0.19, 0], [l * 0.26, 0])),
    part('fine', ...rings),
    part('card', oval(l, 0, 0.9)),
  ]
})

export const paddle = both(({ l, w }) => {
  const blade = Math.min(l * 0.22, 48)
  const half = w / 2
  const leaf = (from: number, to: number) =>
    `M${from},0` +
    on([(from + to) / 2, half * 1.5], [to, half * 0.5]) +
    `L${to},${-half * 0.5}` +
    on([(from + to) / 2, -half * 1.5], [from, 0]) +
    'z'
  return [
    part('shaft', lines([blade * 0.6, 0], [l - blade * 0.6, 0])),
    part('body', leaf(blade, 0), leaf(l - blade, l)),
  ]
})

export const net = both(({ l, w }) => {
  const hoop = Math.min(l * 0.24, w * 0.62)
  const [cx, ry] = [l - hoop, w / 2]
  const mesh = Array.from({ length: 5 }, (_, i) => -0.8 + 0.4 * i).flatMap((share) => {
    const reach = Math.sqrt(1 - share * share)
    return [
      lines([cx + share * hoop, -reach * ry], [cx + share * hoop, reach * ry]),
      lines([cx - reach * hoop, share * ry], [cx + reach * hoop, share * ry]),
    ]
  })
  return [
    part('card', oval(cx, 0, hoop, ry)),
    part('fine', ...mesh),
    part('shaft', lines([l * 0.28, 0], [l - 2 * hoop, 0])),
    part('grip', lines([0, 0], [l * 0.28, 0])),
  ]
})

export const pole = both(({ l, w }) =>
  endOn(l, w)
    ? [part('card', oval(0, 0, Math.max(1.5, w / 2)))]
    : [
        part('shaft', lines([0, 0], [l - 4, 0])),
        part('line', lines([0, -3.5], [0, 3.5])),
        part('dark', closed([l - 5, 1.2], [l, 0], [l - 5, -1.2])),
      ],
)

export const flag = both(({ l, w }) =>
  endOn(l, Math.max(w, 6))
    ? [part('body', closed([0, 0], [-14, 5], [-14, -5])), part('lamp', oval(0, 0, 2.6))]
    : [
        part('body', closed([l * 0.74, 0], [l * 0.84, -17], [l * 0.92, 0])),
        part('shaft', lines([0, 0], [l * 0.96, 0])),
        part('dark', box(1, 0, 3, 7)),
        part('lamp', oval(l - 2, 0, 2.6)),
      ],
)

export const cameraPole = both(({ l, w }) =>
  endOn(l, Math.max(w, 6))
    ? [part('body', box(0, 0, 9, 7, 1)), part('card', oval(5, 0, 2))]
    : [
        part('shaft', lines([0, 0], [l - 6, 0])),
        part('dark', box(1, 0, 3, 6)),
        part('body', box(l - 4, -1, 8, 9, 1)),
        part('card', oval(l - 4, 5, 2.2)),
      ],
)

export const arm = both(({ l, w }) => {
  const puck = Math.max(w, 6)
  return endOn(l, puck)
    ? [part('body', oval(0, 0, puck / 2)), part('card', oval(0, 0, puck / 5))]
    : [
        part('shaft', lines([0, 0], [l - puck * 0.3, 0])),
        part('card', box(puck * 0.3, 0, puck * 0.7, puck * 0.9, 1)),
        part('body', oval(l - puck * 0.3, 0, puck * 0.3, puck * 0.7)),
      ]
})

export const bare = both(({ l, w }) =>
  endOn(l, w)
    ? [part('card', oval(0, 0, Math.max(1.2, w / 2)))]
    : [
        part('shaft', lines([0, 0], [l, 0])),
        part('fine', bars([0, -w / 2], [l, -w / 2], [0, w], 2)),
      ],
)
