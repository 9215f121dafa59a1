import * as layouts from '@testing/layouts'
import { plainStrokes, strokeOf, strokesOf, typesWithAlt } from './stroke'

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

const layout = (keys: Record<string, string>) => new Map(Object.entries(keys))

const GERMAN = layout(layouts.GERMAN)
const FRENCH = layout(layouts.FRENCH)
const DVORAK = layout(layouts.DVORAK)
const SPANISH = layout({ Minus: "'", Quote: '´', Slash: '-', Comma: ',' })

test.each([
  ['German: letters as printed', GERMAN, 'KeyY', 'z', 'Alt+Z'],
  ['German: the minus stays where nothing took its place', GERMAN, 'Slash', '-', 'Alt+/'],
  ['German: its own signs go by the key', GERMAN, 'Semicolon', 'ö', 'Alt+;'],
  ['German: plus', GERMAN, 'BracketRight', '+', 'Alt+]'],
  ['French: letters as printed', FRENCH, 'KeyQ', 'a', 'Alt+A'],
  ['French: M lies where the semicolon is', FRENCH, 'Semicolon', 'm', 'Alt+M'],
  ['French: signs that only moved mean what is printed', FRENCH, 'Comma', ';', 'Alt+;'],
  ['French: the comma', FRENCH, 'KeyM', ',', 'Alt+,'],
  ['French: signs of its own go by the key', FRENCH, 'Slash', '!', 'Alt+/'],
  ['French: digits go by the key', FRENCH, 'Digit1', '&', 'Alt+1'],
  ['Dvorak: a letter where a sign was', DVORAK, 'Semicolon', 's', 'Alt+S'],
  ['Dvorak: a sign where a letter was', DVORAK, 'KeyZ', ';', 'Alt+;'],
  ['Dvorak: signs that changed places', DVORAK, 'BracketLeft', '/', 'Alt+/'],
  ['Dvorak: and another', DVORAK, 'Quote', '-', 'Alt+-'],
  ['Spanish: a chain that does not close goes by the keys', SPANISH, 'Slash', '-', 'Alt+/'],
  ['Spanish: all of it', SPANISH, 'Minus', "'", 'Alt+-'],
])('%s', (_name, map, code, key, stroke) => {
  expect(strokeOf(event(code, key, ['Alt']), map)).toBe(stroke)
})

test('where the browser does not tell the layout, the event and the key do', () => {
  expect(strokeOf(event('BracketRight', '+', ['Alt']))).toBe('Alt+]')
  expect(strokeOf(event('Slash', '?', ['Alt', 'Shift']))).toBe('Alt+Shift+/')
  expect(strokeOf(event('KeyY', 'z', ['Alt']))).toBe('Alt+Z')
  expect(strokeOf(event('KeyB', '∫', ['Alt']))).toBe('Alt+B')
  expect(strokeOf(event('Semicolon', 's', ['Alt']))).toBe('Alt+S')
})

test('AltGr types text, and a modifier alone is no stroke', () => {
  expect(strokeOf(event('KeyQ', '@', ['Alt', 'Ctrl', 'AltGraph']))).toBeNull()
  expect(strokeOf(event('AltLeft', 'Alt', ['Alt']))).toBeNull()
})

test('a letter of another alphabet is itself first, then the Latin one of its key', () => {
  expect(strokesOf(event('KeyG', 'п', ['Alt']))).toEqual(['Alt+П', 'Alt+G'])
  expect(strokesOf(event('KeyG', 'п', ['Alt']), layout({ KeyG: 'g' }))).toEqual(['Alt+П', 'Alt+G'])
  expect(strokesOf(event('KeyG', 'g', ['Alt']))).toEqual(['Alt+G'])
  expect(strokesOf(event('Semicolon', 'ж', ['Alt']))).toEqual(['Alt+;'])
})

test('plain keys are heard as they are printed, then by where they lie', () => {
  expect(plainStrokes(event('Digit7', '/', ['Shift']), GERMAN)).toEqual(['/', 'Shift+7'])
  expect(plainStrokes(event('BracketRight', '+'), GERMAN)).toEqual(['Shift+=', ']'])
  expect(plainStrokes(event('Equal', '+', ['Shift']))).toEqual(['Shift+='])
  expect(plainStrokes(event('Digit0', 'à'), FRENCH)).toEqual(['0'])
  expect(plainStrokes(event('KeyB', 'b', ['Alt']))).toEqual(['B'])
  expect(plainStrokes(event('NumpadAdd', '+'))).toEqual(['Shift+=', '+'])
})

test.each([
  ['a German Mac’s @', 'KeyL', '@', ['Alt'], true, true],
  ['the same character elsewhere', 'KeyL', '@', ['Alt'], false, true],
  ['a plain letter', 'KeyL', 'l', ['Alt'], true, false],
  ['an accent that waits for its letter', 'KeyE', 'Dead', ['Alt'], true, true],
  ['a letter of another alphabet', 'KeyG', 'п', ['Alt'], false, false],
  ['a letter that only Option types', 'KeyP', 'π', ['Alt'], true, true],
  ['AltGr', 'KeyQ', '@', ['Alt', 'AltGraph'], false, false],
  ['with Control too', 'KeyL', '@', ['Alt', 'Ctrl'], true, false],
  ['an arrow', 'ArrowLeft', 'ArrowLeft', ['Alt'], true, false],
])('Alt types: %s', (_name, code, key, held, mac, types) => {
  expect(typesWithAlt(event(code, key, held), mac)).toBe(types)
})

test('Alt types a sign where the layout prints another', () => {
  const keys = layout({ Digit5: '5', Slash: '-' })
  expect(typesWithAlt(event('Digit5', '[', ['Alt']), true, keys)).toBe(true)
  expect(typesWithAlt(event('Digit5', '5', ['Alt']), true, keys)).toBe(false)
  expect(typesWithAlt(event('Slash', '_', ['Alt', 'Shift']), false, keys)).toBe(false)
})
