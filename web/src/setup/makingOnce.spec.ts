import { describe, expect, it } from 'vitest'
import { Offline, refused as refusal } from '@/api/client'
import { makingOnce } from './makingOnce'

type Keys = Record<string, string>

describe('what makes a setup', () => {
  const asked: string[] = []
  const put =
    (answer: () => string) =>
    (keys: Keys): Promise<string> => {
      asked.push(Object.values(keys)[0]!)
      return new Promise((answered) => answered(answer()))
    }
  const there = put(() => 'made')
  const gone = put(() => {
    throw new Offline('gone')
  })
  const answers = (status: number) =>
    put(() => {
      throw refusal(undefined, status)
    })

  it('is asked again by the same key until somebody answers', async () => {
    const make = makingOnce()
    asked.length = 0
    await expect(make({ name: 'Twin' }, gone)).rejects.toThrow('gone')
    await expect(make({ name: 'Twin' }, gone)).rejects.toThrow('gone')
    expect(await make({ name: 'Twin' }, there)).toBe('made')
    expect(new Set(asked).size).toBe(1)
    await make({ name: 'Twin' }, there)
    expect(new Set(asked).size).toBe(2)
  })

  it('is asked by the same key where the server broke, for it may have broken after', async () => {
    const make = makingOnce()
    asked.length = 0
    await expect(make({ name: 'Twin' }, answers(503))).rejects.toThrow('503')
    await make({ name: 'Twin' }, there)
    expect(new Set(asked).size).toBe(1)
  })

  it('is another question under another name, and after a refusal', async () => {
    const make = makingOnce()
    asked.length = 0
    await expect(make({ name: 'Twin' }, gone)).rejects.toThrow('gone')
    await expect(make({ name: 'Other' }, answers(422))).rejects.toThrow('422')
    await make({ name: 'Other' }, there)
    expect(new Set(asked).size).toBe(3)
  })
})
