import { defaults } from '@/core/settings/table'
import { newDesktop } from './kinds/desktop'
import { arriving, nearDisplay } from './kinds/display'
import type { State } from './state'

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
    declined: [],
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
