import { array, boolean, number, object, string } from 'yup'
import type { DesktopId, DocumentId, WindowId } from '@/core/model/ids'
import { type Kind, renamedKeys } from '@/core/model/kind'
import { byId, fields, flag, frame, id, maybeId, maybeMoment, span } from '@/core/model/shaping'
import { type Look, lookShape } from './look'
import { EVERY, type Window } from './window'

export const DESKTOPS_MOST = 40

/** Where a window of a solo or a pair goes back to, exactly. */
interface Origin {
  desktop: DesktopId | typeof EVERY
  /** Its place among the windows that live there. */
  at: number
  /** The window it stood directly on; null at the bottom. */
  on: WindowId | null
  minimised: boolean
  /** Whether it had the focus there. */
  focused: boolean
}

/** Windows that were minimised together, to be brought back together. */
export interface Aside {
  by: 'sweep' | 'isolate'
  windows: WindowId[]
  focus: WindowId | null
}

/** A named place for windows. */
export interface Desktop extends Look {
  id: DesktopId
  name: string
  /** Ordinary; or filled by one window; or shared by two. */
  kind: 'open' | 'solo' | 'pair'
  /** Of a solo or a pair: where each of its windows came from. */
  origins?: Record<WindowId, Origin>
  /** Of a pair: the share of the width that the first of its windows has, 0.2 to 0.8. */
  divider?: number
  /** What sweeping or isolating minimised here. */
  aside?: Aside
  /** How windows stood before all of them were arranged. */
  before?: Record<WindowId, Pick<Window, 'frame' | 'placed' | 'maximised'>>
  /** The key that stands for it; null when every letter is taken. */
  letter: string | null
  /** True when the person chose the letter; such a letter is never reassigned. */
  letterByHand: boolean
  /** Whether it holds attention back, until when, and what comes through all the same. */
  quiet?: { on: boolean; until?: number; lets: string[] }
  /** Whether its browser windows are closed while one is elsewhere. */
  furls?: boolean
  /** Its sheet of notes, once it was opened. */
  notes?: { document: DocumentId }
  /** The windows that live here, in order of arrival. */
  windows: WindowId[]
  /** The window that had focus when this desktop was left. */
  focus: WindowId | null
}

export function newDesktop(
  given: Pick<Desktop, 'id' | 'name' | 'hue'> & Partial<Desktop>,
): Desktop {
  return {
    kind: 'open',
    letter: null,
    letterByHand: false,
    backdrop: 'ripstop',
    sign: true,
    windows: [],
    focus: null,
    ...given,
  }
}

const origin = fields<Origin>({
  desktop: id(),
  at: number().integer().required().min(-1).max(1e6),
  on: maybeId().nullable().defined(),
  minimised: flag(),
  focused: flag(),
})

export const DESKTOP: Kind<Desktop> = {
  words: ['desktop', 'desktops'],
  shape: fields<Desktop>({
    id: id(),
    name: string().required().max(300),
    kind: string().oneOf(['open', 'solo', 'pair']).required(),
    origins: byId(origin),
    divider: number().min(0.2).max(0.8),
    aside: fields<Aside>({
      by: string().oneOf(['sweep', 'isolate']).required(),
      windows: array(id()).required(),
      focus: maybeId().nullable().defined(),
    }).default(undefined),
    before: byId(
      object({
        frame: object(frame).required(),
        placed: object(span).nullable().defined(),
        maximised: flag(),
      }),
    ),
    letter: string().min(1).max(2).nullable().defined(),
    letterByHand: flag(),
    ...lookShape,
    quiet: object({
      on: flag(),
      until: maybeMoment(),
      lets: array(string().max(100).required()).max(20).required(),
    }).default(undefined),
    furls: boolean(),
    notes: object({ document: id() }).default(undefined),
    windows: array(id()).required(),
    focus: maybeId().nullable().defined(),
  }),
  ids: (one, as) => {
    const window = (id: WindowId) => as('window', id)
    const { picture, notes, aside, before, origins } = one
    return {
      ...one,
      id: as('desktop', one.id),
      windows: one.windows.map(window),
      focus: one.focus && window(one.focus),
      ...(picture && { picture: { ...picture, document: as('document', picture.document) } }),
      ...(notes && { notes: { document: as('document', notes.document) } }),
      ...(aside && {
        aside: {
          ...aside,
          windows: aside.windows.map(window),
          focus: aside.focus && window(aside.focus),
        },
      }),
      ...(before && { before: renamedKeys(before, window) }),
      ...(origins && {
        origins: renamedKeys(origins, window, (from) => ({
          ...from,
          desktop: from.desktop === EVERY ? EVERY : as('desktop', from.desktop),
          on: from.on && window(from.on),
        })),
      }),
    }
  },
  older: (desktop) => ({ kind: 'open', ...desktop }),
}
