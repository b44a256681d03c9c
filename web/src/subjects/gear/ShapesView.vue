<script setup lang="ts">
/** How each kind of gear is drawn: from above and from the side, to one scale a card. */
import type { Thing } from '@/api/client'
import { BLANK, thingOf, draftOf } from '@/setup/thingWords'
import { familyOf, partsOf, PICTURES, type PictureName } from '@/drawing/gear'

// Length, width and height in cm of one of each, and the kind whose tint it has.
const SIZES: Record<PictureName, [number, number, number, Thing['kind'], boolean?]> = {
  crate: [33, 33, 28, 'storage'],
  'dry box': [30, 22, 18, 'storage'],
  bag: [34, 22, 18, 'storage'],
  'fish bag': [50, 38, 22, 'fish'],
  tray: [28, 18, 5, 'tackle'],
  tank: [36, 30, 30, 'bait'],
  bottle: [9, 9, 26, 'other'],
  board: [70, 14, 4, 'fish'],
  battery: [18, 8, 17, 'power'],
  line: [16, 16, 8, 'safety'],
  screen: [6, 22, 15, 'electronics'],
  transducer: [8, 12, 30, 'electronics'],
  holder: [8, 8, 22, 'holder'],
  seat: [46, 46, 50, 'seat'],
  pedals: [26, 24, 44, 'drive'],
  motor: [34, 14, 90, 'drive'],
  rudder: [22, 6, 40, 'drive'],
  cart: [40, 52, 36, 'cart'],
  camera: [10, 6, 7, 'electronics'],
  vest: [22, 40, 46, 'clothes'],
  anchor: [36, 24, 14, 'anchor'],
  drogue: [40, 28, 12, 'safety'],
  kit: [22, 16, 8, 'safety'],
  radio: [7, 5, 16, 'safety'],
  rod: [210, 4, 4, 'rod', true],
  paddle: [230, 18, 10, 'paddle', true],
  net: [110, 42, 8, 'fish', true],
  pole: [180, 5, 5, 'anchor', true],
  flag: [120, 5, 5, 'safety', true],
  plain: [24, 16, 12, 'other'],
}
const PX = 88
const cards = PICTURES.map((name) => {
  const [l, w, h, kind, long] = SIZES[name]
  const thing = {
    ...thingOf(draftOf(BLANK)),
    kind,
    picture: name,
    shape: long ? 'pole' : 'box',
  } as Thing
  const k = Math.min(PX / l, 74 / Math.max(w, h), 4)
  const about = long ? (l / 2) * k : 0
  return {
    name,
    size: `${l} × ${w} × ${h} cm`,
    family: familyOf(thing),
    views: [
      {
        parts: partsOf(thing, 'plan', { l, w, h }),
        at: `matrix(${-k} 0 0 ${k} ${PX / 2 + 4 + about} 44)`,
      },
      long
        ? null
        : {
            parts: partsOf(thing, 'side', { l, w, h }),
            at: `matrix(${-k} 0 0 ${-k} ${PX / 2 + 4} 82)`,
          },
    ].filter((one) => one !== null),
  }
})
</script>

<template>
  <main tabindex="0" class="shapes">
    <h1>How gear is drawn</h1>
    <p class="soft">
      From above and from the side, built from length, width and height. Storage is sand, power and
      screens mist, safety apricot, catch and bait green, what drives and holds stone.
    </p>
    <ul>
      <li v-for="card in cards" :key="card.name">
        <div class="views">
          <svg
            v-for="(view, i) in card.views"
            :key="i"
            class="gear"
            :class="card.family"
            :width="PX + 8"
            height="88"
            aria-hidden="true"
          >
            <g :transform="view.at">
              <path v-for="(part, j) in view.parts" :key="j" :class="part.paint" :d="part.d" />
            </g>
          </svg>
        </div>
        <b>{{ card.name }}</b>
        <span class="soft">{{ card.size }}</span>
      </li>
    </ul>
  </main>
</template>

<style scoped>
.shapes {
  padding: 12px 18px;
}
h1 {
  margin: 0;
  font-size: 16px;
}
p {
  margin: 2px 0 10px;
}
ul {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(206px, 1fr));
  gap: 8px;
  margin: 0;
  padding: 0;
  list-style: none;
}
li {
  display: flex;
  flex-wrap: wrap;
  column-gap: 8px;
  align-items: baseline;
  padding: 4px 8px 6px;
  border: 1px solid var(--line);
  border-radius: 8px;
  background: var(--card);
}
.views {
  display: flex;
  flex: 0 0 100%;
  gap: 8px;
}
li span {
  font-size: 12px;
}
</style>
