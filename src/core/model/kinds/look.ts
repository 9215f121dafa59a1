import { number, object, string } from 'yup'
import type { DocumentId } from '@/core/model/ids'
import { flag, id, percent } from '@/core/model/shaping'

export const HUES = [
  'teal',
  'cobalt',
  'vermilion',
  'plum',
  'moss',
  'marigold',
  'sky',
  'rose',
  'violet',
  'rust',
  'lime',
  'slate',
] as const
export type Hue = (typeof HUES)[number]

export const BACKDROPS = ['ripstop', 'stripes', 'panels', 'dots', 'contour', 'plain'] as const
export type Backdrop = (typeof BACKDROPS)[number]

/** A picture of the person's own behind the windows. */
export interface BackdropPicture {
  /** The document it is kept in. */
  document: DocumentId
  /** Whether it fills the desktop, is seen whole, or is repeated. */
  fit: 'fill' | 'whole' | 'repeat'
  /** Which part is seen or where it stands, in percent of the way from the top-left. */
  x: number
  y: number
  /** How much of it shows through, in percent. */
  strength: number
}

export const backdropPicture = {
  document: id(),
  fit: string()
    .oneOf(['fill', 'whole', 'repeat'] as const)
    .required(),
  x: percent().required(),
  y: percent().required(),
  strength: percent().min(10).required(),
}

/** Where on a desktop its sign can stand. */
export const SIGN_PLACES = [
  'top left',
  'top',
  'top right',
  'left',
  'middle',
  'right',
  'bottom left',
  'bottom',
  'bottom right',
] as const

export const SIGN_FONTS = ['display', 'text', 'figures'] as const
export const SIGN_WEIGHTS = [400, 600, 800] as const
export const SIGN_COLOURS = ['hue', 'ink', 'soft'] as const
/** Heights of a sign's letters, in CSS pixels, and its opacity, in percent. */
export const SIGN_SIZE = { least: 16, most: 240 }
export const SIGN_OPACITY = { least: 10, most: 100 }

/** How a desktop's name is drawn on it. */
export interface Sign {
  font: (typeof SIGN_FONTS)[number]
  /** Height of its letters, in CSS pixels. */
  size: number
  weight: (typeof SIGN_WEIGHTS)[number]
  colour: (typeof SIGN_COLOURS)[number]
  /** In percent. */
  opacity: number
  place: (typeof SIGN_PLACES)[number]
}

/** What of a sign is other than at first. */
export const signShape = {
  font: string().oneOf(SIGN_FONTS),
  size: number().integer().min(SIGN_SIZE.least).max(SIGN_SIZE.most),
  weight: number().oneOf(SIGN_WEIGHTS),
  colour: string().oneOf(SIGN_COLOURS),
  opacity: percent().min(SIGN_OPACITY.least),
  place: string().oneOf(SIGN_PLACES),
}

/** How a desktop is known when it is seen. */
export interface Look {
  hue: Hue
  /** A sign it is known by, besides its letter. */
  emblem?: string
  backdrop: Backdrop | 'picture'
  /** The picture it has, or had before a pattern was chosen. */
  picture?: BackdropPicture
  /** Whether its name is drawn on it. */
  sign: boolean
  /** What of its sign is other than at first. */
  signed?: Partial<Sign>
}

export const lookShape = {
  hue: string().oneOf(HUES).required(),
  emblem: string()
    .max(40)
    .matches(/^[a-z0-9-]+$/),
  backdrop: string()
    .oneOf([...BACKDROPS, 'picture'])
    .required(),
  picture: object(backdropPicture).default(undefined),
  sign: flag(),
  signed: object(signShape).default(undefined),
}
