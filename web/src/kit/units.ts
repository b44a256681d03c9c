/** The one place where SI meets what people type and read; conversions exact by definition. */
export type Units = 'metric' | 'imperial'
export type Kind =
  | 'mass'
  | 'length'
  | 'angle'
  | 'area'
  | 'volume'
  | 'moment'
  | 'ratio'
  | 'times'
  | 'force'
  | 'thin'
  | 'density'
  | 'energy'
  | 'speed'
  | 'count'
  | 'price'
  | 'warmth'
  | 'voltage'
  | 'current'
  | 'power'
  | 'resistance'
  | 'charge'
  | 'work'
  | 'hours'
  | 'pace'
  | 'seconds'
  | 'far'

export const M_PER_INCH = 0.0254
export const KG_PER_POUND = 0.45359237
const M_PER_FOOT = 12 * M_PER_INCH
const M_PER_MILE = 5280 * M_PER_FOOT
const GRAVITY_M_S2 = 9.80665 // standard gravity: a pound-force is a pound times it
const FAR_M = 2000 // from there on people count in kilometres, or miles
const GROUP_LB_FT = KG_PER_POUND * M_PER_FOOT

interface Shown {
  per: number
  unit: string
  digits: number
  /** what 0 in SI is shown as, for scales that start elsewhere */
  zero?: number
}

/** Electric units and time are the same everywhere. */
const ELECTRIC = {
  voltage: { per: 1, unit: 'V', digits: 2 },
  current: { per: 1, unit: 'A', digits: 1 },
  power: { per: 1, unit: 'W', digits: 1 },
  resistance: { per: 0.001, unit: 'mΩ', digits: 0 },
  charge: { per: 1, unit: 'Ah', digits: 1 },
  work: { per: 1, unit: 'Wh', digits: 0 },
  hours: { per: 1, unit: 'h', digits: 1 },
  seconds: { per: 1, unit: 's', digits: 0 },
} as const

const SHOWN: Record<Units, Record<Kind, Shown>> = {
  metric: {
    mass: { per: 1, unit: 'kg', digits: 1 },
    length: { per: 0.01, unit: 'cm', digits: 1 },
    angle: { per: 1, unit: '°', digits: 2 },
    area: { per: 1, unit: 'm²', digits: 3 },
    volume: { per: 0.001, unit: 'L', digits: 1 },
    moment: { per: 1, unit: 'kg by 1\u00a0m', digits: 2 },
    ratio: { per: 0.01, unit: '%', digits: 0 },
    times: { per: 1, unit: '', digits: 1 },
    force: { per: 1, unit: 'N', digits: 0 },
    thin: { per: 0.001, unit: 'mm', digits: 1 },
    density: { per: 1, unit: 'kg/m³', digits: 0 },
    energy: { per: 1, unit: 'J', digits: 1 },
    speed: { per: 1, unit: 'm/s', digits: 1 },
    pace: { per: 60 / 1000, unit: 'min/km', digits: 1 },
    far: { per: 1, unit: 'm', digits: 0 },
    count: { per: 1, unit: '', digits: 0 },
    price: { per: 1, unit: '', digits: 0 },
    warmth: { per: 1, unit: '°C', digits: 0 },
    ...ELECTRIC,
  },
  imperial: {
    mass: { per: KG_PER_POUND, unit: 'lb', digits: 1 },
    length: { per: M_PER_INCH, unit: 'in', digits: 1 },
    angle: { per: 1, unit: '°', digits: 2 },
    area: { per: M_PER_FOOT ** 2, unit: 'ft²', digits: 2 },
    volume: { per: M_PER_FOOT ** 3, unit: 'ft³', digits: 2 },
    moment: { per: GROUP_LB_FT, unit: 'lb by 1\u00a0ft', digits: 2 },
    ratio: { per: 0.01, unit: '%', digits: 0 },
    times: { per: 1, unit: '', digits: 1 },
    force: { per: KG_PER_POUND * GRAVITY_M_S2, unit: 'lbf', digits: 0 },
    thin: { per: M_PER_INCH, unit: 'in', digits: 3 },
    density: { per: KG_PER_POUND / M_PER_FOOT ** 3, unit: 'lb/ft³', digits: 1 },
    energy: { per: GROUP_LB_FT * GRAVITY_M_S2, unit: 'ft·lbf', digits: 1 },
    speed: { per: M_PER_MILE / 3600, unit: 'mph', digits: 1 },
    pace: { per: 60 / M_PER_MILE, unit: 'min/mi', digits: 1 },
    far: { per: M_PER_FOOT, unit: 'ft', digits: 0 },
    count: { per: 1, unit: '', digits: 0 },
    price: { per: 1, unit: '', digits: 0 },
    warmth: { per: 5 / 9, unit: '°F', digits: 0, zero: 32 },
    ...ELECTRIC,
  },
}

export function unitOf(kind: Kind, units: Units): string {
  return SHOWN[units][kind].unit
}

/** The bare number of an SI value in the user's units, without a minus on a rounded zero. */
export function number(value: number, kind: Kind, units: Units, digits?: number): string {
  const { per, digits: usual, zero = 0 } = SHOWN[units][kind]
  const text = (value / per + zero).toFixed(digits ?? usual)
  return Number(text) === 0 ? text.replace('-', '') : text
}

/** A figure and its band in one: `24.7 ± 6.0 cm`. */
export function showBand(value: number, band: number, kind: Kind, units: Units): string {
  return `${number(value, kind, units)} ±\u00a0${show(band, kind, units)}`
}

/** An SI value with its unit: `12.5 cm`, `40 %`, `1.3°`. */
export function show(value: number, kind: Kind, units: Units, digits?: number): string {
  if (kind === 'far' && Math.abs(value) >= FAR_M)
    return units === 'metric'
      ? `${(value / 1000).toFixed(1)}\u00a0km`
      : `${(value / M_PER_MILE).toFixed(1)}\u00a0mi`
  const unit = unitOf(kind, units)
  const gap = unit === '°' || unit === '' ? '' : '\u00a0'
  return `${number(value, kind, units, digits)}${gap}${unit}`
}

/** A boat's length as people say it: `366 cm`, or `12′ 0″`. */
export function showLong(value_m: number, units: Units): string {
  if (units === 'metric') return show(value_m, 'length', units, 0)
  const inches = Math.round((value_m / M_PER_INCH) * 2) / 2
  return `${Math.floor(inches / 12)}′\u00a0${inches % 12}″`
}

const LENGTH: Record<string, number> = {
  mm: 0.001,
  cm: 0.01,
  m: 1,
  in: M_PER_INCH,
  inch: M_PER_INCH,
  inches: M_PER_INCH,
  '"': M_PER_INCH,
  '″': M_PER_INCH,
  '”': M_PER_INCH,
  "''": M_PER_INCH,
  ft: M_PER_FOOT,
  foot: M_PER_FOOT,
  feet: M_PER_FOOT,
  "'": M_PER_FOOT,
  '′': M_PER_FOOT,
  '’': M_PER_FOOT,
}
const MASS: Record<string, number> = {
  kg: 1,
  g: 0.001,
  lb: KG_PER_POUND,
  lbs: KG_PER_POUND,
  pound: KG_PER_POUND,
  pounds: KG_PER_POUND,
  oz: KG_PER_POUND / 16,
}
const ANGLE: Record<string, number> = { '°': 1, deg: 1 }
const RATIO: Record<string, number> = { '%': 0.01 }
const VOLUME: Record<string, number> = { l: 0.001, ml: 1e-6 }
const SPEED: Record<string, number> = { 'm/s': 1, 'km/h': 1 / 3.6, kn: 1852 / 3600, mph: 0.44704 }
const FORCE: Record<string, number> = { n: 1, lbf: KG_PER_POUND * GRAVITY_M_S2 }
const WORDS: Partial<Record<Kind, Record<string, number>>> = {
  length: LENGTH,
  thin: LENGTH,
  mass: MASS,
  angle: ANGLE,
  ratio: RATIO,
  volume: VOLUME,
  speed: SPEED,
  far: LENGTH,
  force: FORCE,
}
const PART = /^([+-]?(?:\d+(?:[.,]\d*)?|[.,]\d+))\s*([a-z%°/]+|''|["'′″’”])?\s*/i
const FEET = M_PER_FOOT

/**
 * Read what was typed as SI, or return null: `12'6"`, `12 ft 6 in`, `381 cm`, `3 lb 4 oz`; a bare
 * number is in the user's units, and a bare one after feet is inches.
 */
export function parse(text: string, kind: Kind, units: Units): number | null {
  const words = WORDS[kind] ?? {}
  let rest = text.trim().replace(/−/g, '-')
  if (rest === '') return null
  let total = 0
  let before: number | null = null
  while (rest !== '') {
    const part = PART.exec(rest)
    if (!part) return null
    const amount = Number(part[1]!.replace(',', '.'))
    const word = part[2]?.toLowerCase()
    let per = word === undefined ? SHOWN[units][kind].per : words[word]
    if (word === undefined && before !== null) {
      if (kind !== 'length' || before !== FEET) return null
      per = M_PER_INCH
    }
    if (per === undefined || !Number.isFinite(amount)) return null
    if (before !== null && (per >= before || amount < 0)) return null
    total = total < 0 ? total - amount * per : total + amount * per
    before = per
    rest = rest.slice(part[0].length)
  }
  return kind === 'warmth' ? total - (SHOWN[units][kind].zero ?? 0) * SHOWN[units][kind].per : total
}
