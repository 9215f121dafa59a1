import type { StoreApi } from 'zustand'
import type { Env } from '@/core/commands/command'
import { execute, type Outcome, type Session } from '@/core/commands/execute'
import type { DocumentId } from '@/core/model/ids'
import type { AppFacts } from '@/core/model/kinds/app'
import { ownFacts } from '@/core/model/ownApps'
import { newId } from './newId'
import type { PageState } from './page'
import { type Ran, seenFrom } from './views/replica'

/**
 * Runs commands upon a session, with what they get of the world.
 * @param facts of the apps that ship
 */
export function createRunner(page: StoreApi<PageState>, facts: AppFacts[]) {
  const apps = new Map(facts.map((app) => [app.id, app]))
  let isBusy: (document: DocumentId) => boolean = () => false

  /** What is known of an app, of those that ship and the person's own. */
  function appFacts(id: string): AppFacts | undefined {
    const own = page.getState().session.state.apps
    const found = Object.hasOwn(own, id) ? own[id] : undefined
    return apps.get(id) ?? (found && ownFacts(found))
  }

  /** What a command gets of the world. Given again what it was given once, it does the same again. */
  function env({ now, by, ids }: Ran): Env {
    const own = page.getState().session.state.apps
    let given = 0
    return {
      now,
      id: (kind) => {
        ids[given] ??= newId(kind)
        return ids[given++] as string
      },
      app: appFacts,
      apps: () => [...apps.values(), ...Object.values(own).map(ownFacts)],
      by,
      busy: (document) => isBusy(document),
    }
  }

  return {
    appFacts,

    /**
     * Runs a command without showing anything of it. One that fails takes nothing with it: the shelf
     * is as it was.
     */
    runOn(session: Session, ran: Ran): Outcome {
      const { id, args } = ran
      try {
        const seen = { ...session, state: seenFrom(session.state, ran.display) }
        return execute(seen, id, args, env(ran))
      } catch (error) {
        console.error(error)
        const why = error instanceof Error ? error.message.slice(0, 200) : ''
        return { ok: false, reason: `That could not be done; nothing was changed. (${id}: ${why})` }
      }
    },

    /** Who knows what is at work. */
    provideBusy(given: typeof isBusy): void {
      isBusy = given
    },
  }
}
