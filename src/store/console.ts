import { registry } from '@/core/commands/registry'
import { type FlatState, flat } from './flat'
import type { Shelf } from './shelf'

/** The same commands from the browser console. Documented in the README. */
interface ConsoleApi {
  /** A copy of the state, as it is seen from this display. */
  state(): FlatState
  /** What can be undone, in words, the latest last. */
  steps(): string[]
  run(id: string, args?: object): { ok: true } | { ok: false; reason: string }
  commands(): { id: string; title: string; args: string[] }[]
}

declare global {
  interface Window {
    kiteShelf?: ConsoleApi
  }
}

export function provideConsole(shelf: Shelf): void {
  window.kiteShelf = {
    state: () => flat(shelf.state()),
    steps: () => shelf.page.getState().session.history.past.map(({ say }) => say),
    run: (id, args = {}) => {
      const outcome = shelf.dispatchAny(id, args, 'console')
      return outcome.ok ? { ok: true } : { ok: false, reason: outcome.reason }
    },
    commands: () =>
      [...registry.values()].map(({ id, title, args }) => ({
        id,
        title,
        args: Object.keys(args.fields),
      })),
  }
}
