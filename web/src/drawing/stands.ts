/**
 * Where things stand on the boat while some are being tried. What is kept comes resolved from the
 * core; what is in hand is drawn where it is held, and takes along what it holds, until the
 * answer comes.
 */
import type { Aboard, Place, QuickFigures } from '@/api/client'
import type { Spot } from './sheet'

/** In boat coordinates; a box by the middle of its base, a rod by its butt. */
export interface Stand {
  x_m: number
  y_m: number
  base_z_m: number
  turn_deg: number
  tilt_deg: number
}

/** x and y in m and turn in degrees of what places are counted from. */
export type Frame = readonly [number, number, number]

export const BOAT: Frame = [0, 0, 0]
const RAD = Math.PI / 180

/** Boat coordinates of a spot in a frame. */
export function outOf(frame: Frame, x_m: number, y_m: number): [number, number] {
  const [cos, sin] = [Math.cos(frame[2] * RAD), Math.sin(frame[2] * RAD)]
  return [frame[0] + x_m * cos - y_m * sin, frame[1] + x_m * sin + y_m * cos]
}

/** The spot in a frame of boat coordinates. */
export function into(frame: Frame, x_m: number, y_m: number): [number, number] {
  const [cos, sin] = [Math.cos(frame[2] * RAD), Math.sin(frame[2] * RAD)]
  const [x, y] = [x_m - frame[0], y_m - frame[1]]
  return [x * cos + y * sin, y * cos - x * sin]
}

/** Where a thing is held; its place counts from `frame`, or from what it stood on. */
export interface InHand {
  place: Place
  frame?: Frame
}

/** What the core answered about each thing aboard. */
export const rowsById = (figures: QuickFigures | null | undefined): Map<number, Aboard> =>
  new Map(figures?.aboard.map((row) => [row.thing_id, row]))

/** Those that ride on none of the others: what rides along goes by itself. */
export const apart = (ids: number[], rows: ReadonlyMap<number, Aboard>): number[] =>
  ids.filter((id) => {
    for (let at = rows.get(id)?.holder_id; at != null; at = rows.get(at)?.holder_id)
      if (ids.includes(at)) return false
    return true
  })

/** A place in hand, drawn before it is answered; a butt in a tube waits for the answer. */
function held({ place, frame: given }: InHand, row: Aboard | undefined): Stand {
  if (place.bury_m > 0 && row) return row
  const frame = given ?? (place.on ? row?.frame : BOAT) ?? BOAT
  const [x_m, y_m] = outOf(frame, place.x_m, place.y_m)
  const bare = !place.on
  return {
    x_m,
    y_m,
    base_z_m: (bare ? place.z_m : null) ?? row?.base_z_m ?? 0,
    turn_deg: frame[2] + place.turn_deg,
    tilt_deg: bare ? place.tilt_deg : (row?.tilt_deg ?? place.tilt_deg),
  }
}

/** Stands of everything aboard; `tried` places count from `frames`, or from where they stood. */
export function stands(
  places: ReadonlyMap<number, Place>,
  rows: ReadonlyMap<number, Aboard>,
  tried: ReadonlyMap<number, Place | null>,
  frames: ReadonlyMap<number, Frame>,
): Map<number, Stand> {
  const found = new Map<number, Stand>()
  const moved = new Map<number, Stand>()
  for (const [id, place] of tried) {
    const row = rows.get(id)
    if (place) moved.set(id, held({ place, frame: frames.get(id) }, row))
  }
  /** The nearest thing below it that is in hand. */
  const carrier = (id: number): number | null => {
    for (let at = rows.get(id)?.holder_id; at != null; at = rows.get(at)?.holder_id)
      if (moved.has(at)) return at
    return null
  }
  for (const id of places.keys()) {
    const row = rows.get(id)
    const by = carrier(id)
    const mine = moved.get(id)
    if (mine) found.set(id, mine)
    else if (row && by !== null) found.set(id, carried(row, rows.get(by)!, moved.get(by)!))
    else if (row) found.set(id, row)
  }
  return found
}

/** How far the hand has gone, x forward, y to port and z up, from where a thing is drawn in it. */
export function gone(drawn: InHand, now: InHand, row: Aboard | undefined): Spot {
  const [from, to] = [held(drawn, row), held(now, row)]
  return [to.x_m - from.x_m, to.y_m - from.y_m, to.base_z_m - from.base_z_m]
}

/** What stands on something goes with it as one piece. */
function carried(row: Aboard, was: Stand, now: Stand): Stand {
  const turn = now.turn_deg - was.turn_deg
  const [dx, dy] = outOf([0, 0, turn], row.x_m - was.x_m, row.y_m - was.y_m)
  return {
    x_m: now.x_m + dx,
    y_m: now.y_m + dy,
    base_z_m: row.base_z_m + now.base_z_m - was.base_z_m,
    turn_deg: row.turn_deg + turn,
    tilt_deg: row.tilt_deg,
  }
}
