import { registry } from '@/core/commands/registry'
import type { State } from '@/core/model/types'
import { dispatch, getState } from './shelf'

/** The same commands from the browser console. Documented in the README. */
export interface ConsoleApi {
  /** A copy of the state. */
  state(): State
  run(id: string, args?: object): { ok: true } | { ok: false; reason: string }
  commands(): { id: string; title: string; args: string[] }[]
}

declare global {
  interface Window {
    kiteShelf?: ConsoleApi
  }
}

export function provideConsole(): void {
  window.kiteShelf = {
    state: () => structuredClone(getState()),
    run: (id, args = {}) => {
      const outcome = dispatch(id, args, 'console')
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
