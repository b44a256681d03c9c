import createClient from 'openapi-fetch'
import { describe, expect, it } from 'vitest'
import { ask, Offline, Refusal, whyNone } from './client'
import type { paths } from './schema'

/** Asked of a server that answers just this; of one that is not there, without. */
function asked(answer?: Response) {
  const fetch = () => (answer ? Promise.resolve(answer) : Promise.reject(new TypeError('no way')))
  return ask(createClient<paths>({ baseUrl: 'http://boat', fetch }).GET('/api/v1/setups'))
}
const refusal = (status: number, said: object | string) =>
  asked(new Response(typeof said === 'string' ? said : JSON.stringify(said), { status })).catch(
    (error: unknown) => error,
  )

describe('an answer', () => {
  it('is its data, and nothing where there is nothing to say', async () => {
    expect(await asked(Response.json([{ setup_id: 1 }]))).toEqual([{ setup_id: 1 }])
    expect(await asked(new Response(null, { status: 204 }))).toBeUndefined()
  })

  it('that refuses is told in the words of the server', async () => {
    const told = { title: 'No', status: 422, detail: 'There is no such boat', fields: [] }
    const error = await refusal(422, told)
    expect(error).toBeInstanceOf(Refusal)
    expect(whyNone(error)).toBe('There is no such boat')
    expect((error as Refusal).problem).toEqual(told)
  })

  it.each(['<h1>Bad gateway</h1>', '', '{}', 'null'])(
    'that nobody can read, %j, is told by its number',
    async (said) => {
      expect(whyNone(await refusal(502, said))).toBe('The server answered 502.')
    },
  )

  it('that never comes is told so', async () => {
    const error = await asked().catch((error: unknown) => error)
    expect(error).toBeInstanceOf(Offline)
    expect(whyNone(error)).toBe('The server cannot be reached.')
  })
})

it('a fault of ours is no answer, and is not told as one', () => {
  const fault = new TypeError('undefined is not a function')
  expect(() => whyNone(fault)).toThrow(fault)
})
