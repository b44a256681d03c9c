/** What stands on the deck and holds something, or lies there. */
import { bars, bend, box, closed, lines, on, oval, part, standing, type Picture } from './parts'

export const crate: Picture = {
  plan: ({ l, w }) => {
    const tube = Math.min(3, l * 0.09, w * 0.09)
    const corners = [
      [1, 1],
      [1, -1],
      [-1, 1],
      [-1, -1],
    ].map(([a, b]) => oval(a! * (l / 2 - tube), b! * (w / 2 - tube), tube))
    return [
      part('body', box(0, 0, l, w, 2)),
      part(
        'fine',
        bars([-l / 2, -w / 2], [l / 2, -w / 2], [0, w], 4),
        bars([-l / 2, -w / 2], [-l / 2, w / 2], [l, 0], 4),
      ),
      part('card', ...corners),
    ]
  },
  side: ({ l, h }) => {
    const tube = Math.min(4, l * 0.12)
    const tubes = [-1, 1].map((end) =>
      standing(end * (l / 2 - tube / 2), h * 0.25, tube, h * 0.75, 1.5),
    )
    return [
      part(
        'body',
        closed([-l / 2 + 1, h * 0.85], [l / 2 - 1, h * 0.85], [l * 0.45, 0], [-l * 0.45, 0]),
      ),
      part('line', bars([-l * 0.46, 0], [-l * 0.46, h * 0.85], [l * 0.92, 0], 3)),
      part('card', ...tubes),
    ]
  },
}

export const dryBox: Picture = {
  plan: ({ l, w }) => [
    part('body', box(0, 0, l, w, 0.12 * Math.min(l, w))),
    part('fine', box(0, 0, l * 0.82, w * 0.78, 2)),
    part('card', box(-l / 4, w * 0.46, l * 0.1, w * 0.08), box(l / 4, w * 0.46, l * 0.1, w * 0.08)),
  ],
  side: ({ l, h }) => [
    part('body', standing(0, 0, l, h, 2)),
    part('line', lines([-l / 2, h * 0.76], [l / 2, h * 0.76])),
    part(
      'card',
      box(-l / 4, h * 0.74, l * 0.1, h * 0.2, 0.5),
      box(l / 4, h * 0.74, l * 0.1, h * 0.2, 0.5),
    ),
  ],
}

export const bag: Picture = {
  plan: ({ l, w }) => [
    part('soft', box(0, 0, l, w, 0.32 * Math.min(l, w))),
    part('fine', lines([-l * 0.36, 0], [l * 0.36, 0])),
    part('line', bars([-l * 0.3, -1], [l * 0.3, -1], [0, 2], 5)),
  ],
  side: ({ l, h }) => [
    part(
      'soft',
      `M${-l * 0.46},0`,
      on([-l * 0.54, h * 0.8], [-l * 0.24, h * 0.84]),
      on([0, h * 0.9], [l * 0.24, h * 0.84]),
      on([l * 0.54, h * 0.8], [l * 0.46, 0]),
      'z',
    ),
    part('line', bend([-l * 0.16, h * 0.86], [0, h * 1.12], [l * 0.16, h * 0.86])),
    part('fine', lines([-l * 0.4, h * 0.6], [l * 0.4, h * 0.6])),
  ],
}

export const fishBag: Picture = {
  plan: ({ l, w }) => [
    part(
      'soft',
      `M${l / 2},${-w * 0.46}`,
      `L${l / 2},${w * 0.46}`,
      on([-l * 0.1, w * 0.52], [-l * 0.44, w * 0.3]),
      on([-l * 0.56, 0], [-l * 0.44, -w * 0.3]),
      on([-l * 0.1, -w * 0.52], [l / 2, -w * 0.46]),
      'z',
    ),
    part('fine', bars([l * 0.4, -w * 0.4], [-l * 0.3, -w * 0.4], [0, w * 0.8], 2)),
    part('line', lines([-l * 0.34, w * 0.2], [l * 0.42, w * 0.32])),
  ],
  side: ({ l, h }) => [
    part(
      'soft',
      `M${l / 2},0V${h * 0.72}`,
      on([l * 0.44, h], [l * 0.2, h * 0.98]),
      on([-l * 0.36, h * 0.9], [-l / 2, h * 0.2]),
      `V0z`,
    ),
    part(
      'fine',
      lines([l * 0.2, 0], [l * 0.2, h * 0.96]),
      lines([-l * 0.15, 0], [-l * 0.15, h * 0.8]),
    ),
  ],
}

export const tray: Picture = {
  plan: ({ l, w }) => [
    part('body', box(0, 0, l, w, 1)),
    part(
      'fine',
      bars([-l / 2, -w / 2], [l / 2, -w / 2], [0, w], 5),
      bars([-l / 2, -w / 2], [-l / 2, w / 2], [l, 0], 2),
    ),
  ],
  side: ({ l, h }) => [
    part('body', standing(0, 0, l, h, 0.8)),
    part('line', lines([-l / 2, h * 0.7], [l / 2, h * 0.7])),
    part('card', box(-l / 4, h * 0.66, l * 0.07, h * 0.4), box(l / 4, h * 0.66, l * 0.07, h * 0.4)),
  ],
}

export const tank: Picture = {
  plan: ({ l, w }) => [
    part('body', box(0, 0, l, w, 0.16 * Math.min(l, w))),
    part('fine', box(0, 0, l * 0.84, w * 0.8, 3)),
    part(
      'line',
      bend([-l * 0.2, 0], [-l * 0.1, w * 0.14], [0, 0]),
      bend([0, 0], [l * 0.1, -w * 0.14], [l * 0.2, 0]),
    ),
    part('card', oval(l * 0.36, w * 0.32, Math.min(l, w) * 0.06)),
  ],
  side: ({ l, h }) => [
    part('card', standing(0, 0, l * 0.94, h * 0.9, 2)),
    part(
      'body',
      `M${-l * 0.47},${h * 0.66}`,
      on([-l * 0.3, h * 0.74], [-l * 0.16, h * 0.66]),
      on([0, h * 0.58], [l * 0.16, h * 0.66]),
      on([l * 0.32, h * 0.74], [l * 0.47, h * 0.66]),
      `V0H${-l * 0.47}z`,
    ),
    part('dark', box(0, h * 0.94, l, h * 0.12, 1)),
  ],
}

/** A bottle on its side, about `mid`. */
const lying = (l: number, w: number, mid: number) => [
  part(
    'body',
    `M${-l / 2},${mid - w / 2}H${l * 0.16}`,
    on([l * 0.3, mid - w / 2], [l * 0.34, mid - w * 0.2]),
    `H${l * 0.4}V${mid + w * 0.2}H${l * 0.34}`,
    on([l * 0.3, mid + w / 2], [l * 0.16, mid + w / 2]),
    `H${-l / 2}z`,
  ),
  part('card', box(l * 0.45, mid, l * 0.1, w * 0.5, 0.5)),
]
const LIES = 1.4 // times as long as high

export const bottle: Picture = {
  plan: ({ l, w }) =>
    l > LIES * w
      ? lying(l, w, 0)
      : [part('body', oval(0, 0, l / 2, w / 2)), part('card', oval(0, 0, l * 0.22, w * 0.22))],
  side: ({ l, h }) =>
    l > LIES * h
      ? lying(l, h, h / 2)
      : [
          part(
            'body',
            `M${-l / 2},0V${h * 0.66}`,
            on([-l / 2, h * 0.78], [-l * 0.2, h * 0.84]),
            `V${h * 0.9}H${l * 0.2}V${h * 0.84}`,
            on([l / 2, h * 0.78], [l / 2, h * 0.66]),
            'V0z',
          ),
          part('card', standing(0, h * 0.9, l * 0.5, h * 0.1, 0.5)),
        ],
}

export const board: Picture = {
  plan: ({ l, w }) => [
    part('body', box(0, 0, l, w)),
    part('fine', bars([-l / 2, w / 2], [l / 2, w / 2], [0, -w * 0.3], 11)),
    part('card', box(-l / 2 + 1, 0, 2, w)),
  ],
  side: ({ l, h }) => [
    part('body', standing(0, 0, l, h * 0.4)),
    part('card', standing(-l / 2 + 1, 0, 2, h)),
  ],
}

export const battery: Picture = {
  plan: ({ l, w }) => {
    const post = 0.13 * Math.min(l, w)
    return [
      part('body', box(0, 0, l, w, 1)),
      part('card', oval(-l * 0.28, 0, post), oval(l * 0.28, 0, post)),
      part('fine', lines([-l * 0.28 - post / 2, 0], [-l * 0.28 + post / 2, 0])),
      part(
        'fine',
        lines([l * 0.28 - post / 2, 0], [l * 0.28 + post / 2, 0]),
        lines([l * 0.28, -post / 2], [l * 0.28, post / 2]),
      ),
      part('shaft', lines([0, -w / 2], [0, w / 2])),
    ]
  },
  side: ({ l, h }) => [
    part('body', standing(0, 0, l, h * 0.9, 1)),
    part(
      'card',
      standing(-l * 0.28, h * 0.9, l * 0.16, h * 0.1),
      standing(l * 0.28, h * 0.9, l * 0.16, h * 0.1),
    ),
    part('shaft', lines([0, 0], [0, h * 0.9])),
  ],
}

export const line: Picture = {
  plan: ({ l, w }) => [
    part('body', oval(0, 0, l / 2, w / 2)),
    part(
      'fine',
      oval(0, 0, l * 0.38, w * 0.38),
      oval(0, 0, l * 0.26, w * 0.26),
      oval(0, 0, l * 0.14, w * 0.14),
    ),
  ],
  side: ({ l, h }) => [
    part('body', standing(0, 0, l, h, h * 0.4)),
    part('fine', bars([-l * 0.46, 0], [-l * 0.46, h], [l * 0.92, 0], 3)),
  ],
}

export const plain: Picture = {
  plan: ({ l, w }) => [part('body', box(0, 0, l, w, 0.1 * Math.min(l, w)))],
  side: ({ l, h }) => [part('body', standing(0, 0, l, h, 0.1 * Math.min(l, h)))],
}
