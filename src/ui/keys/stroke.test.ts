import { strokeOf } from './stroke'

const event = (code: string, key: string, held: string[] = []) =>
  ({
    code,
    key,
    altKey: held.includes('Alt'),
    shiftKey: held.includes('Shift'),
    ctrlKey: held.includes('Ctrl'),
    metaKey: false,
    getModifierState: (name: string) => held.includes(name),
  }) as unknown as KeyboardEvent

test('punctuation and digits go by the physical key, whatever the layout types', () => {
  expect(strokeOf(event('BracketRight', '+', ['Alt']))).toBe('Alt+]')
  expect(strokeOf(event('Slash', '?', ['Alt', 'Shift']))).toBe('Alt+Shift+/')
  expect(strokeOf(event('Digit1', '&', ['Alt']))).toBe('Alt+1')
})

test('letters go by the layout where the browser tells it, else by what was typed', () => {
  const layout = new Map([['KeyQ', 'a']])
  expect(strokeOf(event('KeyQ', 'æ', ['Alt']), layout)).toBe('Alt+A')
  expect(strokeOf(event('KeyY', 'z', ['Alt']))).toBe('Alt+Z')
  expect(strokeOf(event('KeyB', '∫', ['Alt']))).toBe('Alt+B')
})

test('AltGr types text, and a modifier alone is no stroke', () => {
  expect(strokeOf(event('KeyQ', '@', ['Alt', 'Ctrl', 'AltGraph']))).toBeNull()
  expect(strokeOf(event('AltLeft', 'Alt', ['Alt']))).toBeNull()
})
