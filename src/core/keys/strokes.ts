/** Strokes as they are written: `Alt+Shift+B`, and a sequence with a space between: `Alt+] B`. */
export interface Stroke {
  ctrl: boolean
  alt: boolean
  shift: boolean
  /** What is printed on the key, or its name: `B`, `;`, `PageUp`. */
  key: string
}

/** Buttons of the mouse but those that choose and open menus; pressed alone, not in a sequence. */
const MOUSE_BUTTONS = ['MouseMiddle', 'MouseBack', 'MouseForward']

export const isMouse = ({ key }: Stroke): boolean => MOUSE_BUTTONS.includes(key)

const NAMED = [
  ...MOUSE_BUTTONS,
  'Enter',
  'Escape',
  'Backspace',
  'Delete',
  'Insert',
  'Tab',
  'Space',
  'Home',
  'End',
  'PageUp',
  'PageDown',
  'Left',
  'Right',
  'Up',
  'Down',
  ...Array.from({ length: 24 }, (_, at) => `F${at + 1}`),
]

/** A stroke taken apart, or null where it is none. */
function readStroke(written: string): Stroke | null {
  const found = /^(Ctrl\+)?(Alt\+)?(Shift\+)?(.+)$/.exec(written)
  const key = found?.[4] ?? ''
  if (!NAMED.includes(key) && !/^[A-Z0-9`\-=[\]\\;',./]$/.test(key)) return null
  return { ctrl: !!found?.[1], alt: !!found?.[2], shift: !!found?.[3], key }
}

/** Whether windows are typed into with it: without Ctrl or Alt all keys do, but for F1 to F24. */
export const isTyped = (stroke: Stroke): boolean =>
  !stroke.ctrl && !stroke.alt && !isMouse(stroke) && !/^F\d+$/.test(stroke.key)

/** At most so many strokes one after the other. */
export const STROKES_MOST = 3

/**
 * Keys taken apart, or null where they cannot be pressed so. After the first stroke of a sequence Alt
 * may be held or not, so none that follows is written with it.
 */
export function readKeys(written: string): Stroke[] | null {
  const strokes = written.split(' ').map(readStroke)
  const good = strokes.every((stroke, at) => stroke && (at === 0 || !stroke.alt))
  if (strokes.length > STROKES_MOST || !good) return null
  if (strokes.length > 1 && strokes.some((stroke) => stroke && isMouse(stroke))) return null
  return strokes as Stroke[]
}

export const writeStroke = ({ ctrl, alt, shift, key }: Stroke): string =>
  `${ctrl ? 'Ctrl+' : ''}${alt ? 'Alt+' : ''}${shift ? 'Shift+' : ''}${key}`

/** Whether keys would eat what is typed, could they be bound everywhere. */
export const eatTyping = (keys: string): boolean => {
  const [first] = readKeys(keys) ?? []
  return !!first && isTyped(first)
}
