import { LOGS } from './logs'
import { type LogOrder, type LogPlace, type LogWay, LogWriter } from './logWriter'

/** A worker of its own, as soon as a line comes. */
const byWorker: LogWay = (answer, died) => {
  const worker = new Worker(new URL('./log.worker.ts', import.meta.url), { type: 'module' })
  worker.onmessage = ({ data }) => answer(data)
  worker.onerror = (event) => {
    event.preventDefault()
    died(new Error(event.message || 'The script of the worker did not come'))
  }
  return { send: (n, order) => worker.postMessage({ n, order }), close: () => worker.terminate() }
}

/** How long lines are gathered: on the page a file is made anew for each write, in milliseconds. */
const GATHERED = 400

/** The page itself: some lines at a time. */
class PageLog implements LogPlace {
  private folder: Promise<FileSystemDirectoryHandle> | null = null
  private at = 0
  private lines: string[] = []
  private waiting: number[] = []
  private timer: ReturnType<typeof setTimeout> | undefined
  private working: Promise<void> = Promise.resolve()

  constructor(private answer: Parameters<LogWay>[0]) {}

  send(n: number, order: LogOrder): void {
    this.waiting.push(n)
    if ('line' in order) {
      this.lines.push(order.line)
      this.timer ??= setTimeout(() => this.flush(), GATHERED)
      return
    }
    if ('open' in order) {
      this.at = order.at
      this.folder = folderOf(order.open)
    }
    this.flush(order)
  }

  close(): void {
    clearTimeout(this.timer)
  }

  private flush(order?: LogOrder): void {
    clearTimeout(this.timer)
    this.timer = undefined
    const [lines, numbers] = [this.lines, this.waiting]
    this.lines = []
    this.waiting = []
    this.working = this.working.then(async () => {
      const folder = await this.folder
      if (lines.length) await append(folder, LOGS[this.at], lines)
      if (order && 'turn' in order) this.at = 1 - this.at
      if (order && 'drop' in order) await empty(folder, LOGS[1 - this.at])
    })
    this.working.then(
      () => this.answer({ n: numbers.at(-1) ?? 0 }),
      ({ name, message }: Error) =>
        this.answer({ n: numbers.at(-1) ?? 0, fault: { name, message } }),
    )
  }
}

type Folder = FileSystemDirectoryHandle | null

/** @throws where the browser has no private files */
async function folderOf(shelf: string): Promise<FileSystemDirectoryHandle> {
  const root = await navigator.storage.getDirectory()
  return root.getDirectoryHandle(`kite-shelf-${shelf}`, { create: true })
}

async function append(folder: Folder, name = '', lines: string[]): Promise<void> {
  const handle = await folder?.getFileHandle(name, { create: true })
  const writing = await handle?.createWritable({ keepExistingData: true })
  const position = (await handle?.getFile())?.size ?? 0
  await writing?.write({ type: 'write', position, data: `${lines.join('\n')}\n` })
  await writing?.close()
}

async function empty(folder: Folder, name = ''): Promise<void> {
  const handle = await folder?.getFileHandle(name, { create: true })
  await (await handle?.createWritable())?.close()
}

const onPage: LogWay = (answer) => new PageLog(answer)

/** A worker is tried twice; after that the page writes the log itself. */
const WAYS = [byWorker, byWorker, onPage]

/** Whether the way in use is the page itself. */
export const isOnPage = (way: number): boolean => WAYS[way] === onPage

/** @param stands told which way is used; null: none works, and why */
export const logOf = (
  shelf: string,
  stands: (way: number | null, why?: unknown) => void,
): LogWriter => new LogWriter(shelf, WAYS, stands)
