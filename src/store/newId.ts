/** An id nothing else has. `crypto.randomUUID` is missing where a page is not served securely. */
export const newId = (kind: string): string =>
  `${kind}-${crypto.getRandomValues(new Uint32Array(2)).join('')}`
