/** What is mounted on the boat, or is part of it. */
import { bars, bend, box, closed, lines, on, oval, part, standing, type Picture } from './parts'

/** A slab that faces aft on an arm of two balls; turned where it is broader than it is deep. */
export const screen: Picture = {
  plan: ({ l, w }) => {
    const broad = Math.max(l, w)
    const deep = Math.min(l, w)
    const ball = Math.min(1.6, deep * 0.22)
    const across = w >= l
    const spot = (a: number, b: number) => (across ? ([a, b] as const) : ([b, a] as const))
    const slab = across
      ? box(deep * 0.2, 0, deep * 0.6, broad, 1)
      : box(0, deep * 0.2, broad, deep * 0.6, 1)
    return [
      part('body', slab),
      part('shaft', lines(spot(-deep * 0.1, 0), spot(-deep * 0.5 + ball, 0))),
      part(
        'card',
        oval(...spot(-deep * 0.14, 0), ball),
        oval(...spot(-deep * 0.5 + ball, 0), ball),
      ),
    ]
  },
  side: ({ l, w, h }) =>
    w >= l
      ? [
          part(
            'body',
            closed([-l * 0.1, h * 0.25], [l * 0.3, h * 0.25], [l * 0.5, h], [l * 0.1, h]),
          ),
          part('shaft', lines([0, h * 0.45], [-l * 0.25, h * 0.1])),
          part('dark', standing(-l * 0.25, 0, l * 0.4, h * 0.08)),
        ]
      : [
          part('body', box(0, h * 0.62, l, h * 0.76, 1)),
          part('card', box(0, h * 0.62, l * 0.84, h * 0.6, 0.5)),
          part('shaft', lines([0, h * 0.24], [0, h * 0.06])),
          part('dark', standing(0, 0, l * 0.3, h * 0.07)),
        ],
}

export const transducer: Picture = {
  plan: ({ l, w }) => [
    part('body', oval(0, 0, l / 2, w * 0.3)),
    part('card', box(0, w * 0.38, l * 0.4, w * 0.24)),
    part('shaft', lines([0, 0], [0, w * 0.3])),
  ],
  side: ({ l, h }) => [
    part(
      'body',
      `M${-l / 2},${h * 0.14}H${l / 2}`,
      on([l * 0.4, 0], [0, 0]),
      on([-l * 0.4, 0], [-l / 2, h * 0.14]),
      'z',
    ),
    part('shaft', lines([0, h * 0.14], [0, h * 0.86])),
    part('card', box(0, h * 0.92, l * 0.4, h * 0.16, 0.5)),
  ],
}

export const holder: Picture = {
  plan: ({ l, w }) => [
    part('card', box(0, 0, l, w * 0.86, w * 0.4)),
    part('line', lines([-l * 0.34, 0], [l * 0.34, 0])),
    part('dark', box(-l * 0.1, 0, l * 0.12, w)),
  ],
  side: ({ l, h }) => {
    const thick = Math.min(l * 0.56, h * 0.3)
    const [dx, dy] = [l * 0.5, h * 0.5]
    const far = Math.hypot(dx, dy)
    const [ex, ey] = [(-dy / far) * (thick / 2), (dx / far) * (thick / 2)]
    const [x0, y0] = [-l * 0.3, h * 0.34]
    return [
      part(
        'card',
        closed(
          [x0 + ex, y0 + ey],
          [x0 + dx + ex, y0 + dy + ey],
          [x0 + dx - ex, y0 + dy - ey],
          [x0 - ex, y0 - ey],
        ),
      ),
      part('shaft', lines([-l * 0.08, h * 0.4], [-l * 0.08, h * 0.08])),
      part('dark', standing(-l * 0.08, 0, l * 0.5, h * 0.08)),
    ]
  },
}

export const seat: Picture = {
  plan: ({ l, w }) => [
    part('body', box(l * 0.06, 0, l * 0.76, w * 0.86, 3)),
    part('fine', bars([-l * 0.3, -w * 0.43], [l * 0.44, -w * 0.43], [0, w * 0.86], 3)),
    part('body', box(-l * 0.38, 0, l * 0.2, w * 0.9, 3)),
    part(
      'shaft',
      lines([-l * 0.46, -w * 0.48], [l * 0.48, -w * 0.48]),
      lines([-l * 0.46, w * 0.48], [l * 0.48, w * 0.48]),
    ),
  ],
  side: ({ l, h }) => [
    part(
      'body',
      closed([-l * 0.34, h * 0.3], [l * 0.48, h * 0.34], [l * 0.48, h * 0.25], [-l * 0.3, h * 0.2]),
    ),
    part(
      'body',
      closed([-l * 0.34, h * 0.24], [-l * 0.24, h * 0.28], [-l * 0.4, h], [-l * 0.5, h]),
    ),
    part(
      'line',
      lines([-l * 0.25, h * 0.2], [-l * 0.25, 0]),
      lines([l * 0.36, h * 0.25], [l * 0.36, 0]),
    ),
  ],
}

export const pedals: Picture = {
  plan: ({ l, w }) => [
    part('body', box(-l * 0.1, 0, l * 0.5, w * 0.36, 2)),
    part('shaft', lines([0, -w * 0.42], [0, w * 0.42])),
    part(
      'card',
      box(l * 0.16, w * 0.38, l * 0.34, w * 0.22, 1),
      box(-l * 0.16, -w * 0.38, l * 0.34, w * 0.22, 1),
    ),
  ],
  side: ({ l, h }) => [
    part('body', box(0, h * 0.46, l * 0.26, h * 0.6, 2)),
    part('fine', oval(0, h * 0.72, Math.min(l * 0.4, h * 0.26))),
    part('line', lines([-l * 0.26, h * 0.86], [l * 0.26, h * 0.58])),
    part(
      'card',
      box(-l * 0.28, h * 0.88, l * 0.3, h * 0.06),
      box(l * 0.28, h * 0.56, l * 0.3, h * 0.06),
    ),
    part('line', bend([-l * 0.2, 0], [-l * 0.28, h * 0.08], [-l * 0.2, h * 0.16])),
    part('body', oval(-l * 0.02, h * 0.08, l * 0.18, h * 0.06)),
  ],
}

export const motor: Picture = {
  plan: ({ l, w }) => [
    part('body', box(l * 0.2, 0, l * 0.56, w * 0.8, 2)),
    part('card', oval(l * 0.2, 0, Math.min(l, w) * 0.14)),
    part('shaft', lines([-l * 0.08, 0], [-l * 0.48, 0])),
  ],
  side: ({ l, h }) => [
    part('body', box(l * 0.1, h * 0.92, l * 0.6, h * 0.15, 2)),
    part(
      'shaft',
      lines([l * 0.1, h * 0.85], [l * 0.1, h * 0.16]),
      lines([-l * 0.2, h * 0.92], [-l * 0.5, h * 0.94]),
    ),
    part('card', box(l * 0.1, h * 0.66, l * 0.24, h * 0.06)),
    part('body', oval(l * 0.1, h * 0.1, l * 0.36, h * 0.07)),
    part('line', bend([-l * 0.3, 0], [-l * 0.2, h * 0.1], [-l * 0.3, h * 0.2])),
  ],
}

export const rudder: Picture = {
  plan: ({ l, w }) => [
    part('body', closed([l / 2, 0], [l * 0.3, w * 0.4], [-l / 2, 0], [l * 0.3, -w * 0.4])),
    part('card', oval(l * 0.36, 0, Math.min(l, w) * 0.12)),
  ],
  side: ({ l, h }) => [
    part(
      'body',
      `M${l * 0.1},${h * 0.7}`,
      on([-l * 0.4, h * 0.7], [-l * 0.5, h * 0.1]),
      on([-l * 0.2, -h * 0.04], [l * 0.1, h * 0.1]),
      'z',
    ),
    part('shaft', lines([l * 0.1, 0], [l * 0.1, h])),
    part('card', box(l * 0.3, h * 0.9, l * 0.4, h * 0.16)),
  ],
}

export const cart: Picture = {
  plan: ({ l, w }) => {
    const tyre = Math.min(w * 0.16, 10)
    return [
      part(
        'body',
        box(0, w / 2 - tyre / 2, l * 0.5, tyre, 2),
        box(0, -w / 2 + tyre / 2, l * 0.5, tyre, 2),
      ),
      part('shaft', lines([0, -w / 2 + tyre], [0, w / 2 - tyre])),
      part('card', box(0, w * 0.18, l, w * 0.1, 1), box(0, -w * 0.18, l, w * 0.1, 1)),
    ]
  },
  side: ({ l, h }) => {
    const r = Math.min(l * 0.3, h * 0.34)
    return [
      part('body', oval(0, r, r)),
      part('shaft', lines([0, r], [-l * 0.28, h * 0.9]), lines([0, r], [l * 0.28, h * 0.9])),
      part('card', oval(0, r, r * 0.3), box(0, h * 0.94, l, h * 0.12, 1)),
    ]
  },
}

export const camera: Picture = {
  plan: ({ l, w }) => [
    part('body', box(-l * 0.08, 0, l * 0.8, w, 1)),
    part('card', oval(l * 0.36, 0, l * 0.14, w * 0.28)),
  ],
  side: ({ l, h }) => [
    part('body', standing(-l * 0.08, 0, l * 0.8, h, 1)),
    part('card', oval(l * 0.36, h / 2, l * 0.14, h * 0.28)),
  ],
}
