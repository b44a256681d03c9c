/** The boat on land, drawn to scale from the side: metres to the right and up, its bow at the left. */
import type { Schemas } from '@/api/client'

/** Along the boat from its stern, and up from its lowest place. */
export type Place = [number, number]

export interface Pose {
  /** the place of the boat that it is turned about, and where in the scene that is */
  about: Place
  at: Place
  /** how far the bow is raised; negative: the stern */
  angle_deg: number
  /** its stern at the left */
  flip?: boolean
}

/** A force at a place of the scene, and which way it points. */
export interface Force {
  at: Place
  way: Place
  label: string
  weight?: boolean
  /** its words stand to the left of it */
  before?: boolean
}

/** Where a place of the boat is in the scene. */
export function posed(pose: Pose): (place: Place) => Place {
  const turn = (pose.angle_deg * Math.PI) / 180
  const [c, s] = [Math.cos(turn), Math.sin(turn)]
  return ([x, z]) => {
    const [dx, dz] = [pose.about[0] - x, z - pose.about[1]]
    const [ahead, up] = [dx * c + dz * s, -dx * s + dz * c]
    return [pose.at[0] + (pose.flip ? -ahead : ahead), pose.at[1] + up]
  }
}

/** The outline of the hull from the side, in the scene: along the sheer, back along the keel. */
export function outlineOf(rows: Schemas['FullHaul']['outline'], pose: Pose): Place[] {
  const to = posed(pose)
  const low = rows.map(([x, keel]) => to([x, keel]))
  const high = rows.map(([x, , sheer]) => to([x, sheer]))
  return [...high, ...low.reverse()]
}

/** Height of the keel there. */
export function keelAt(rows: Schemas['FullHaul']['outline'], x_m: number): number {
  const i = rows.findIndex(([x]) => x >= x_m)
  if (i <= 0) return rows.at(i < 0 ? -1 : 0)![1]
  const [[x0, z0], [x1, z1]] = [rows[i - 1]!, rows[i]!]
  return x1 === x0 ? z1 : z0 + ((z1 - z0) * (x_m - x0)) / (x1 - x0)
}
