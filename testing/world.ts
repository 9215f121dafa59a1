import type { Env } from '@/core/commands/command'
import { execute, type Outcome, type Session } from '@/core/commands/execute'
import { initialState } from '@/core/model/initial'
import type { AppFacts } from '@/core/model/kinds/app'
import { focusId } from '@/core/model/selectors'
import type { State } from '@/core/model/state'
import { emptyHistory } from '@/core/rules/history'

/** Apps for tests: one plain, one of fixed size, both made up, the one notes are written in, and the one of web pages. */
export const APPS: AppFacts[] = [
  {
    id: 'notes',
    name: 'Notes',
    plural: 'notes',
    untitled: 'Note',
    width: 400,
    height: 300,
    limits: { minWidth: 160, minHeight: 120 },
    keys: [
      ['Ctrl+F', 'find'],
      ['Ctrl+K', 'link'],
      ['X', 'mix'],
    ],
  },
  {
    id: 'dial',
    name: 'Dial',
    plural: 'dials',
    untitled: 'Dial',
    width: 200,
    height: 160,
    limits: { minWidth: 180, minHeight: 140, maxWidth: 320, maxHeight: 240 },
  },
  {
    id: 'document',
    name: 'Document',
    plural: 'documents',
    untitled: 'New document',
    width: 480,
    height: 520,
    limits: { minWidth: 260, minHeight: 180 },
  },
  {
    id: 'web',
    name: 'Web page',
    plural: 'web pages',
    untitled: 'Web page',
    width: 640,
    height: 480,
    limits: { minWidth: 320, minHeight: 240 },
  },
]

/** The same times and ids every time, so that a run can be replayed. */
function testEnv(): Env {
  let count = 0
  return {
    get now() {
      return 1_000 + count
    },
    id: (kind) => `${kind}-${++count}`,
    app: (id) => APPS.find((app) => app.id === id),
    apps: () => APPS,
    busy: () => false,
    by: 'key',
  }
}

/** A session that is driven step by step; a refusal throws unless it is expected. */
export class World {
  session: Session
  env = testEnv()

  constructor(state: State = initialState()) {
    this.session = { state, history: emptyHistory }
  }

  get state(): State {
    return this.session.state
  }

  try(id: string, args: object = {}): Outcome {
    const outcome = execute(this.session, id, args, this.env)
    if (!outcome.ok) return outcome
    this.session = outcome.session
    const { show } = outcome
    // Nothing is asked about a desktop that is not there: nobody could answer it.
    if (show && 'desktop' in show && show.desktop != null && !this.state.desktops[show.desktop])
      throw new Error(`${id} asks about a desktop that is not there: “${show.desktop}”`)
    return outcome
  }

  run(id: string, args: object = {}): Extract<Outcome, { ok: true }> {
    const outcome = this.try(id, args)
    if (!outcome.ok) throw new Error(`${id}: ${outcome.reason}`)
    return outcome
  }

  refusal(id: string, args: object = {}): string {
    const outcome = this.try(id, args)
    if (outcome.ok) throw new Error(`${id} was not refused`)
    return outcome.reason
  }

  /** Opens a window and returns its id. */
  open(app = 'notes', title?: string): string {
    this.run('window.open', { app, ...(title && { title }) })
    return focusId(this.state) ?? ''
  }

  /** Makes desktops with these names and returns their ids; stays where it is. */
  desktops(...names: string[]): string[] {
    return names.map((name) => {
      this.run('desktop.create', { name, stay: true })
      const made = Object.values(this.state.desktops).find((desktop) => desktop.name === name)
      return made?.id ?? ''
    })
  }
}
