import { ChangeSet } from '@tiptap/pm/changeset'
import { Node, type Schema } from '@tiptap/pm/model'
import { EditorState, type Transaction } from '@tiptap/pm/state'
import { Step, Transform } from '@tiptap/pm/transform'
import { collab, receiveTransaction, sendableSteps } from 'prosemirror-collab'

/** What the editors of one document say to each other. */
export type Said =
  /** Who has just come, or has missed something. */
  | { is: 'asks' }
  /** The document, from the editor that leads. */
  | { is: 'whole'; at: number; doc: unknown }
  /** What was typed, offered to the one that leads: all that it has not taken yet; one offer at a time. */
  | ({ is: 'did' } & Steps<unknown>)
  /** What the one that leads has taken. */
  | ({ is: 'took' } & Steps<unknown>)

interface Steps<Made = Step> {
  /** How many steps the document had before. */
  at: number
  by: string | number
  steps: readonly Made[]
}

/** What is used of an editor. */
export interface Typing {
  readonly state: EditorState
  dispatch(change: Transaction): void
}

/** What surrounds an editor. */
interface Around {
  say(said: Said): void
  /** Whether nobody else hears what is said. */
  alone(): boolean
  /** What was typed here stands upon something else now: the text is another. */
  merged(): void
}

/** An editor that is alone takes its own steps this many at a time. */
const TAKEN_AT_ONCE = 100

/** How many turns another may be behind. */
const TURNS_KEPT = 500

/** How long an answer is waited for, in milliseconds. */
const PATIENCE = 1500

/**
 * Several editors of one document, in windows of one page and of others. One leads: it takes the
 * steps of all in the order in which they come, and tells them. Who has typed meanwhile puts its own
 * steps upon those, so that all come to the same and nothing typed is lost.
 */
export class Together {
  /** How many steps all have agreed on, and the document they make. */
  private at = 0
  private agreed: Node
  private leads = false
  /** Whether what it agrees on is known to be what the others do. */
  knows = false
  /** Set while an answer to what was offered is waited for. */
  private waits: ReturnType<typeof setTimeout> | null = null
  /** What was taken lately, with the document before it: what others offer may stand upon less. */
  private taken: (Steps & { before: Node })[] = []

  constructor(
    private typing: Typing,
    private around: Around,
  ) {
    this.agreed = typing.state.doc
    if (!around.alone()) around.say({ is: 'asks' })
  }

  /** Whether what comes from elsewhere than an editor is put in here, for all. */
  get puts(): boolean {
    return this.leads || this.around.alone()
  }

  /** From now on this one leads. */
  lead(): void {
    this.leads = true
    this.knows = true
    this.stop()
    this.takeOwn()
    this.tellWhole()
  }

  /** Something may have been typed here, and is written already. */
  offer(): void {
    const own = sendableSteps(this.typing.state)
    if (!own) return
    const alone = this.around.alone()
    if (this.leads) {
      if (!alone || own.steps.length >= TAKEN_AT_ONCE) this.takeOwn()
    } else if (!alone && !this.waits) {
      // What is typed meanwhile goes with the answer: a slow leader is not buried in offers.
      if (this.knows) this.say('did', own.clientID, own.steps)
      // Perhaps nobody leads just now, or it has not come to the one that does.
      this.waits = setTimeout(() => {
        this.stop()
        this.around.say({ is: 'asks' })
        this.waits = setTimeout(() => this.stop(), PATIENCE)
      }, PATIENCE)
    }
  }

  /** Waits for nothing any more. */
  stop(): void {
    clearTimeout(this.waits ?? undefined)
    this.waits = null
  }

  hear(said: Said): void {
    switch (said.is) {
      case 'asks':
        if (!this.leads) return
        this.takeOwn()
        this.tellWhole()
        break
      case 'did':
        if (this.leads) this.take({ ...said, steps: this.read(said.steps) })
        break
      case 'took':
        if (this.leads || !this.knows || said.at < this.at) return
        if (said.at > this.at) this.around.say({ is: 'asks' })
        else this.follow(said.by, this.read(said.steps))
        break
      case 'whole':
        if (!this.leads) this.settle(said)
        break
    }
  }

  private get schema(): Schema {
    return this.typing.state.schema
  }

  private read = (steps: readonly unknown[]): Step[] =>
    steps.map((step) => Step.fromJSON(this.schema, step as object))

  private say(is: 'did' | 'took', by: string | number, steps: readonly Step[]): void {
    this.around.say({ is, at: this.at, by, steps: steps.map((step) => step.toJSON()) })
  }

  private tellWhole(): void {
    if (!this.around.alone())
      this.around.say({ is: 'whole', at: this.at, doc: this.agreed.toJSON() })
  }

  /** Takes what was typed here. */
  private takeOwn(): void {
    const own = sendableSteps(this.typing.state)
    if (own) this.takeNow(own.clientID, own.steps)
  }

  /** Takes what another offers, upon what that one had not heard of and without what was taken before. */
  private take({ at, by, steps }: Steps): void {
    this.takeOwn()
    if (at === this.at) this.takeNow(by, steps)
    else this.takeLate(at, by, steps)
  }

  private takeLate(at: number, by: string | number, steps: readonly Step[]): void {
    const first = this.taken.findIndex((turn) => turn.at === at)
    const missed = first < 0 ? [] : this.taken.slice(first)
    // It is too far behind, or knows another document: it gets this one.
    if (!missed[0]) {
      this.tellWhole()
      return
    }
    let late = EditorState.create({ doc: missed[0].before, plugins: [collab({ clientID: by })] })
    for (const step of steps) late = late.apply(late.tr.step(step))
    // As it will itself when it hears of them, turn by turn.
    for (const turn of missed) late = late.apply(received(late, turn.by, turn.steps))
    const left = sendableSteps(late)
    if (!left) return
    this.takeNow(by, left.steps)
    // Who typed it writes it too, unless its page is gone meanwhile.
    this.around.merged()
  }

  private takeNow(by: string | number, steps: readonly Step[]): void {
    if (!this.around.alone()) this.say('took', by, steps)
    this.agree(by, steps)
    this.put(by, steps)
  }

  /** What the one that leads has taken, of this one or another. */
  private follow(by: string | number, steps: readonly Step[]): void {
    if (sendableSteps(this.typing.state)?.clientID === by) this.stop()
    this.agree(by, steps)
    this.put(by, steps)
  }

  /** The document as the one that leads has it; what was typed here and not taken is put upon it. */
  private settle({ at, doc }: { at: number; doc: unknown }): void {
    this.stop()
    const whole = Node.fromJSON(this.schema, doc)
    const steps = stepsBetween(this.agreed, whole)
    this.agreed = whole
    this.at = at
    this.knows = true
    this.taken = []
    this.put('whole', steps)
  }

  private agree(by: string | number, steps: readonly Step[]): void {
    // Where nobody else is, nobody is behind.
    if (this.around.alone()) this.taken = []
    else this.taken.push({ at: this.at, by, steps, before: this.agreed })
    if (this.taken.length > TURNS_KEPT) this.taken.shift()
    for (const step of steps) this.agreed = step.apply(this.agreed).doc ?? this.agreed
    this.at += steps.length
  }

  /** Puts steps that all agree on below what was typed here and is not taken. */
  private put(by: string | number, steps: readonly Step[]): void {
    const change = received(this.typing.state, by, steps)
    if (steps.length > 0)
      this.typing.dispatch(change.setMeta('preventUpdate', true).setMeta('preventAutolink', true))
    if (!sendableSteps(this.typing.state)) {
      this.stop()
      return
    }
    // Written before it is told, so that what others write upon it is newer.
    if (change.docChanged) this.around.merged()
    this.offer()
  }
}

const received = (state: EditorState, by: string | number, steps: readonly Step[]): Transaction =>
  receiveTransaction(
    state,
    steps,
    steps.map(() => by),
  )

/** What makes one document of another, each part that differs by itself. */
export function stepsBetween(doc: Node, next: Node): readonly Step[] {
  if (doc.eq(next)) return []
  const whole = new Transform(doc).replaceWith(0, doc.content.size, next.content)
  const { changes } = ChangeSet.create(doc).addSteps(next, whole.mapping.maps, null)
  const parts = new Transform(doc)
  for (const { fromA, toA, fromB, toB } of changes.toReversed())
    parts.replace(fromA, toA, next.slice(fromB, toB))
  // What does not fit in between is made to: then all of it is put in.
  return (parts.doc.eq(next) ? parts : whole).steps
}
