import { PAD } from '@/core/geometry/pad'
import type { KeyPlace } from '@/core/model/kinds/binding'
import type { Bound } from './bindings'

/** Something keys do in a place. */
interface Act extends Bound {
  /** What it does, as its view and the key card say it; the same for those that are told together. */
  does: string
  /** What it does alone, where that differs. */
  alone: string
}

const act = (
  keys: string,
  command: string,
  does: string,
  args?: Act['args'],
  alone = does,
): Act => ({ keys, command, does, alone, ...(args && { args }) })

/** The four arrows, each with its direction. */
const arrows = (command: string, does: string, before = ''): Act[] =>
  ['Left', 'Right', 'Up', 'Down'].map((key) =>
    act(before + key, command, does, { to: key.toLowerCase() }, `${does}: ${key.toLowerCase()}`),
  )

export const KEYMAPS: Record<KeyPlace, Act[]> = {
  rack: [
    ...arrows('rack:walk', 'walk'),
    act('Enter', 'rack:go', 'go there'),
    act('R', 'desktop.askName', 'rename it'),
    act('L', 'desktop.askLetter', 'its call letter'),
    act('V', 'desktop.askLook', 'its look'),
    act('F', 'desktop.previewFold', 'fold it'),
    act(',', 'desktop.reorder', 'move it', { by: -1 }, 'move it up'),
    act('.', 'desktop.reorder', 'move it', { by: 1 }, 'move it down'),
    act('Escape', 'rack:leave', 'back to the window'),
  ],
  loft: [
    ...arrows('loft:walk', 'walk'),
    act('Enter', 'loft:go', 'go there'),
    ...[1, 2, 3, 4, 5, 6, 7, 8, 9].map((nth) =>
      act(
        `${nth}`,
        'loft:pick',
        'go to that window of the row',
        { nth },
        `go to window ${nth} of the row`,
      ),
    ),
    act('Space', 'loft:mark', 'mark; hold to look closely'),
    act(',', 'desktop.reorder', 'move the row', { by: -1 }, 'move the row up'),
    act('.', 'desktop.reorder', 'move the row', { by: 1 }, 'move the row down'),
    act('Delete', 'window.close', 'close the window'),
    act('N', 'loft:send', 'to a new desktop', { to: 'new' }),
    act('Insert', 'desktop.create', 'new desktop', { stay: true }),
    act(';', 'loft:more', 'more to do with it'),
    act('/', 'loft:filter', 'filter'),
    act('Shift+=', 'loft:larger', 'larger, smaller, as fits', undefined, 'larger'),
    act('-', 'loft:smaller', 'larger, smaller, as fits', undefined, 'smaller'),
    act('0', 'loft:fit', 'larger, smaller, as fits', undefined, 'as large as fits'),
    act("'", 'loft:bench', 'show or hide the bench'),
    act('PageUp', 'loft:benchUp', 'scroll the bench', undefined, 'scroll the bench up'),
    act('PageDown', 'loft:benchDown', 'scroll the bench', undefined, 'scroll the bench down'),
    act('Escape', 'loft:leave', 'back'),
  ],
  unstack: [
    ...arrows('unstack:walk', 'walk'),
    act('Enter', 'unstack:pick', 'pick'),
    act('Space', 'unstack:look', 'mark; hold to look closely'),
    act('.', 'unstack:next', 'the next app’s windows'),
    act(
      ',',
      'unstack:previous',
      'the next app’s windows',
      undefined,
      'the windows of the app before',
    ),
    act("'", 'unstack:minimised', 'show minimised windows'),
    act('Delete', 'window.close', 'close the window'),
    act('Escape', 'unstack:leave', 'back'),
    act('=', 'unstack:leave', 'back'),
  ],
  trail: [
    act('`', 'trail:next', 'next'),
    act('Shift+`', 'trail:previous', 'previous'),
    act('Down', 'trail:next', 'next'),
    act('Up', 'trail:previous', 'previous'),
    act('Right', 'trail:look', 'hold to look closely'),
    act('Tab', 'trail:here', 'this desktop only, or all'),
    act('Enter', 'trail:pick', 'pick'),
    act('Escape', 'trail:leave', 'back'),
  ],
  pad: [
    ...[...PAD].map((key, cell) =>
      act(
        key,
        'pad:cell',
        'fill that cell; press two to span',
        { cell },
        `into the ninth of ${key}`,
      ),
    ),
    ...[...PAD].map((key, cell) =>
      act(
        `Shift+${key}`,
        'pad:sized',
        'at its size, though its app keeps its own',
        { cell },
        `into the ninth of ${key}, at its size`,
      ),
    ),
    ...arrows('pad:side', 'half, third of it'),
    ...arrows('pad:step', 'a step', 'Shift+'),
    act('=', 'pad:grow', 'grow, shrink', undefined, 'grow'),
    act('Shift+=', 'pad:grow', 'grow, shrink', undefined, 'grow'),
    act('-', 'pad:shrink', 'grow, shrink', undefined, 'shrink'),
    act('M', 'pad:middle', 'middle, fill', undefined, 'middle'),
    act('F', 'pad:fill', 'middle, fill', undefined, 'fill'),
    act('R', 'pad:restore', 'as it stood before'),
    act('N', 'pad:next', 'the next display'),
    act('Enter', 'pad:keep', 'keep'),
    act('Escape', 'pad:leave', 'leave as it was'),
  ],
  glance: [
    act('Enter', 'glance:stay', 'stay there'),
    act('Right', 'glance:raise', 'raise the next window', { by: 1 }),
    act('Left', 'glance:raise', 'raise the next window', { by: -1 }, 'raise the window before'),
    act('Escape', 'glance:leave', 'back'),
  ],
  run: [
    ...['Right', 'PageDown', 'Space', 'Enter'].map((key) => act(key, 'run.next', 'next')),
    ...['Left', 'PageUp', 'Backspace'].map((key) => act(key, 'run.back', 'back')),
    act('N', 'run:notes', 'its notes, or not'),
    act('H', 'run:hands', 'work in the window'),
    act('S', 'run.end', 'end here', { stay: true }),
    act('Escape', 'run.end', 'end it'),
  ],
}
