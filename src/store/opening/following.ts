import type { KeptContent } from '@/core/formats/shelfFile'
import { connected } from '@/core/model/displays'
import type { DisplayId, DocumentId } from '@/core/model/ids'
import { findKept } from '@/store/disk/keeping'
import { whyNotKept } from '@/store/disk/storage'
import {
  isPutIn,
  keptContent,
  peekContent,
  provideContents,
  receiveContent,
  touchAll,
} from '@/store/documents/documents'
import { NOWHERE } from '@/store/documents/source'
import { hearTalk } from '@/store/documents/talk'
import { expected } from '@/store/faults'
import { hearReport } from '@/store/reports'
import { setSaving } from '@/store/saving'
import type { Shelf } from '@/store/shelf'
import { waitFor } from '@/store/starting'
import { seenFrom } from '@/store/views/replica'
import type { Page, Views } from '@/store/views/views'
import { databaseFor } from './aside'
import { begin, type Opening, use } from './begin'
import { awaitWriting, type Lock } from './lock'
import { isWriting } from './opened'
import { openSecond } from './secondCopy'

/** The page that keeps the shelf may be about to load it: so long it is waited for, in milliseconds. */
const FOLLOWED_WITHIN = 12_000

/** Which display a page shows, and whether it shows no other. */
export interface Seat {
  display: DisplayId
  fixed: boolean
}

/** The right to write the shelf, where this page has it. */
export interface Writing {
  lock: Lock | null
}

/** What a view asks its page for. */
export const pageFor = (shelf: Shelf, seat: Seat, yields: () => void): Page => ({
  giveWay: yields,
  session: () => shelf.page.getState().session,
  show: shelf.showSession,
  run: shelf.runOn,
  done: shelf.done,
  refused: (reason) => shelf.say(reason, { refused: true }),
  elsewhere: (displays) => settleElsewhere(shelf, seat, displays),
  waiting: (some) => setSaving(shelf, { state: some ? 'saving' : 'saved' }),
  comeForward: () => window.focus(),
  content: (document, content, put) => receiveContent(shelf, document, { content, put }),
  // One who keeps the shelf keeps it too.
  holds: (document) => isWriting(shelf) || keptContent(shelf, document) !== null,
  atHand: (id) => ({ content: keptContent(shelf, id), put: isPutIn(shelf, id) }),
  talk: (document, what) => hearTalk(shelf, document, what),
  read: (document) => peekContent(shelf, document),
  report: (document, given) => hearReport(shelf, document, given),
})

/** Displays are shown in other browser windows now, or not any more. */
function settleElsewhere(shelf: Shelf, { display: own, fixed }: Seat, all: DisplayId[]): void {
  // Who is about to go, or to come, in this page's place is not elsewhere.
  const displays = all.filter((id) => id !== own)
  const { elsewhere: before, session } = shelf.page.getState()
  const { state, history } = session
  const free = connected(state).find(({ id }) => !displays.includes(id))
  // What is shown there is not shown here too.
  const moves = !fixed && free && displays.includes(state.display)
  const { keysOn } = shelf.page.getState()
  shelf.page.setState({
    elsewhere: displays,
    // Nobody types where no window is any more.
    keysOn: keysOn && displays.includes(keysOn) ? keysOn : null,
    ...(moves && { session: { state: seenFrom(state, free.id), history } }),
  })
  if (!isWriting(shelf)) return
  for (const display of before)
    if (!displays.includes(display)) shelf.dispatch('display.giveBack', { display }, 'app')
}

/**
 * Another page keeps the shelf: this one follows, and keeps it when that one is gone.
 * @returns `gone` where that one went before it told anything
 */
export async function follow(
  shelf: Shelf,
  opening: Opening,
  writing: Writing,
): Promise<'ready' | 'elsewhere' | 'gone' | 'silent'> {
  const { name, views, over } = opening
  const waiting = new AbortController()
  over.signal.addEventListener('abort', () => waiting.abort())
  const waited = awaitWriting(shelf, name, waiting.signal)
  const first = await waitFor(
    shelf,
    'the window that has this shelf open',
    FOLLOWED_WITHIN,
    Promise.race([
      views.follow(waiting.signal).then((session) => ({ session })),
      waited.then((lock) => ({ lock })),
    ]),
  ).catch(expected('it does not answer: what is there to do is asked', null))
  if (first && 'lock' in first) {
    writing.lock = first.lock
    return first.lock ? 'gone' : 'elsewhere'
  }
  if (!first?.session) {
    waiting.abort()
    return over.signal.aborted ? 'elsewhere' : 'silent'
  }
  const { session } = first
  askContents(shelf, views)
  use(shelf, session.state, session.history)
  setSaving(shelf, { state: 'saved' })
  shelf.page.setState({ ready: true })
  void waited.then((lock) => keepOn(shelf, opening, writing, lock))
  return 'ready'
}

/** What is in documents comes from whoever keeps the shelf, and is told to the others. */
function askContents(shelf: Shelf, views: Views): void {
  provideContents(shelf, {
    source: { ...NOWHERE, read: (id) => askFor(shelf, views, id) },
    changed: () => {},
    told: (id, content, put) => views.changed(id, content, put),
  })
}

async function askFor(shelf: Shelf, views: Views, id: DocumentId): Promise<KeptContent | null> {
  if (isWriting(shelf)) return peekContent(shelf, id)
  try {
    return await views.ask(id)
  } catch (error) {
    // Meanwhile this page may have come to keep it.
    if (isWriting(shelf)) return peekContent(shelf, id)
    throw error
  }
}

function keepOn(shelf: Shelf, opening: Opening, writing: Writing, lock: Lock | null): void {
  writing.lock = lock
  if (!lock) return
  void takeOver(shelf, opening).catch((error: unknown) => {
    // Nothing is lost of it as long as this page is open, and others that follow are told.
    setSaving(shelf, { state: 'failed', why: whyNotKept(error) })
    opening.views.lead()
    setTimeout(() => {
      if (!opening.over.signal.aborted) keepOn(shelf, opening, writing, lock)
    }, AGAIN_AFTER)
  })
}

/** The main view has come, and keeps the shelf from now on: this one follows. */
export async function giveWay(shelf: Shelf, opening: Opening, writing: Writing): Promise<void> {
  const { name, views, over, finish } = opening
  await finish.giveWay()
  askContents(shelf, views)
  const followed = views.follow(over.signal)
  writing.lock?.release()
  writing.lock = null
  const waited = awaitWriting(shelf, name, over.signal)
  // It may come back at once: who came had not asked for it yet, and waits to be told.
  const session = await Promise.race([followed, waited.then(() => null)])
  if (session) shelf.showSession(session)
  keepOn(shelf, opening, writing, await waited)
}

/** When it could not be kept on, it is tried again after this time, in milliseconds. */
const AGAIN_AFTER = 5000

/** The page that kept the shelf is gone: what is here is kept from now on. */
async function takeOver(shelf: Shelf, opening: Opening): Promise<void> {
  const { name } = opening
  const { spare, copy } = await openSecond(shelf, name)
  const stores = shelf.stores(databaseFor(name))
  const { revision, slots, seq } = await findKept(stores.slots)
  const { state, history } = shelf.page.getState().session
  await begin(
    shelf,
    opening,
    stores,
    spare,
    {
      state,
      revision,
      slots,
      written: null,
      history,
      // Who kept it before may not have come to them.
      unwritten: [...history.past, ...history.future].map(({ id }) => id),
      seq: Math.max(seq, copy?.top ?? 0),
      gap: true,
    },
    [],
  )
  touchAll(shelf)
}
