import type { Outcome, Session } from '@/core/commands/execute'
import type { KeptContent } from '@/core/formats/shelfFile'
import type { DisplayId, DocumentId } from '@/core/model/ids'
import { expected } from '@/store/faults'
import { newId } from '@/store/newId'
import type { Report } from '@/store/report'
import { Contents, type ToldContent } from './contents'
import type { Locks } from './locks'
import { type Ran, Replica, seenFrom, type Told, toldOf } from './replica'

/**
 * Several pages that show one shelf, a display each. One keeps it; the others send it what is done
 * on them, and follow what it tells. When that one closes, another keeps the shelf from then on.
 */

type Message =
  | { kind: 'hello' | 'here'; from: string; display: DisplayId; fixed: boolean }
  | { kind: 'focus'; display: DisplayId }
  | { kind: 'whole?'; from: string }
  | { kind: 'whole'; from: string; session: Session; revision: number }
  | { kind: 'run'; from: string; ran: Ran }
  | { kind: 'refused'; to: string; n: number; reason: string }
  | ({ kind: 'told' } & Told)
  | { kind: 'content'; from: string; document: DocumentId; told: ToldContent; put: boolean }
  /** What was told of a document stands upon what was not heard. */
  | { kind: 'missed'; to: string; document: DocumentId }
  | { kind: 'talk'; document: DocumentId; what: unknown }
  | { kind: 'content?'; from: string; document: DocumentId }
  | { kind: 'content!'; to: string; document: DocumentId; content: KeptContent | null }
  | { kind: 'report'; document: DocumentId; report: Report }

type Done = Extract<Outcome, { ok: true }>

/** What a view does on its page. */
export interface Page {
  session(): Session
  /** Shows a session that came from elsewhere. */
  show(session: Session): void
  /** Runs a command without showing anything. */
  run(session: Session, ran: Ran): Outcome
  /** What a command given elsewhere did that concerns whoever keeps the shelf. */
  done(outcome: Done): void
  refused(reason: string): void
  /** The displays that have a view of their own elsewhere. */
  elsewhere(displays: DisplayId[]): void
  /** Whether something done here has not been heard of by whoever keeps the shelf. */
  waiting(some: boolean): void
  /** The main view has come: it is the one to keep the shelf, for all that belongs to that. */
  giveWay(): void
  /** Brings this page to the front. */
  comeForward(): void
  /** @param put whether it was put in, and not typed in a window */
  content(document: DocumentId, content: KeptContent | null, put: boolean): void
  /** Whether what is told of a document is held here. */
  holds(document: DocumentId): boolean
  /** What is in a document now, as far as it is at hand. */
  atHand(document: DocumentId): { content: KeptContent | null; put: boolean }
  /** What a window of a document said to others of it. */
  talk(document: DocumentId, what: unknown): void
  /** What is in a document, from whoever keeps the shelf. */
  read(document: DocumentId): Promise<KeptContent | null>
  report(document: DocumentId, report: Report): void
}

/** What is asked for of a document that another view has. */
interface Asked {
  resolve(content: KeptContent | null): void
  reject(why: Error): void
}

/** How long another view is waited for, in milliseconds. */
const PATIENCE = 3000

export class Views {
  /** What others are called, with their display. */
  private others = new Map<string, DisplayId>()
  private replica: Replica | null = null
  /** Who keeps the shelf that is followed. */
  private leader = ''
  private revision = 0
  private count = 0
  private asked = new Map<DocumentId, Asked>()
  private contents = new Contents()
  private me = newId('view')
  private channel: BroadcastChannel
  /** Held as long as this view is open, so that others know when it is gone. */
  private gone = new AbortController()

  /**
   * @param shelf the shelf's name
   * @param own the display this view shows
   * @param fixed whether it shows no other
   * @param channel how views hear of each other
   * @param locks how they keep out of each other's way
   */
  constructor(
    private shelf: string,
    readonly own: DisplayId,
    readonly fixed: boolean,
    private page: Page,
    channel: (name: string) => BroadcastChannel,
    private locks: Locks,
  ) {
    this.channel = channel(`kite-shelf-views-${shelf}`)
    this.channel.onmessage = ({ data }) => this.hear(data as Message)
    void this.attend()
  }

  /** Says that it is there, once the lock is held by which others see when it is gone. */
  private attend(): Promise<void> {
    return this.locks
      .request(this.lockOf(this.me), () => {
        this.present('hello')
        return new Promise<void>((free) => this.gone.signal.addEventListener('abort', () => free()))
      })
      .catch(expected('another page took it: this one is told so'))
  }

  /** Whether this view keeps the shelf. */
  get leads(): boolean {
    return this.replica === null
  }

  /** Ends it: the page shows the shelf no more. */
  close(): void {
    this.gone.abort()
    this.channel.close()
  }

  /** From now on this view keeps the shelf: others take what it has. */
  lead(): void {
    const waiting = this.replica?.waiting ?? []
    // It may have been told nothing since it gave way.
    this.revision = Math.max(this.revision, this.replica?.at ?? 0) + 1 + waiting.length
    this.replica = null
    // It has them itself now.
    for (const document of [...this.asked.keys()]) this.unanswered(document)
    this.tellWhole()
  }

  /**
   * Follows the view that keeps the shelf.
   * @returns the shelf, when that has answered; null when it is not waited for any more
   */
  async follow(signal: AbortSignal): Promise<Session | null> {
    const first = new Promise<Session | null>((resolve) => {
      this.replica = new Replica(
        this.me,
        () => (this.fixed ? this.own : this.page.session().state.display),
        (session, ran) => this.page.run(session, ran),
        this.page.session(),
        -1,
      )
      this.arrived = resolve
      signal.addEventListener('abort', () => resolve(null))
    })
    const ask = () => this.post({ kind: 'whole?', from: this.me })
    ask()
    // It may be about to load the shelf.
    const timer = setInterval(
      () => (this.leads || signal.aborted ? clearInterval(timer) : ask()),
      500,
    )
    const session = await first
    clearInterval(timer)
    return session
  }

  private arrived: ((session: Session) => void) | null = null

  /** A number for a command that is given here. */
  next(): number {
    return ++this.count
  }

  /**
   * A command was run here.
   * @param before what was shown before it
   * @returns the session as it is seen here: the keys stay on a display that is shown here
   */
  ran(ran: Ran, before: Session, outcome: Done): Session {
    const { state, history } = outcome.session
    const to = state.display
    const leaves = to !== before.state.display && (this.fixed || this.isElsewhere(to))
    const own = leaves || this.fixed ? (this.fixed ? this.own : before.state.display) : to
    if (leaves) this.post({ kind: 'focus', display: to })
    const seen: Session = { state: seenFrom(state, own), history }
    if (this.replica) {
      this.replica.add(ran, seen, toldOf(outcome))
      this.page.waiting(true)
      this.post({ kind: 'run', from: this.me, ran })
    } else this.tell(outcome)
    return seen
  }

  /** Whether another view shows a display. */
  isElsewhere = (display: DisplayId): boolean => [...this.others.values()].includes(display)

  private tell(outcome: Done, of?: Told['of']): void {
    // Who comes later gets the whole.
    if (this.alone()) {
      this.revision++
      return
    }
    const told = toldOf(outcome)
    if (!told.changes && !told.turn && !of) return
    this.post({ kind: 'told', revision: ++this.revision, ...told, ...(of && { of }) })
  }

  /** What is in a document now. */
  changed(document: DocumentId, content: KeptContent | null, put: boolean): void {
    if (this.alone()) return
    const told = this.contents.tell(document, content)
    this.post({ kind: 'content', from: this.me, document, told, put })
  }

  /** Whether there is no other view. */
  alone(): boolean {
    return this.others.size === 0
  }

  /** What the lock is called of the window that leads where several show a document. */
  leading(document: DocumentId): string {
    return `kite-shelf-${this.shelf}-leads-${document}`
  }

  talk(document: DocumentId, what: unknown): void {
    if (!this.alone()) this.post({ kind: 'talk', document, what })
  }

  reported(document: DocumentId, report: Report): void {
    if (!this.alone()) this.post({ kind: 'report', document, report })
  }

  /** @throws when the view that keeps the shelf does not answer */
  ask(document: DocumentId): Promise<KeptContent | null> {
    return new Promise((resolve, reject) => {
      this.asked.set(document, { resolve, reject })
      this.post({ kind: 'content?', from: this.me, document })
      setTimeout(() => this.unanswered(document), PATIENCE)
    })
  }

  private unanswered(document: DocumentId): void {
    this.asked.get(document)?.reject(new Error('The page that keeps the shelf does not answer'))
    this.asked.delete(document)
  }

  private present(kind: 'hello' | 'here'): void {
    this.post({ kind, from: this.me, display: this.own, fixed: this.fixed })
  }

  private post(message: Message): void {
    if (!this.gone.signal.aborted) this.channel.postMessage(message)
  }

  private hear(message: Message): void {
    switch (message.kind) {
      case 'hello':
        this.present('here')
        this.met(message.from, message.display)
        if (this.fixed && !message.fixed && this.keeps) this.page.giveWay()
        break
      case 'here':
        this.met(message.from, message.display)
        break
      case 'focus':
        if (message.display === this.own) this.page.comeForward()
        break
      case 'whole?':
        if (this.keeps) this.tellWhole()
        break
      case 'whole':
        this.takeWhole(message)
        break
      case 'run':
        if (this.keeps) this.obey(message.from, message.ran)
        break
      case 'refused':
        if (message.to === this.me) this.wasRefused(message.n, message.reason)
        break
      case 'told':
        this.follows(message)
        break
      case 'content':
        this.heardOf(message)
        break
      case 'missed':
        if (message.to !== this.me) return
        this.tellAgain(message.document)
        break
      case 'talk':
        this.page.talk(message.document, message.what)
        break
      case 'content?':
        if (this.keeps) void this.answer(message.from, message.document)
        break
      case 'content!':
        if (message.to === this.me) this.asked.get(message.document)?.resolve(message.content)
        break
      case 'report':
        this.page.report(message.document, message.report)
        break
    }
  }

  private heardOf({ from, document, told, put }: Extract<Message, { kind: 'content' }>): void {
    if (!this.page.holds(document)) {
      this.contents.drop(from, document)
      return
    }
    const content = this.contents.hear(from, document, told)
    if (content === undefined) this.post({ kind: 'missed', to: from, document })
    else this.page.content(document, content, put)
  }

  private tellAgain(document: DocumentId): void {
    const { content, put } = this.page.atHand(document)
    this.contents.tellWhole(document)
    this.changed(document, content, put)
  }

  /** Whether it has the shelf to keep, and not only not yet another to follow. */
  private get keeps(): boolean {
    return this.leads && this.revision > 0
  }

  private wasRefused(n: number, reason: string): void {
    if (!this.replica) return
    this.replica.drop(n)
    this.page.show(this.replica.session)
    this.page.refused(reason)
    if (this.replica.waiting.length === 0) this.page.waiting(false)
  }

  private tellWhole(): void {
    const { me: from, revision } = this
    this.post({ kind: 'whole', from, session: this.page.session(), revision })
  }

  private takeWhole({ from, session, revision }: Extract<Message, { kind: 'whole' }>): void {
    if (!this.replica) return
    // Another view asked for it, and it is here already.
    if (from === this.leader && revision === this.replica.at) return
    this.leader = from
    this.replica.take(session, revision)
    this.arrived?.(this.replica.session)
    if (!this.arrived) this.page.show(this.replica.session)
    this.arrived = null
    // Another keeps the shelf now: it may not have heard of these.
    for (const ran of this.replica.waiting) this.post({ kind: 'run', from: this.me, ran })
  }

  private follows(told: Told): void {
    if (!this.replica || this.arrived) return
    const before = this.replica.session
    if (!this.replica.hear(told)) this.post({ kind: 'whole?', from: this.me })
    else if (this.replica.session !== before) this.page.show(this.replica.session)
    if (this.replica.waiting.length === 0) this.page.waiting(false)
  }

  /** Runs what was done in another view. */
  private obey(from: string, ran: Ran): void {
    const before = this.page.session()
    const outcome = this.page.run(before, ran)
    if (!outcome.ok) {
      this.post({ kind: 'refused', to: from, n: ran.n, reason: outcome.reason })
      return
    }
    const { state, history } = outcome.session
    const after: Session = { state: seenFrom(state, before.state.display), history }
    this.page.show(after)
    this.page.done(outcome)
    this.tell(outcome, { view: from, n: ran.n })
  }

  private async answer(to: string, document: DocumentId): Promise<void> {
    const content = await this.page.read(document).catch(expected('who asked tries again'))
    if (content !== undefined) this.post({ kind: 'content!', to, document, content })
  }

  private met(view: string, display: DisplayId): void {
    const known = this.others.has(view)
    this.others.set(view, display)
    this.page.elsewhere([...this.others.values()])
    if (known) return
    this.contents.tellWhole()
    // It is had when that view is gone.
    void this.locks
      .request(this.lockOf(view), { signal: this.gone.signal }, () => {
        this.others.delete(view)
        this.contents.drop(view)
        this.page.elsewhere([...this.others.values()])
      })
      .catch(expected('this view was closed before that one'))
  }

  private lockOf = (view: string): string => `kite-shelf-${this.shelf}-${view}`
}
