/** Legends of keys that are known by where they are, where the layout prints nothing better on them. */

const PUNCTUATION: Record<string, string> = {
  BracketLeft: '[',
  BracketRight: ']',
  Backslash: '\\',
  Equal: '=',
  Minus: '-',
  Slash: '/',
  Semicolon: ';',
  Quote: "'",
  Backquote: '`',
  Comma: ',',
  Period: '.',
}
const OURS = new Map(Object.entries(PUNCTUATION).map(([code, legend]) => [legend, code]))

const NAMED: Record<string, string> = {
  ArrowLeft: 'Left',
  ArrowRight: 'Right',
  ArrowUp: 'Up',
  ArrowDown: 'Down',
  Space: 'Space',
}

/** What is printed on keys, by code, where the browser tells the layout. */
export type Layout = ReadonlyMap<string, string>

const isLatin = (text: string | undefined): text is string => /^[a-z]$/i.test(text ?? '')

const MODIFIERS = ['Alt', 'Shift', 'Control', 'Meta', 'AltGraph', 'CapsLock']

/**
 * The strokes of a key event as the key language writes them, those that count more first; none for a
 * lone modifier and for AltGr, which types text. Letters mean what is printed. Punctuation does where
 * the layout only moved it about; where it has other signs there, the physical key counts, as it does
 * for digits. A letter of another alphabet is heard as itself, and else as the Latin one of its key.
 */
export function strokesOf(event: KeyboardEvent, layout?: Layout): string[] {
  const { code, key } = event
  if (MODIFIERS.includes(key) || event.getModifierState('AltGraph')) return []
  const held = [
    event.ctrlKey || event.metaKey ? 'Ctrl+' : '',
    event.altKey ? 'Alt+' : '',
    event.shiftKey ? 'Shift+' : '',
  ].join('')
  return legends(code, key, layout).map((legend) => held + legend)
}

/** The stroke of a key event that counts most, or null for none. */
export const strokeOf = (event: KeyboardEvent, layout?: Layout): string | null =>
  strokesOf(event, layout).at(-1) ?? null

function legends(code: string, key: string, layout?: Layout): string[] {
  const named = NAMED[code] ?? /^Digit(\d)$/.exec(code)?.[1]
  if (named) return [named]
  const printed = layout?.get(code) ?? key
  // The layout a browser tells has Latin letters: another alphabet is told by the event alone.
  const own = /^(?![a-z])\p{L}$/iu.test(key) ? key.toLocaleUpperCase('en') : ''
  const latin = isLatin(printed) ? printed.toUpperCase() : undefined
  if (!latin && layout && moved(layout).has(code)) return [printed]
  if (!latin && PUNCTUATION[code]) return [PUNCTUATION[code]]
  const letter = latin ?? /^Key([A-Z])$/.exec(code)?.[1]
  return own.length === 1 ? [own, ...(letter ? [letter] : [])] : [letter ?? key]
}

const BUTTONS: Record<number, string> = { 1: 'MouseMiddle', 3: 'MouseBack', 4: 'MouseForward' }

/** The stroke of a button of the mouse; null for those that choose and open menus. */
export function mouseStroke(
  event: Pick<MouseEvent, 'button' | 'ctrlKey' | 'metaKey' | 'altKey' | 'shiftKey'>,
): string | null {
  const button = BUTTONS[event.button]
  if (!button) return null
  const ctrl = event.ctrlKey || event.metaKey
  return `${ctrl ? 'Ctrl+' : ''}${event.altKey ? 'Alt+' : ''}${event.shiftKey ? 'Shift+' : ''}${button}`
}

const known = new WeakMap<Layout, ReadonlySet<string>>()

/**
 * The keys on which a layout prints one of our signs that only changed places: the key that has it
 * elsewhere prints a letter, or another sign that did. Else one of them could not be said any more.
 */
function moved(layout: Layout): ReadonlySet<string> {
  const before = known.get(layout)
  if (before) return before
  const found = new Set([...layout].filter(([, sign]) => OURS.has(sign)).map(([code]) => code))
  for (let size = -1; size !== found.size; ) {
    size = found.size
    for (const code of found) {
      const home = OURS.get(layout.get(code) ?? '') ?? ''
      if (home !== code && !found.has(home) && !isLatin(layout.get(home))) found.delete(code)
    }
  }
  known.set(layout, found)
  return found
}

/** Signs that are typed with Shift, as the key language writes them. */
const SHIFTED: Record<string, string> = {
  '+': 'Shift+=',
  _: 'Shift+-',
  '?': 'Shift+/',
  ':': 'Shift+;',
  '"': "Shift+'",
  '<': 'Shift+,',
  '>': 'Shift+.',
  '{': 'Shift+[',
  '}': 'Shift+]',
  '|': 'Shift+\\',
  '~': 'Shift+`',
}

/**
 * What a key says where plain keys do the work, whether or not Alt is held: first as it is printed,
 * so that `/` is `/` wherever a layout has it, then by where it lies.
 */
export function plainStrokes(event: KeyboardEvent, layout?: Layout): string[] {
  const { key } = event
  const printed = SHIFTED[key] ?? (/^[0-9]$/.test(key) || OURS.has(key) ? key : null)
  const laid = strokesOf(event, layout).map((stroke) => stroke.replace(/^(Ctrl\+)?(Alt\+)?/, ''))
  return printed && !laid.includes(printed) ? [printed, ...laid] : laid
}

/**
 * Whether Alt, or Option, types a character with this key, which a chord would take away: the event
 * carries another one than is printed on the key.
 */
export function typesWithAlt(event: KeyboardEvent, mac: boolean, layout?: Layout): boolean {
  const { code, key } = event
  if (!event.altKey || event.ctrlKey || event.metaKey) return false
  if (event.getModifierState('AltGraph')) return false
  if (key === 'Dead') return true
  if (key.length !== 1 || key === ' ') return false
  const printed = layout?.get(code)
  if (printed && key.toLowerCase() === printed.toLowerCase()) return false
  const letters = /^Key[A-Z]$/.test(code)
  if (letters) return mac ? !isLatin(key) : !/^\p{L}$/u.test(key)
  // Elsewhere Alt alone types no signs, and the layout a browser tells need not be the one in use.
  return mac && printed !== undefined
}
