import type { Desktop } from '@/core/model/kinds/desktop'

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
