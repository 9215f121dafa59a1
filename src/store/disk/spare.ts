/**
 * A second copy of the shelf by another mechanism of the browser, its private file system, for
 * the day its database is gone: the arrangement and the contents of documents, a file each.
 */

import { type KeptContent, readState } from '@/core/formats/shelfFile'
import type { DocumentId } from '@/core/model/ids'
import type { State } from '@/core/model/state'
import { withChanges } from '@/core/rules/changes'
import { expected } from '@/store/faults'
import { readLog } from './changeLog'
import { sealed, unsealed } from './checksum'
import { replaceFile } from './handles'
import { LOGS } from './logs'
import { isStepList, type KeptStep, type LoggedSteps, type StepList } from './steps'

const FILES = ['shelf-a.json', 'shelf-b.json'] as const

export interface SpareCopy {
  state: State
  /** Milliseconds since 1970. */
  at: number
  /** Up to which line of the log it has everything. */
  seq: number
  /** The last line that changed the arrangement. */
  stateSeq: number
  /** What documents said with it or after it, and in which line. */
  documents: Map<DocumentId, { seq: number; content: KeptContent | null }>
  /** What can be undone; null where that was not told, as by an earlier version. */
  steps: ToldSteps | null
  /** Whether a log of what changed after it was there. */
  logged: boolean
  /** The highest line there is: what comes next must not be taken for one of those. */
  top: number
}

/** Which steps can be undone, and those of them that are told here; the store may have the others. */
interface ToldSteps {
  /** The line they are of. */
  seq: number
  list: StepList
  made: Map<number, KeptStep>
}

/** What documents say; null: they are gone. */
export type Contents = Map<DocumentId, KeptContent | null>

/** A copy as it is in its file. */
interface Written extends Omit<SpareCopy, 'documents' | 'steps' | 'logged' | 'top'> {
  documents?: Record<DocumentId, KeptContent | null>
  steps?: LoggedSteps
}

export class Spare {
  private last: (typeof FILES)[number] = FILES[1]

  private constructor(
    private folder: FileSystemDirectoryHandle,
    private documents: FileSystemDirectoryHandle,
  ) {}

  /**
   * The spare copy of a shelf, or null where the browser has no private files, or allows none.
   * @throws when they fail
   */
  static async open(shelf: string): Promise<Spare | null> {
    try {
      const root = await navigator.storage.getDirectory()
      const folder = await root.getDirectoryHandle(`kite-shelf-${shelf}`, { create: true })
      return new Spare(folder, await folder.getDirectoryHandle('documents', { create: true }))
    } catch (error) {
      if (error instanceof TypeError || (error as Error).name === 'SecurityError') return null
      throw error
    }
  }

  /**
   * The newest copy that is whole.
   * @throws when one is there that cannot be read now: it must not be written over
   */
  async read(): Promise<SpareCopy | null> {
    let newest: { copy: SpareCopy; raw: unknown; file: (typeof FILES)[number] } | null = null
    for (const file of FILES) {
      const found = copyOf(await readFile(this.folder, file))
      if (found && found.copy.at >= (newest?.copy.at ?? 0)) newest = { ...found, file }
    }
    if (!newest) return null
    this.last = newest.file
    const { documents } = newest.copy
    // A file of its own is newer.
    if (documents.size > 0) for (const id of await this.listDocuments()) documents.delete(id)
    return this.withLog(newest.copy, newest.raw)
  }

  /** A copy with what was logged after it. */
  private async withLog(copy: SpareCopy, raw: unknown): Promise<SpareCopy> {
    const texts = await Promise.all(LOGS.map((name) => readFile(this.folder, name)))
    const since = texts
      .flatMap((text) => readLog(text ?? ''))
      .filter(({ seq }) => seq > copy.seq)
      .sort((a, b) => a.seq - b.seq)
    // As it was written: what an earlier version logged fits only what that version wrote.
    let state = raw
    let { seq, stateSeq, steps } = copy
    for (const record of since) {
      // A line may have been told twice. What follows one that is missing is not built on it, until
      // the whole is told.
      if (record.seq === seq) continue
      if ('state' in record) {
        // The whole: nothing before it is needed.
        state = record.state
        seq = record.seq
        stateSeq = seq
        steps = toldSteps(record.steps, seq)
        continue
      }
      if (record.seq !== seq + 1) continue
      seq = record.seq
      if ('changes' in record) {
        state = withChanges(state, record.changes)
        stateSeq = seq
        if (record.steps !== 'as before') steps = toldSteps(record.steps, seq, steps?.made)
      } else copy.documents.set(record.document, { seq, content: record.content })
    }
    try {
      const top = Math.max(seq, ...since.map((one) => one.seq))
      return {
        ...copy,
        state: readState(state),
        seq,
        stateSeq,
        steps,
        logged: since.length > 0,
        top,
      }
    } catch {
      return copy
    }
  }

  /**
   * @param documents those that have no file of their own yet
   * @param steps what can be undone
   */
  async write(
    state: State,
    is: Pick<SpareCopy, 'at' | 'seq' | 'stateSeq'>,
    documents: Contents,
    steps?: LoggedSteps,
  ): Promise<void> {
    const file = this.last === FILES[0] ? FILES[1] : FILES[0]
    const said = Object.fromEntries(documents)
    const written: Written = { ...is, state, documents: said, ...(steps && { steps }) }
    await writeFile(this.folder, file, JSON.stringify(sealed(written, is.at)))
    this.last = file
  }

  async readDocument(id: DocumentId): Promise<KeptContent | null> {
    const found = unsealed(parsed(await readFile(this.documents, fileOf(id))))
    return (found?.value as KeptContent | undefined) ?? null
  }

  async writeDocument(id: DocumentId, content: KeptContent): Promise<void> {
    await writeFile(this.documents, fileOf(id), JSON.stringify(sealed(content, 0)))
  }

  async removeDocument(id: DocumentId): Promise<void> {
    await this.documents.removeEntry(fileOf(id)).catch(expected('there was none'))
  }

  /** The documents there is a copy of. */
  async listDocuments(): Promise<Set<DocumentId>> {
    const ids = new Set<DocumentId>()
    for await (const name of this.documents.keys())
      ids.add(decodeURIComponent(name.replace(/\.json$/, '')))
    return ids
  }
}

const fileOf = (id: DocumentId): string => `${encodeURIComponent(id)}.json`

function copyOf(text: string | null): { copy: SpareCopy; raw: unknown } | null {
  const found = unsealed(parsed(text))
  if (!found) return null
  try {
    const written = found.value as Written
    const { at, seq = 0, stateSeq = seq, state: raw, documents = {} } = written
    const said = Object.entries(documents).map(
      ([id, content]) =>
        [id, { seq, content }] as [DocumentId, { seq: number; content: KeptContent | null }],
    )
    const steps = toldSteps(written.steps, seq)
    const copy = {
      at,
      seq,
      stateSeq,
      state: readState(raw),
      documents: new Map(said),
      steps,
      logged: false,
      top: seq,
    }
    return { copy, raw }
  } catch {
    return null
  }
}

function toldSteps(
  told: LoggedSteps | undefined,
  seq: number,
  before: ReadonlyMap<number, KeptStep> = new Map(),
): ToldSteps | null {
  if (!isStepList(told?.list) || !Array.isArray(told.made)) return null
  const made = new Map([...before, ...told.made.map((step) => [step.id, step] as const)])
  return { seq, list: told.list, made }
}

function parsed(text: string | null): unknown {
  try {
    return text === null ? null : JSON.parse(text)
  } catch {
    return null
  }
}

async function readFile(folder: FileSystemDirectoryHandle, name: string): Promise<string | null> {
  try {
    const handle = await folder.getFileHandle(name)
    return await (await handle.getFile()).text()
  } catch (error) {
    if ((error as Error).name === 'NotFoundError') return null
    throw error
  }
}

/** @throws when it cannot be written */
export async function writeFile(
  folder: FileSystemDirectoryHandle,
  name: string,
  text: string,
): Promise<void> {
  await replaceFile(await folder.getFileHandle(name, { create: true }), text)
}
