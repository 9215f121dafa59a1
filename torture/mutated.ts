import fc from 'fast-check'

const STRAY = [
  '1e999',
  '-1e999',
  '9007199254740993',
  '"__proto__"',
  '"constructor"',
  'null',
  '""',
  '[]',
  '{}',
  '"Infinity"',
  '-1',
  'true',
  '"\\u0000"',
  '{"__proto__":{"polluted":1}}',
  `"${'y'.repeat(5000)}"`,
]

/** Up to three changes of a text: how, where, and what comes in. */
export const mutations = fc.array(
  fc.tuple(fc.nat(4), fc.nat(1_000_000), fc.constantFrom(...STRAY)),
  { maxLength: 3 },
)

/** Changes a text: a value by a stray one, a key by another, a piece left out or doubled, a byte. */
export function mutated(text: string, kind: number, at: number, stray: string): string {
  const values = /(?<=[:,[])("(?:[^"\\]|\\.)*"|-?\d+(?:\.\d+)?|true|false|null)(?=[,\]}])/g
  const keys = /"(?:[^"\\]|\\.)*"(?=:)/g
  const nth = (pattern: RegExp) => {
    const found = [...text.matchAll(pattern)]
    return found[at % Math.max(1, found.length)]
  }
  const replace = (match: RegExpMatchArray | undefined, by: string) =>
    match?.index === undefined
      ? text
      : text.slice(0, match.index) + by + text.slice(match.index + match[0].length)
  switch (kind) {
    case 0:
      return replace(nth(values), stray)
    case 1:
      return replace(nth(keys), stray.startsWith('"') ? stray : '"__proto__"')
    case 2: {
      const from = at % text.length
      return text.slice(0, from) + text.slice(from + (at % 400))
    }
    case 3: {
      const from = at % text.length
      return text.slice(0, from) + text.slice(from, from + 200) + text.slice(from)
    }
    default: {
      const from = at % text.length
      return text.slice(0, from) + String.fromCharCode(at % 0x300) + text.slice(from + 1)
    }
  }
}
