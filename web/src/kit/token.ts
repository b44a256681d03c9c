/** A name that nobody else has: by random bytes, since a page over plain http in one's own network
 * has no randomUUID. */
export function newToken(): string {
  const bytes = crypto.getRandomValues(new Uint8Array(16))
  return [...bytes].map((one) => one.toString(16).padStart(2, '0')).join('')
}
