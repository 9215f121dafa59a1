import { defaults } from '@/core/settings/table'
import type { Desktop, DesktopId, Display, Presence, State } from './types'

export function newDesktop(
  given: Pick<Desktop, 'id' | 'name' | 'hue'> & Partial<Desktop>,
): Desktop {
  return {
    kind: 'open',
    letter: null,
    letterByHand: false,
    backdrop: 'ripstop',
    sign: true,
    windows: [],
    focus: null,
    ...given,
  }
}

/** The browser window as the first display; its size is set as soon as the desktop is measured. */
function nearDisplay(): Display {
  return {
    id: 'near',
    name: 'Near',
    width: 1072,
    height: 764,
    scale: 1,
    x: 0,
    y: 0,
    connected: true,
    measured: true,
  }
}

/** What a display is when it is first seen. */
export const arriving = (shows: DesktopId): Presence => ({ shows, focus: null, visited: [shows] })

/** A shelf with one empty desktop, for somebody who has just arrived. */
export function initialState(): State {
  const first = newDesktop({ id: 'first', name: 'Delta', hue: 'teal', letter: 'D' })
  return {
    desktops: { first },
    order: ['first'],
    columns: 1,
    windows: {},
    everywhere: [],
    displays: { near: nearDisplay() },
    displayOrder: ['near'],
    apart: true,
    display: 'near',
    presence: { near: arriving('first') },
    guide: 0,
    attention: {},
    answering: null,
    closed: [],
    homes: [],
    stowed: [],
    patterns: [],
    runs: [],
    running: null,
    plan: [],
    tethered: {},
    exceptions: {},
    sequences: [],
    apps: {},
    slots: [
      'document',
      'table',
      'reader',
      'countdown',
      'messages',
      'job',
      'player',
      'web',
      'drawer',
    ],
    bindings: [],
    stacking: [],
    documents: {},
    settings: defaults(),
  }
}
