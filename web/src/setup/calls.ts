/** Calls of the API as data, which can be kept and sent again. */
import type { paths } from '@/api/schema'
import type { Call, Request } from './outbox'

export type Change = (label: string, call: Call) => Promise<boolean>
type Method = 'post' | 'put' | 'patch' | 'delete'
type Body<P extends keyof paths, M extends Method> = paths[P][M] extends {
  requestBody: { content: { 'application/json': infer B } }
}
  ? Omit<B, 'revision'>
  : undefined
interface With<P extends keyof paths, M extends Method> {
  body?: Body<P, M>
  query?: object
  /** what stands in the path, but for the setup */
  ids?: Record<string, number | string>
}

/** Its setup, and the revision it is based on, are filled in when it is sent. */
export function call<P extends keyof paths, M extends Method>(
  method: M,
  path: P,
  { body, query, ids = {} }: With<P, M> = {},
): Request {
  return {
    method: method.toUpperCase() as Request['method'],
    path: Object.entries(ids).reduce(
      (at, [name, id]) => at.replace(`{${name}}`, encodeURIComponent(id)),
      path as string,
    ),
    ...(body && { body }),
    ...(query && { query }),
  }
}
