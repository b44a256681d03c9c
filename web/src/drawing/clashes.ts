/** What tells one clash from all others: it stays the same mark while things are moved about. */
import type { TooNear } from '@/api/client'

export const clashKey = ({ thing_id, with_thing, envelope }: TooNear): string =>
  `${thing_id}:${with_thing ?? ''}:${envelope ?? ''}`
