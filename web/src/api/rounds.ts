/** A long answer that comes in rounds, a line of JSON each: the last one is returned. */
import { Offline, Refusal, type Problem } from './client'

export async function askRounds<T>(
  path: string,
  signal: AbortSignal,
  each: (round: T) => void,
): Promise<T | null> {
  let answer: Response
  try {
    answer = await fetch(path, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: '{}',
      signal,
    })
  } catch {
    if (signal.aborted) return null
    throw new Offline('The server cannot be reached.')
  }
  if (!answer.ok || !answer.body) throw new Refusal((await answer.json()) as Problem)
  let last: T | null = null
  try {
    const reader = answer.body.pipeThrough(new TextDecoderStream()).getReader()
    let rest = ''
    for (;;) {
      const { done, value } = await reader.read()
      if (done) return last
      const lines = (rest + value).split('\n')
      rest = lines.pop() ?? ''
      for (const line of lines) each((last = JSON.parse(line) as T))
    }
  } catch (error) {
    if (signal.aborted) return null
    throw new Offline(error instanceof Error ? error.message : 'The answer broke off.')
  }
}
