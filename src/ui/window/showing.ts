import { covered } from '@/core/geometry/covered'
import type { WindowId } from '@/core/model/ids'
import { focusId } from '@/core/model/selectors'
import type { State } from '@/core/model/state'
import { whenIdle } from '@/store/idle'
import { ofShelf } from '@/store/ofShelf'
import type { PageState } from '@/store/page'
import { sameValues } from '@/store/same'
import type { Shelf } from '@/store/shelf'
import { area } from '@/ui/area/area'
import { type Facts, factsOf } from './facts'
import { isAway, isResting, isShown } from './inSight'
import { IN_HAND, type Marks, mark, marksOf, sectionIn } from './marks'

/** Windows that stand in one element. Where all are hidden, it is hidden instead of each of them. */
interface Group {
  element: HTMLElement | null
  members: Set<Shown>
}

/** One window as the page has it. */
interface Shown {
  group: Group | null
  /** The slot it stands in. */
  slot: HTMLElement | null
  /** Whether its content is drawn at all; it then stays, skipped by the browser while hidden. */
  woken: boolean
  visible: boolean
  facts: Facts
  marks: Marks
  listeners: Set<() => void>
}

/** Parts of the state that concern only windows that are shown, or are themselves changed. */
const SHOWN_OR_CHANGED = new Set<keyof State>([
  'presence',
  'stacking',
  'windows',
  'desktops',
  'documents',
  'attention',
  'closed',
])

/** Within this time the next window is made still, in milliseconds, whatever else there is to do. */
const STILL_WITHIN = 1000

/**
 * Which windows are on screen, and how they look: decided in one place after each change, and put
 * to the elements directly. Going to another desktop hides and shows elements and marks the
 * focused one; only a window that looks different from when it was last seen is drawn anew.
 */
export class Showing {
  private windows = new Map<WindowId, Shown>()
  private groups = new Map<number, Group>()
  /** Those that are visible. */
  private seen = new Set<WindowId>()
  /** A window in hand stays in sight while its desktop is left. */
  private held: WindowId | null = null
  private last: PageState | null = null
  /** Whether the next window that is laid out is about to be made still. */
  private stilling = false
  /** Visible windows of which nothing shows, for others stand before them: they are not laid out. */
  private behind = new Set<Shown>()
  /** While one is dragged or resized what is behind it shows at once. */
  private loose = false

  constructor(private shelf: Shelf) {}

  /** Follows the shelf. @returns how to stop */
  follow(): () => void {
    this.look(this.shelf.page.getState())
    const offShelf = this.shelf.page.subscribe((now) => this.look(now))
    const offArea = area(this.shelf).subscribe(() => this.look(this.shelf.page.getState(), true))
    return () => {
      offShelf()
      offArea()
    }
  }

  subscribe(id: WindowId, listener: () => void): () => void {
    const { listeners } = this.of(id)
    listeners.add(listener)
    return () => listeners.delete(listener)
  }

  facts = (id: WindowId): Facts => this.of(id).facts

  isWoken = (id: WindowId): boolean => this.of(id).woken

  /** Draws a window ahead of being shown, unless its desktop is at rest. @returns whether it did */
  warm(id: WindowId): boolean {
    const shown = this.of(id)
    const now = this.shelf.page.getState()
    if (shown.woken || isResting(now, id) || isAway(now, id)) return false
    shown.woken = true
    tell(shown)
    return true
  }

  /** The slot a window stands in, with the window in it, and the group that stands in. */
  put(id: WindowId, slot: HTMLElement | null, group: number): void {
    const shown = this.of(id)
    shown.slot = slot
    shown.group?.members.delete(shown)
    shown.group = slot ? this.group(group) : null
    shown.group?.members.add(shown)
    if (slot) {
      mark(shown.slot, shown.marks)
      hide(this.group(group))
      this.cover()
      this.still()
    } else if (!this.shelf.page.getState().session.state.windows[id]) this.forget(id)
  }

  private forget(id: WindowId): void {
    this.windows.delete(id)
    this.seen.delete(id)
  }

  putGroup(key: number, element: HTMLElement | null): void {
    const group = this.group(key)
    group.element = element
    hide(group)
  }

  private group(key: number): Group {
    const known = this.groups.get(key)
    const group = known ?? { element: null, members: new Set() }
    if (!known) this.groups.set(key, group)
    return group
  }

  /** Takes a window in hand, or lets it go. */
  hold(id: WindowId | null): void {
    const before = this.held
    this.held = id
    for (const one of [before, id]) {
      const shown = one === null ? undefined : this.windows.get(one)
      if (one === null || !shown) continue
      this.update(this.shelf.page.getState(), one, shown)
      if (shown.group) hide(shown.group)
    }
    this.cover()
  }

  private of(id: WindowId): Shown {
    const known = this.windows.get(id)
    if (known) return known
    const now = this.shelf.page.getState()
    const visible = isShown(this.shelf, now, id)
    const made: Shown = {
      group: null,
      slot: null,
      woken: visible,
      visible,
      facts: factsOf(this.shelf, now, id),
      marks: marksOf(now, id),
      listeners: new Set(),
    }
    this.windows.set(id, made)
    if (visible) this.seen.add(id)
    return made
  }

  private look(now: PageState, moved = false): void {
    const { last } = this
    this.last = now
    if (
      !moved &&
      last?.session.state === now.session.state &&
      last.places === now.places &&
      last.closely === now.closely &&
      last.loft === now.loft &&
      last.elsewhere === now.elsewhere &&
      last.keysIn === now.keysIn &&
      last.resting === now.resting
    )
      return
    // Before anything is marked: the browser would lay all of it out to do this.
    if (last) this.letGoOfHidden(now, last)
    const groups = new Set<Group>()
    for (const id of moved ? this.windows.keys() : this.concerned(now, last)) {
      const shown = this.windows.get(id)
      if (shown && this.update(now, id, shown) && shown.group) groups.add(shown.group)
    }
    for (const group of groups) hide(group)
    this.cover()
    if (last && last.places !== now.places) this.stir(now.places, last.places)
  }

  /** While a window is dragged or resized, none is left out for lying behind others. */
  loosen(loose: boolean): void {
    this.loose = loose
    this.cover()
  }

  private cover(): void {
    const behind = new Set(this.loose ? [] : this.wholly())
    for (const shown of this.behind)
      if (!behind.has(shown)) shown.slot?.classList.remove('slot-covered')
    // To add what is there already would be a change.
    for (const { slot } of behind)
      if (!slot?.classList.contains('slot-covered')) slot?.classList.add('slot-covered')
    this.behind = behind
  }

  /** Those wholly behind others. A miniature is small, and one in hand is where it is. */
  private wholly(): Shown[] {
    const flat = [...this.seen]
      .filter((id) => id !== this.held)
      .flatMap((id) => this.windows.get(id) ?? [])
      .filter(({ facts }) => !facts.place)
      .toSorted((a, b) => a.marks.z - b.marks.z)
    const hidden = covered(flat.map(({ facts }) => facts))
    return flat.filter(({ marks }, at) => hidden[at] && !marks.focused)
  }

  /**
   * Where the focus and the selection lie in an editor that is about to be hidden, giving the focus to the
   * next makes the browser lay the hidden one out again, and whatever is drawn asks where the caret is.
   * The editors themselves remember where their carets were.
   */
  private letGoOfHidden(now: PageState, last: PageState): void {
    const id = focusId(last.session.state)
    const { visible, slot } = (id && this.windows.get(id)) || {}
    if (!id || !visible || id === this.held || isShown(this.shelf, now, id)) return
    const active = slot?.querySelector<HTMLElement>('[contenteditable=true]:focus')
    if (!active) return
    getSelection()?.removeAllRanges()
    active.blur()
  }

  /** Windows that are not laid out any more are themselves again at once. */
  private stir(now: PageState['places'], before: PageState['places']): void {
    for (const id in before) {
      const shown = now && Object.hasOwn(now, id) ? undefined : this.windows.get(id)
      if (!shown?.facts.still) sectionIn(shown?.slot)?.removeAttribute('inert')
    }
    if (now) this.still()
  }

  /**
   * Nothing can be done in a window that is laid out, by no key either. What lays them out covers
   * them; this comes after, one by one and when nothing else is to be done: the browser then goes
   * through all that is in a window, which for many takes as long as to lay them out.
   */
  private still(): void {
    if (this.stilling || !this.nextToStill()) return
    this.stilling = true
    whenIdle(() => {
      this.stilling = false
      this.nextToStill()?.setAttribute('inert', '')
      this.still()
    }, STILL_WITHIN)
  }

  /** All that are left, at once. */
  stillAll(): void {
    for (const section of this.laidOut()) section.setAttribute('inert', '')
  }

  private nextToStill(): HTMLElement | undefined {
    return this.laidOut().find((section) => !section.hasAttribute('inert'))
  }

  private laidOut(): HTMLElement[] {
    const ids = Object.keys(this.shelf.page.getState().places ?? {})
    return ids.flatMap((id) => sectionIn(this.windows.get(id)?.slot) ?? [])
  }

  /** The windows that a change can have shown, hidden or altered: of a thousand mostly some twenty. */
  private concerned(now: PageState, last: PageState | null): Iterable<WindowId> {
    const all = this.windows.keys()
    if (!last || now.elsewhere.length > 0) return all
    if (last.elsewhere !== now.elsewhere || last.resting !== now.resting) return all
    const [before, after] = [last.session.state, now.session.state]
    for (const part of Object.keys(after) as (keyof State)[])
      if (before[part] !== after[part] && !SHOWN_OR_CHANGED.has(part)) return all
    const ids = new Set([...this.seen, ...after.everywhere])
    for (const { shows } of Object.values(after.presence))
      for (const id of after.desktops[shows]?.windows ?? []) ids.add(id)
    if (last.places !== now.places) for (const id in { ...last.places, ...now.places }) ids.add(id)
    for (const looked of [last.closely, now.closely]) if (looked) ids.add(looked.window)
    if (before.windows !== after.windows)
      for (const id of all) if (before.windows[id] !== after.windows[id]) ids.add(id)
    return ids
  }

  /** @returns whether it is seen now and was not, or was and is not any more */
  private update(now: PageState, id: WindowId, shown: Shown): boolean {
    const visible = isShown(this.shelf, now, id) || id === this.held
    const was = shown.visible
    shown.visible = visible
    if (visible) this.seen.add(id)
    else this.seen.delete(id)
    if (visible || was) {
      const marks = { ...marksOf(now, id), ...(id === this.held && { z: IN_HAND }) }
      if (!sameValues(marks, shown.marks)) {
        shown.marks = marks
        mark(shown.slot, shown.marks)
      }
    }
    const woken = visible || (shown.woken && !isResting(now, id) && !isAway(now, id))
    // A hidden window takes no updates, but that it is elsewhere.
    const lives = now.session.state.windows[id]?.desktop ?? ''
    const facts =
      visible || lives !== shown.facts.desktop ? factsOf(this.shelf, now, id) : shown.facts
    if (woken !== shown.woken || !sameValues(facts, shown.facts)) {
      shown.woken = woken
      shown.facts = facts
      tell(shown)
    }
    return visible !== was
  }
}

/** Each hidden element costs something with whatever is drawn: one for a group costs less. */
function hide({ element, members }: Group): void {
  const all = [...members].every(({ visible }) => !visible)
  element?.classList.toggle('slots-hidden', all)
  for (const { slot, visible } of members) slot?.classList.toggle('slot-hidden', !all && !visible)
}

const tell = ({ listeners }: Shown) => {
  for (const listener of listeners) listener()
}

export const showingOf = ofShelf((shelf) => new Showing(shelf))
