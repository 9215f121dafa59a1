import { array, string } from 'yup'
import type { Kind } from '@/core/model/kind'
import { fields, id } from '@/core/model/shaping'
import { DESKTOP } from './desktop'
import type { Look } from './look'
import { WINDOW, type Window } from './window'

/** A desktop that was kept to make others like it. A blank (…) in titles is filled in then. */
export interface Pattern {
  id: string
  name: string
  look: Look
  windows: (Pick<Window, 'app' | 'frame' | 'placed' | 'minimised' | 'maximised'> & {
    title: string
  })[]
}

export const PATTERN: Kind<Pattern> = {
  words: ['pattern', 'patterns'],
  shape: fields<Pattern>({
    id: id(),
    name: string().required().max(300),
    look: DESKTOP.shape.pick(['hue', 'emblem', 'backdrop', 'picture', 'sign', 'signed']).required(),
    windows: array(
      WINDOW.shape
        .pick(['app', 'frame', 'placed', 'minimised', 'maximised'])
        .shape({ title: string().defined().max(300) })
        .required(),
    ).required(),
  }),
  ids: (one, as) => {
    const { picture } = one.look
    return {
      ...one,
      look: {
        ...one.look,
        ...(picture && { picture: { ...picture, document: as('document', picture.document) } }),
      },
      windows: one.windows.map((window) => ({ ...window, app: as('app', window.app) })),
    }
  },
}
