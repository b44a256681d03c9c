/** How each kind of gear is drawn, from what it is. */
import './gear.css'
import type { Thing } from '@/api/client'
import * as long from './long'
import * as mounted from './mounted'
import type { Part, Picture, Size } from './parts'
import * as safety from './safety'
import * as stowed from './stowed'

export type { Part, Size } from './parts'

export type PictureName = NonNullable<Thing['picture']>

/** What stands; the same names as the core has, so that none is left without a drawing. */
const STANDING: Record<PictureName, Picture> = {
  crate: stowed.crate,
  'dry box': stowed.dryBox,
  bag: stowed.bag,
  'fish bag': stowed.fishBag,
  tray: stowed.tray,
  tank: stowed.tank,
  bottle: stowed.bottle,
  board: stowed.board,
  battery: stowed.battery,
  line: stowed.line,
  screen: mounted.screen,
  transducer: mounted.transducer,
  holder: mounted.holder,
  seat: mounted.seat,
  pedals: mounted.pedals,
  motor: mounted.motor,
  rudder: mounted.rudder,
  cart: mounted.cart,
  camera: mounted.camera,
  vest: safety.vest,
  anchor: safety.anchor,
  drogue: safety.drogue,
  kit: safety.kit,
  radio: safety.radio,
  rod: stowed.plain,
  paddle: stowed.plain,
  net: stowed.plain,
  pole: stowed.plain,
  flag: stowed.plain,
  plain: stowed.plain,
}
/** What lies along its length. */
const LONG: Partial<Record<PictureName, Picture>> = {
  rod: long.rod,
  paddle: long.paddle,
  net: long.net,
  pole: long.pole,
  flag: long.flag,
  camera: long.cameraPole,
  transducer: long.arm,
  holder: long.arm,
}

export const PICTURES = Object.keys(STANDING) as PictureName[]

type Family = 'sand' | 'mist' | 'apricot' | 'green' | 'stone' | 'untinted'
const FAMILY: Record<Thing['kind'], Family> = {
  storage: 'sand',
  tackle: 'sand',
  seat: 'sand',
  electronics: 'mist',
  power: 'mist',
  safety: 'apricot',
  clothes: 'apricot',
  fish: 'green',
  bait: 'green',
  drive: 'stone',
  anchor: 'stone',
  cart: 'stone',
  holder: 'stone',
  paddle: 'stone',
  rod: 'untinted',
  other: 'untinted',
}
export const familyOf = (thing: Thing): Family => (thing.drogue ? 'apricot' : FAMILY[thing.kind])

const isLong = (thing: Thing): boolean => thing.shape === 'rod' || thing.shape === 'pole'

/** Which drawing a piece of gear has: the one its owner chose, else by what it is and does. */
export function pictureOf(thing: Thing): PictureName {
  if (thing.picture) return thing.picture
  if (thing.rod) return 'rod'
  if (thing.holder) return 'holder'
  if (thing.part === 'seat' || thing.part === 'rudder' || thing.part === 'paddle') return thing.part
  if (thing.part === 'drive') return 'pedals'
  if (thing.battery) return 'battery'
  if (thing.drogue) return 'drogue'
  if (thing.anchor) return thing.anchor.by === 'pole' ? 'pole' : 'anchor'
  if (thing.serves.includes('PFD')) return 'vest'
  if (thing.serves.includes('light') && isLong(thing)) return 'flag'
  if (thing.kind === 'paddle') return 'paddle'
  if (thing.kind === 'cart') return 'cart'
  if (thing.fill?.afloat) return 'tank'
  if (thing.container)
    return { open: 'crate', lid: 'dry box', zip: 'bag', 'roll top': 'bag' }[
      thing.container.opens
    ] as PictureName
  if (isLong(thing)) return 'pole'
  if (thing.shape === 'bag') return 'bag'
  return thing.shape === 'cylinder' ? 'bottle' : 'plain'
}

/** The parts of a thing of such a size, in cm. */
export function partsOf(thing: Thing, view: 'plan' | 'side', size: Size): Part[] {
  const name = pictureOf(thing)
  const picture = isLong(thing)
    ? (LONG[name] ?? { plan: long.bare.plan, side: long.bare.side })
    : STANDING[name]
  return picture[view](size)
}
