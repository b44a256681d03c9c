/** What is worn, and what holds or slows the boat. */
import { bars, bend, box, closed, lines, on, oval, part, standing, type Picture } from './parts'

export const vest: Picture = {
  plan: ({ l, w }) => [
    part(
      'body',
      closed(
        [l * 0.3, w / 2],
        [-l / 2, w * 0.38],
        [-l / 2, -w * 0.38],
        [l * 0.3, -w / 2],
        [l / 2, -w * 0.26],
        [l * 0.36, 0],
        [l / 2, w * 0.26],
      ),
    ),
    part('card', oval(l * 0.16, 0, l * 0.14, w * 0.16)),
    part('fine', lines([-l / 2, 0], [0, 0])),
  ],
  side: ({ l, h }) => [
    part(
      'body',
      `M${-l / 2},0V${h * 0.6}`,
      on([-l * 0.46, h], [0, h]),
      `H${l * 0.2}`,
      on([l * 0.24, h * 0.72], [l / 2, h * 0.62]),
      'V0z',
    ),
    part('card', box(l * 0.12, h * 0.3, l * 0.4, h * 0.22, 1)),
    part('line', lines([-l / 2, h * 0.12], [l / 2, h * 0.12])),
  ],
}

export const anchor: Picture = {
  plan: ({ l, w }) => [
    part('shaft', lines([-l * 0.4, 0], [l / 2, 0])),
    part(
      'line',
      bend([l / 2, 0], [l * 0.4, w * 0.5], [-l * 0.1, w * 0.4]),
      bend([l / 2, 0], [l * 0.4, -w * 0.5], [-l * 0.1, -w * 0.4]),
    ),
    part(
      'line',
      bend([l / 2, 0], [l * 0.3, w * 0.26], [0, w * 0.2]),
      bend([l / 2, 0], [l * 0.3, -w * 0.26], [0, -w * 0.2]),
    ),
    part('card', oval(-l * 0.44, 0, Math.min(l, w) * 0.08)),
  ],
  side: ({ l, h }) => [
    part('shaft', lines([-l * 0.4, h * 0.4], [l / 2, h * 0.4])),
    part(
      'line',
      bend([l / 2, h * 0.4], [l * 0.4, h], [-l * 0.1, h * 0.9]),
      bend([l / 2, h * 0.4], [l * 0.4, 0], [-l * 0.1, h * 0.04]),
    ),
    part('card', oval(-l * 0.44, h * 0.4, Math.min(l, h) * 0.1)),
  ],
}

export const drogue: Picture = {
  plan: ({ l, w }) => [
    part(
      'body',
      closed([-l / 2, w * 0.14], [l * 0.16, w / 2], [l * 0.16, -w / 2], [-l / 2, -w * 0.14]),
    ),
    part(
      'fine',
      lines([l * 0.16, w / 2], [l / 2, 0], [l * 0.16, -w / 2]),
      lines([l * 0.16, 0], [l / 2, 0]),
    ),
    part('fine', lines([-l / 2, 0], [l * 0.16, 0])),
  ],
  side: ({ l, h }) => [
    part('soft', `M${-l / 2},0`, on([-l / 2, h], [0, h * 0.94]), on([l / 2, h], [l / 2, 0]), 'z'),
    part('fine', bend([-l * 0.3, h * 0.4], [0, h * 0.7], [l * 0.3, h * 0.4])),
  ],
}

/** A pouch or a box of first help: a cross says what is in it. */
export const kit: Picture = {
  plan: ({ l, w }) => {
    const arm = 0.22 * Math.min(l, w)
    return [
      part('body', box(0, 0, l, w, 2)),
      part('line', lines([-arm, 0], [arm, 0]), lines([0, -arm], [0, arm])),
    ]
  },
  side: ({ l, h }) => [
    part('body', standing(0, 0, l, h, 1.5)),
    part('fine', bars([-l / 2, 0], [-l / 2, h], [l, 0], 1)),
  ],
}

/** A hand-held set: case, grille, aerial. */
export const radio: Picture = {
  plan: ({ l, w }) => [
    part('body', box(-l * 0.1, 0, l * 0.8, w, 1)),
    part('shaft', lines([l * 0.3, w * 0.25], [l / 2, w * 0.25])),
    part('fine', bars([-l * 0.44, -w * 0.3], [0, -w * 0.3], [0, w * 0.6], 3)),
  ],
  side: ({ l, h }) => [
    part('body', standing(0, 0, l, h * 0.75, 1)),
    part('shaft', lines([l * 0.25, h * 0.75], [l * 0.25, h])),
    part('fine', bars([-l * 0.3, h * 0.1], [-l * 0.3, h * 0.5], [l * 0.6, 0], 3)),
  ],
}
