/** Legends of keys that are known by where they are, whatever the layout prints on them. */
const BY_CODE: Record<string, string> = {
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
  ArrowLeft: 'Left',
  ArrowRight: 'Right',
  ArrowUp: 'Up',
  ArrowDown: 'Down',
  Space: 'Space',
}

/** Letters by code, where the browser tells the layout. */
export type Layout = ReadonlyMap<string, string>

/**
 * The stroke of a key event as the key language writes it, or null for a lone modifier and for
 * AltGr, which types text. Letters go by the layout, punctuation and digits by the physical key.
 */
export function strokeOf(event: KeyboardEvent, layout?: Layout): string | null {
  const { code, key } = event
  if (['Alt', 'Shift', 'Control', 'Meta', 'AltGraph', 'CapsLock'].includes(key)) return null
  if (event.getModifierState('AltGraph')) return null
  const legend = BY_CODE[code] ?? digit(code) ?? letter(code, key, layout) ?? key
  return [
    event.ctrlKey || event.metaKey ? 'Ctrl+' : '',
    event.altKey ? 'Alt+' : '',
    event.shiftKey ? 'Shift+' : '',
    legend,
  ].join('')
}

const digit = (code: string): string | undefined => /^Digit(\d)$/.exec(code)?.[1]

function letter(code: string, key: string, layout?: Layout): string | undefined {
  const printed = layout?.get(code) ?? (/^[a-z]$/i.test(key) ? key : /^Key([A-Z])$/.exec(code)?.[1])
  return printed && /^[a-z]$/i.test(printed) ? printed.toUpperCase() : undefined
}
