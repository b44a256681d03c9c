/** Directions as people say them, and where they point on a drawing with north up. */
const NAMES = ['N', 'NE', 'E', 'SE', 'S', 'SW', 'W', 'NW']

export const norm = (deg: number): number => ((deg % 360) + 360) % 360
/** `315° NW` */
export const bearing = (deg: number): string =>
  `${Math.round(norm(deg)) % 360}°\u00a0${NAMES[Math.round(norm(deg) / 45) % 8]!}`
/** A point so far from the middle, that way. */
export function toward(deg: number, far: number, x = 0, y = 0): [number, number] {
  const angle = (deg * Math.PI) / 180
  return [x + far * Math.sin(angle), y - far * Math.cos(angle)]
}
