import { readdirSync, readFileSync } from 'node:fs'
import { dirname, join, normalize } from 'node:path'

/**
 * Which way imports may point, types included. A list goes from the lowest floor to the highest: each
 * imports from those before it alone. Where there is no list, rooms must not stand in a circle.
 */
const FLOORS: Record<string, string[]> = {
  '': ['core', 'store', 'parts', 'apps', 'outside', 'demo', 'ui', 'app'],
  'core/': [
    ...['text', 'geometry', 'settings', 'model', 'rules'],
    ...['journal', 'homes', 'runs', 'plan', 'attention', 'look', 'keys'],
    ...['formats', 'commands', 'finding', 'insight', 'card'],
  ],
}

/** Where all rooms stand in no circle, without an order that is written down. */
const ROOMS = ['core/commands/', 'store/', 'ui/', 'apps/']

/** What a floor must not import besides. */
const NOT_FROM: [floor: string, what: RegExp][] = [
  ['core/', /^(react|react-dom|next|zustand|localforage)(\/|$)/],
  ['store/', /^next(\/|$)/],
  // What is served is no part of the page; both know how they speak with each other.
  ['outside/', /^(store|parts|apps(?!\/\w+\/protocol))\//],
  ['ui/', /^outside\//],
]

/** A file of `src` that imports another, or a package. */
export type Import = readonly [from: string, to: string]

const IMPORTED = /(?:\bfrom\s+|\bimport\s*\(\s*|\bnew URL\(\s*|^import\s+)'([^']+)'/gm

/** All that files import, as paths below `src` and names of packages. Tests may do as they like. */
export function importsIn(src: string): Import[] {
  const files = readdirSync(src, { recursive: true, encoding: 'utf8' }).filter(
    (file) => /\.tsx?$/.test(file) && !/\.test\.tsx?$/.test(file),
  )
  const all = new Set(files)
  return files.flatMap((file) =>
    [...readFileSync(join(src, file), 'utf8').matchAll(IMPORTED)].map(([, name = '']): Import => {
      const path = name.startsWith('@/')
        ? name.slice('@/'.length)
        : name.startsWith('.')
          ? normalize(join(dirname(file), name))
          : null
      if (path === null) return [file, name]
      return [
        file,
        ['', '.ts', '.tsx'].map((end) => path + end).find((one) => all.has(one)) ?? path,
      ]
    }),
  )
}

/** The room of a file within a floor; a file beside the rooms is one of its own. */
const roomIn = (floor: string, file: string): string | null =>
  file.startsWith(floor) ? (file.slice(floor.length).split('/')[0] ?? null) : null

/** What points where it must not, in words. */
export function wrongWays(imports: readonly Import[]): string[] {
  const wrong: string[] = []
  for (const [from, to] of imports) {
    for (const [floor, rooms] of Object.entries(FLOORS)) {
      const [a, b] = [roomIn(floor, from), roomIn(floor, to)].map((room) =>
        rooms.indexOf(room ?? ''),
      )
      if (a !== undefined && b !== undefined && a >= 0 && b > a)
        wrong.push(`${from} imports ${to}, from above`)
    }
    for (const [floor, what] of NOT_FROM)
      if (from.startsWith(floor) && what.test(to)) wrong.push(`${from} must not import ${to}`)
  }
  for (const circle of circlesOf(imports)) wrong.push(`files in a circle: ${circle.join(' → ')}`)
  for (const floor of ROOMS) {
    const between = imports.flatMap(([from, to]): Import[] => {
      const [a, b] = [roomIn(floor, from), roomIn(floor, to)]
      return a && b && a !== b ? [[a, b]] : []
    })
    for (const circle of circlesOf(between))
      wrong.push(`rooms of ${floor} in a circle: ${circle.join(' → ')}`)
  }
  return wrong
}

/** One circle for each place where there are some. */
function circlesOf(imports: readonly Import[]): string[][] {
  const next = new Map<string, string[]>()
  for (const [from, to] of imports) next.set(from, [...(next.get(from) ?? []), to])
  const done = new Set<string>()
  const circles: string[][] = []
  const walk = (at: string, path: string[]) => {
    const before = path.indexOf(at)
    if (before >= 0) circles.push([...path.slice(before), at])
    if (before >= 0 || done.has(at)) return
    for (const to of next.get(at) ?? []) walk(to, [...path, at])
    done.add(at)
  }
  for (const from of next.keys()) walk(from, [])
  return circles
}
