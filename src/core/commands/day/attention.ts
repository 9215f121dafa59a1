import { number, string } from 'yup'
import { type Asking, heldBack, waitingNow } from '@/core/attention/waiting'
import { focusOn, goTo } from '@/core/commands/change'
import { command, type Env, no, type Refusal, type Result, refused } from '@/core/commands/command'
import { visit } from '@/core/commands/opening'
import { LEVELS } from '@/core/model/kinds/waiting'
import { peek } from '@/core/model/peek'
import { currentId, desktop, focusId, isVisible } from '@/core/model/selectors'
import type { State } from '@/core/model/state'

const group = 'Switching' as const

/** Longest of what an app says, in characters; more is cut. */
const SAYS_MOST = 200

const report = command({
  id: 'attention.report',
  title: 'Report what wants attention',
  group,
  unlisted: true,
  step: false,
  args: {
    document: string().required(),
    /** Without, nothing wants attention any more. */
    level: string().oneOf(LEVELS).nullable().defined(),
    says: string(),
  },
  plan: (draft, { document, level, says = '' }, { now }) => {
    if (!peek(draft.documents, document)) return no('There is no such document.')
    const before = peek(draft.attention, document)
    if (level === null) {
      if (before) delete draft.attention[document]
      return
    }
    const said = says.slice(0, SAYS_MOST)
    if (before?.level === level && before.says === said) return
    const rises = level === 'alarm' && before?.level !== 'alarm'
    const { until } = before ?? {}
    draft.attention[document] = {
      level,
      says: said,
      // More of it waits as long as what came first.
      since: before?.since ?? now,
      // An alarm is not put off by what was asked about something less.
      ...(until !== undefined && !rises && { until }),
      told: false,
    }
    return tell(draft, document, now)
  },
})

/** Tells what just came, where it may be told; the rest waits until it may. */
function tell(draft: State, document: string, now: number): Result {
  const asking = waitingNow(draft, now).find((one) => one.document === document)
  const waiting = draft.attention[document]
  if (!asking || !waiting) return {}
  waiting.told = true
  const { window, says, title } = asking
  const focused = peek(draft.windows, focusId(draft) ?? '')?.document === document
  const asks = peek(draft.windows, window)
  const to = asks?.desktop
  return {
    ...(!focused && { announce: says || title }),
    journal: [{ kind: 'asks', window, app: asks?.app ?? '', ...(to && { to }) }],
  }
}

/**
 * What waits in other windows than the one with the focus, and was not gone to in this round. Who asks on a quiet desktop is not torn
 * away: where nothing else waits, what is held back is gone to.
 */
function elsewhere(state: State, now: number): Asking[] {
  const gone = state.answering?.gone ?? []
  const others = (list: Asking[]) =>
    list.filter(({ window, document }) => window !== focusId(state) && !gone.includes(document))
  const waiting = others(waitingNow(state, now))
  return waiting.length > 0 || state.answering !== null ? waiting : others(heldBack(state, now))
}

const next = command({
  id: 'attention.next',
  title: 'Go to what has waited longest',
  group,
  plan: (draft, _args, env) => {
    const [first] = elsewhere(draft, env.now)
    if (!first) return draft.answering === null ? no('Nothing is waiting.') : comeBack(draft)
    draft.answering ??= { desktop: currentId(draft), window: focusId(draft) }
    draft.answering.gone = [...(draft.answering.gone ?? []), first.document]
    const waiting = draft.attention[first.document]
    if (waiting) waiting.told = true
    return { ...visit(draft, first.window), announce: first.says || first.title }
  },
})

/** Exactly where one was, however much was answered in between. */
export function comeBack(draft: State): Result {
  const { answering } = draft
  draft.answering = null
  if (!answering) return {}
  const from = currentId(draft)
  const window = peek(draft.windows, answering.window ?? '')
  if (draft.desktops[answering.desktop]) goTo(draft, answering.desktop)
  else if (window) return visit(draft, window.id)
  if (window && isVisible(draft, window)) focusOn(draft, window.id)
  const to = currentId(draft)
  return {
    announce: `Back on ${desktop(draft, to).name}`,
    journal: from === to ? [] : [{ kind: 'switch', from, to }],
  }
}

const back = command({
  id: 'attention.back',
  title: 'Back to where you were',
  group,
  plan: (draft) =>
    draft.answering === null ? no('There is nothing to return from.') : comeBack(draft),
})

const about = { document: string() }

const OVER = 'That time is over. Choose a later one.'

/** What is meant: what is named, else the first that waits; or that nothing does. */
function meantBy(state: State, document: string | undefined, { now }: Env): Asking | Refusal {
  const waiting = waitingNow(state, now)
  const found =
    document === undefined ? waiting[0] : waiting.find((one) => one.document === document)
  return found ?? no('Nothing is waiting.')
}

/** It waits no more. */
const over = <Id extends string>(kind: 'seen' | 'let go', id: Id, title: string, says: string) =>
  command({
    id,
    title,
    group,
    step: false,
    args: about,
    plan: (draft, { document }, env) => {
      const asking = meantBy(draft, document, env)
      if (refused(asking)) return asking
      delete draft.attention[asking.document]
      return {
        announce: `${says}: ${asking.says || asking.title}`,
        journal: [{ kind, window: asking.window }],
      }
    },
  })

const seen = over('seen', 'attention.seen', 'Mark what is waiting as seen', 'Seen')
const letGo = over('let go', 'attention.letGo', 'Let go of what is waiting', 'Let go')

const later = command({
  id: 'attention.putOff',
  title: 'Put off what is waiting',
  group,
  unlisted: true,
  step: false,
  args: { ...about, until: number().required() },
  plan: (draft, { document, until }, env) => {
    if (until <= env.now) return no(OVER)
    const asking = meantBy(draft, document, env)
    if (refused(asking)) return asking
    const waiting = draft.attention[asking.document]
    if (waiting) Object.assign(waiting, { until, told: false })
    return {
      announce: `Put off: ${asking.says || asking.title}`,
      journal: [{ kind: 'put off', window: asking.window }],
    }
  },
})

const list = command({
  id: 'attention.list',
  title: 'Waiting: answer or put off…',
  group,
  step: false,
  plan: () => ({ show: { view: 'waiting' } }),
})

export const attentionCommands = [next, back, list, report, seen, later, letGo]
