/**
 * What makes a setup is asked by a key of its own. Where the answer was lost, or the server
 * broke, and the same is asked again, it is asked by the same key, and answered with what was made
 * then.
 */
import { keyed, mayBeDone } from '@/api/client'
import { newToken } from '@/kit/token'

export function makingOnce() {
  let asked: { question: string; key: string } | null = null

  return async function make<T>(
    question: unknown,
    put: (headers: ReturnType<typeof keyed>) => Promise<T>,
  ): Promise<T> {
    const text = JSON.stringify(question)
    if (asked?.question !== text) asked = { question: text, key: newToken() }
    try {
      const made = await put(keyed(asked.key))
      asked = null
      return made
    } catch (error) {
      if (!mayBeDone(error)) asked = null
      throw error
    }
  }
}
