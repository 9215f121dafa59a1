import type { Desktop, Hue } from '@/core/model/types'
import { HUES } from '@/core/model/types'

/** Kinds of kite with distinct initials: names for desktops that have none yet. */
const KINDS = [
  'Delta',
  'Sled',
  'Eddy',
  'Box',
  'Cody',
  'Rokkaku',
  'Parafoil',
  'Lantern',
  'Malay',
  'Hata',
  'Tetra',
  'Fighter',
  'Wau',
  'Genki',
  'Yakko',
  'Janggan',
  'Naga',
  'Aero',
]

/** A name no desktop has yet, with an initial that is free as a call letter where one is left. */
export function freshName(desktops: Pick<Desktop, 'name' | 'letter'>[]): string {
  const names = new Set(desktops.map(({ name }) => name))
  const letters = new Set(desktops.map(({ letter }) => letter))
  const unused = KINDS.filter((kind) => !names.has(kind))
  const best = unused.find((kind) => !letters.has(kind[0] ?? '')) ?? unused[0]
  if (best) return best
  for (const first of KINDS)
    for (const second of KINDS)
      if (first !== second && !names.has(`${first} ${second}`)) return `${first} ${second}`
  return 'Kite'
}

/** The hue fewest desktops have, so that neighbours differ. */
export function freshHue(desktops: Pick<Desktop, 'hue'>[]): Hue {
  const count = (hue: Hue) => desktops.filter((desktop) => desktop.hue === hue).length
  return HUES.reduce((best, hue) => (count(hue) < count(best) ? hue : best))
}
