/** What is found of wires, for drawings that show them. */
import type { Figures, Schemas, Verdict } from '@/api/client'

export type Wire = Schemas['Conductor']

type Findings = Figures['findings']
const RANK: readonly Verdict[] = ['fine', 'watch', 'fix', 'stop']

/** The wire that a finding is about, by its part; null where it is about none. */
export function wireOf(key: string): number | null {
  const found = /:wire (\d+)/.exec(key)
  return found ? Number(found[1]) : null
}

/** The worst that is found of each wire, what is lived with left out. */
export function worstByWire(findings: Findings): Map<number, Verdict> {
  const worst = new Map<number, Verdict>()
  for (const one of findings) {
    const key = one.accepted === null ? wireOf(one.key) : null
    if (key !== null && RANK.indexOf(one.verdict) > RANK.indexOf(worst.get(key) ?? 'fine'))
      worst.set(key, one.verdict)
  }
  return worst
}
