/**
 * What is noted in the browser apart from the shelf. A browser may deny it: then there is nothing, and
 * nothing is noted.
 */

type Area = 'localStorage' | 'sessionStorage'

export function jotted(area: Area, key: string): string | null {
  try {
    return globalThis[area].getItem(key)
  } catch {
    return null
  }
}

/** @returns whether it was noted */
export function jot(area: Area, key: string, text: string | null): boolean {
  try {
    if (text === null) globalThis[area].removeItem(key)
    else globalThis[area].setItem(key, text)
    return true
  } catch {
    return false
  }
}

/** What was noted as JSON; null where that is nothing, or no JSON. */
export function jottedJson(area: Area, key: string): unknown {
  try {
    return JSON.parse(jotted(area, key) ?? 'null')
  } catch {
    return null
  }
}
