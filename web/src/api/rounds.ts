/** A long answer that comes in rounds, a line of JSON each: the last one is returned. */
import { Offline, Refusal, refused, unitsNow } from './client'

/** Null where the asker hung up, at whatever point of the answer that was. */
export async function askRounds<T>(
  path: string,
  signal: AbortSignal,
  each: (round: T) => void,
): Promise<T | null> {
  try {
    const answer = await fetch(path, {
      method: 'POST',
      headers: { 'content-type': 'application/json', ...unitsNow() },
      body: '{}',
      signal,
    })
    if (!answer.ok || !answer.body) throw refused(read(await answer.text()), answer.status)
    const reader = answer.body.pipeThrough(new TextDecoderStream()).getReader()
    let last: T | null = null
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
    if (error instanceof Refusal) throw error
    throw new Offline()
  }
}

function read(text: string): unknown {
  try {
    return JSON.parse(text)
  } catch {
    return null
  }
}
