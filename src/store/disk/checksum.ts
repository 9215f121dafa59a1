/** A text kept with what tells whether it is whole. */
export interface Sealed {
  revision: number
  checksum: string
  json: string
}

/** 53-bit mix of all characters: finds torn and altered records, does not guard against malice. */
export function checksum(text: string): string {
  let low = 0xdeadbeef
  let high = 0x41c6ce57
  for (let at = 0; at < text.length; at++) {
    const code = text.charCodeAt(at)
    low = Math.imul(low ^ code, 2654435761)
    high = Math.imul(high ^ code, 1597334677)
  }
  return `${text.length.toString(36)}-${(low >>> 0).toString(36)}-${(high >>> 0).toString(36)}`
}

export function sealed(value: unknown, revision: number): Sealed {
  const json = JSON.stringify(value)
  return { revision, checksum: checksum(json), json }
}

/** What was sealed, or null where the record is torn, altered or something else. */
export function unsealed(record: unknown): { value: unknown; revision: number } | null {
  const { revision, checksum: sum, json } = (record ?? {}) as Partial<Sealed>
  if (typeof json !== 'string' || !Number.isSafeInteger(revision) || checksum(json) !== sum)
    return null
  try {
    return { value: JSON.parse(json), revision: revision as number }
  } catch {
    return null
  }
}
