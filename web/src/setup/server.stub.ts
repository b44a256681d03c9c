/** A browser with the store, and a server that answers when it is told to, for specs without either. */
import { createPinia, setActivePinia } from 'pinia'
import { afterEach, vi } from 'vitest'
import type { Place, SetupState } from '@/api/client'
import { stubBrowser } from './browser.stub'

// Without a page an address has to be whole; the client takes what there is when it is loaded.
const Plain = globalThis.Request
globalThis.Request = class extends Plain {
  constructor(url: RequestInfo | URL, init?: RequestInit) {
    super(typeof url === 'string' ? new URL(url, 'http://here') : url, init)
  }
}

export const at = (x_m: number) => ({ x_m, y_m: 0, z_m: null, on: null }) as Place

/** A setup with a crate aboard that far from the stern; its trim is as many degrees. */
export function state(x_m: number, revision = 1): SetupState {
  return {
    setup_id: 1,
    revision,
    left: [],
    setup: {
      name: 'Pond',
      things: { 7: { name: 'Crate' }, 8: { name: 'Tray' } },
      places: { 7: at(x_m) },
      safety: { alone: true, plug: { diameter_mm: 20, spare: false }, leashes: {} },
    },
    figures: { afloat: { trim_deg: x_m }, findings: [] },
  } as unknown as SetupState
}

export type ServerStub = ReturnType<typeof server>

/** A server that answers when it is told to, the oldest question first. */
function server() {
  const waiting: { request: Request; answer: (response: Response) => void; fail: () => void }[] = []
  vi.stubGlobal('fetch', (...asked: Parameters<typeof fetch>) => {
    const request = new Request(...asked)
    return new Promise<Response>((answer, reject) =>
      waiting.push({ request, answer, fail: () => reject(new TypeError('no network')) }),
    )
  })
  const settled = () => vi.advanceTimersByTimeAsync(0)
  async function next() {
    await settled()
    return waiting.shift()!
  }
  return {
    /** What the question that waits longest is asked with. */
    async body(): Promise<object> {
      await settled()
      return (await waiting[0]!.request.clone().json()) as object
    },
    /** How many questions wait. */
    async asked(): Promise<number> {
      await settled()
      return waiting.length
    },
    async answers(body: object, status = 200): Promise<string> {
      const { request, answer } = await next()
      answer(new Response(JSON.stringify(body), { status }))
      await settled()
      return `${request.method} ${new URL(request.url).pathname}`
    },
    /** The question that waits longest is answered later, by what is given back. */
    async holds(): Promise<(body: object) => Promise<void>> {
      const { answer } = await next()
      return async (body) => {
        answer(new Response(JSON.stringify(body)))
        await settled()
      }
    },
    async isGone(): Promise<void> {
      ;(await next()).fail()
      await settled()
    },
  }
}

afterEach(() => {
  vi.unstubAllGlobals()
  vi.useRealTimers()
})

/** The store before anything was asked, by a clock that stands still. */
export async function fresh() {
  vi.useFakeTimers()
  stubBrowser()
  setActivePinia(createPinia())
  const there = server()
  const { useSetup } = await import('./useSetup')
  return { there, store: useSetup() }
}

/** The store with that setup open. */
export async function opened() {
  const { there, store } = await fresh()
  void store.open()
  await there.answers([{ setup_id: 1, name: 'Pond' }])
  await there.answers(state(1))
  return { there, store }
}
