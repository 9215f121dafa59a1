import { APPS } from '@/apps/list'
import type { Env } from '@/core/commands/command'
import { execute, type Session } from '@/core/commands/execute'
import type { State } from '@/core/model/state'
import { copyOf } from '@/core/model/stowing'
import { type PastChange, type Stretch, worthKeeping } from '@/core/past/past'
import { atMinute } from '@/core/plan/plan'
import { emptyHistory } from '@/core/rules/history'
import { workingDays } from './journal'

/** What is done on a working day, by the minute; in the evening all is as it was in the morning. */
const DONE: [minute: number, command: string, args: object][] = [
  [425, 'window.open', { app: 'document', title: 'Slide above the road' }],
  [431, 'desktop.create', { name: 'Road closure' }],
  [432, 'window.send', { window: 'closures', to: 'Road closure' }],
  [433, 'window.send', { window: 'line', to: 'Road closure' }],
  [434, 'window.send', { window: 'pit', to: 'Road closure' }],
  [502, 'desktop.go', { to: 'model' }],
  [503, 'window.move', { window: 'notes', x: 520, y: 24 }],
  [561, 'window.close', { window: 'output' }],
  [640, 'desktop.fold', { desktops: ['desktop-then-3'], into: 'field' }],
  [702, 'window.send', { window: 'observers', to: 'bulletin' }],
  [790, 'desktop.go', { to: 'bulletin' }],
  [815, 'window.resize', { window: 'observers', x: 24, y: 60, width: 520, height: 420 }],
]
const EVENING = 1015

/** How the shelf stood on the working days before today, on each the same. */
export function lastStood(state: State, now: number): Stretch[] {
  const day = dayFrom(state, now)
  return workingDays(now).map((midnight) => ({
    at: atMinute(midnight, 390),
    state,
    changes: day.map(({ minute, ...change }) => ({ ...change, at: atMinute(midnight, minute) })),
  }))
}

function dayFrom(state: State, now: number): (Omit<PastChange, 'at'> & { minute: number })[] {
  let made = 0
  const env: Env = {
    now,
    id: (kind) => `${kind}-then-${++made}`,
    app: (id) => APPS.find((app) => app.id === id),
    apps: () => APPS,
    busy: () => false,
    by: 'key',
  }
  let session: Session = { state: copyOf(state), history: emptyHistory }
  const did = (minute: number, id: string, args: object) => {
    const outcome = execute(session, id, args, env)
    if (!outcome.ok) throw new Error(`${id}: ${outcome.reason}`)
    session = outcome.session
    const changes = outcome.changes && worthKeeping(outcome.changes)
    return changes ? [{ minute, ...(outcome.say && { say: outcome.say }), changes }] : []
  }
  const day = DONE.flatMap(([minute, id, args]) => did(minute, id, args))
  for (let minute = EVENING; session.history.past.length > 0; minute++)
    day.push(...did(minute, 'history.undo', {}))
  return day
}
