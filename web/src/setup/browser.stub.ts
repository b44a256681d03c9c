import { vi } from 'vitest'

/** A browser's storage, for specs that run without a browser. */
export class StorageStub implements Storage {
  [name: string]: unknown
  readonly #rows = new Map<string, string>()
  get length() {
    return this.#rows.size
  }
  getItem = (key: string) => this.#rows.get(key) ?? null
  key = (n: number) => [...this.#rows.keys()][n] ?? null
  setItem = (key: string, value: string) => void this.#rows.set(key, value)
  removeItem = (key: string) => void this.#rows.delete(key)
  clear = () => this.#rows.clear()
  rows = () => [...this.#rows.values()]
}

/** A page with nothing kept, in which each tab keeps to what is its own; its storage is returned. */
export function stubBrowser(): StorageStub {
  const local = new StorageStub()
  vi.stubGlobal('localStorage', local)
  vi.stubGlobal('sessionStorage', new StorageStub())
  vi.stubGlobal('window', new EventTarget())
  vi.stubGlobal('navigator', {}) // it has no locks
  return local
}
