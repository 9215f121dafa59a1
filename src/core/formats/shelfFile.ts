import { array, mixed, number, object, string } from 'yup'
import type { DesktopId, DocumentId } from '@/core/model/ids'
import { PARTS, stateProblem } from '@/core/model/parts'
import { isId, isObject, maybeId, type Problem, problemOf, shortened } from '@/core/model/shaping'
import type { State } from '@/core/model/state'
import { check } from '@/core/rules/check'
import { lineOf } from './json'
import { migrated } from './migrations'

const FORMAT = 'kite-shelf'
const VERSION = 3

/** Content of a document as JSON: what was saved, and what was typed since. */
export interface KeptContent {
  saved: unknown
  draft: unknown
  /** What stands half-typed in its fields, by the name of the field. */
  typed?: Record<string, string>
  /** What its app cannot show, as it was found, and why. */
  aside?: { saved: unknown; draft: unknown; why: string }
}

/** Everything but the journal, as one JSON file. */
export interface ShelfFile {
  format: typeof FORMAT
  version: number
  /** ISO time. */
  exportedAt: string
  state: State
  documents: Record<DocumentId, KeptContent>
  /** Of a file of one desktop: which of the stowed ones it is. */
  desktop?: DesktopId
  /** Titles of documents whose content could not be read when the file was written. */
  missing?: string[]
}

/** The check of a file but for the state in it. */
export const shelfFileShape = object({
  format: string().oneOf([FORMAT]).required(),
  version: number().integer().min(1).required(),
  exportedAt: string().required().max(40),
  documents: mixed().required(),
  desktop: maybeId(),
  missing: array(string().required()),
})

export class BadShelfFile extends Error {}

/**
 * Reads a shelf file from text.
 * @throws BadShelfFile with a sentence that says what is wrong and where
 */
export function readShelfFile(content: string): ShelfFile {
  let parsed: unknown
  try {
    parsed = JSON.parse(content)
  } catch (error) {
    throw new BadShelfFile(`it is not JSON${lineOf(content, error)}`)
  }
  if (!isObject(parsed) || parsed.format !== FORMAT)
    throw new BadShelfFile('it does not say that it is a shelf file (“format”: “kite-shelf”)')
  const { version } = parsed
  if (typeof version !== 'number' || version > VERSION)
    throw new BadShelfFile(
      `it has version ${shortened(String(version), 40)}, and this Kite Shelf reads up to version ${VERSION}`,
    )
  const problem = problemOf(parsed, shelfFileShape) ?? documentsProblem(parsed.documents)
  if (problem) throw new BadShelfFile(at(problem))
  try {
    const state = readState(parsed.state)
    const documents = Object.entries(parsed.documents as ShelfFile['documents'])
    return {
      ...(parsed as unknown as ShelfFile),
      state,
      // Contents nobody would ever look for are left out.
      documents: Object.fromEntries(documents.filter(([id]) => state.documents[id])),
    }
  } catch (error) {
    if (error instanceof BadState) throw new BadShelfFile(error.message)
    throw error
  }
}

const at = ({ path, why }: Problem): string => (path ? `${path} ${why}` : `it ${why}`)

function documentsProblem(documents: unknown): Problem | null {
  if (!isObject(documents)) return { path: 'documents', why: 'must be an object' }
  for (const [id, kept] of Object.entries(documents)) {
    const path = `documents.${shortened(id, 60)}`
    if (!isId(id)) return { path, why: 'is not an id' }
    if (!isObject(kept)) return { path, why: 'must be an object with “saved” and “draft”' }
  }
  return null
}

/** Says in a sentence what is wrong with what should be a state. */
export class BadState extends Error {}

/**
 * The state from parsed JSON that was kept or exported, of any version.
 * @throws BadState when it does not have the shape or breaks a rule that always holds
 */
export function readState(parsed: unknown): State {
  const given = migrated(parsed)
  const problem = stateProblem(given)
  if (problem) throw new BadState(at({ ...problem, path: `state.${problem.path}` }))
  // What is not a part of a state goes no further, whatever it is called.
  const all = given as Record<string, unknown>
  const state = Object.fromEntries(PARTS.map((part) => [part, all[part]])) as unknown as State
  const [broken] = check(state)
  if (broken) throw new BadState(`its contents contradict each other: ${shortened(broken, 200)}`)
  return state
}

export const shelfFile = (
  state: State,
  documents: Record<DocumentId, KeptContent>,
  now: number,
  missing: string[] = [],
): ShelfFile => ({
  format: FORMAT,
  version: VERSION,
  exportedAt: new Date(now).toISOString(),
  state,
  documents,
  ...(missing.length > 0 && { missing }),
})
