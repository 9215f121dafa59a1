import type { KeptStore } from './disk/storage'

type PointStore = Pick<KeptStore, 'getItem' | 'setItem' | 'removeItem' | 'keys'>

/** A whole shelf that is kept, to go back to. */
export interface RestorePoint {
  /** Milliseconds since 1970; no two have the same. */
  at: number
  /** What the person called it, or before what it was made. */
  name: string
  /** Whether the person made it. */
  byHand: boolean
  /** Of its file, in characters. */
  size: number
}

/** So many are kept at most, and so much of them together, in characters. */
export const POINTS_MOST = 20
export const POINTS_SIZE = 200_000_000

const LIST = 'restore-points'
const keyOf = ({ at }: Pick<RestorePoint, 'at'>): string => `restore-${at}`

const isPoint = (value: unknown): value is RestorePoint => {
  const { at, name, size } = (value ?? {}) as Partial<RestorePoint>
  return typeof at === 'number' && typeof name === 'string' && typeof size === 'number'
}

/** Whole shelves that are kept: made by the person, and before whatever changes much. */
export class RestorePoints {
  /** One is written after the other. */
  private working: Promise<unknown> = Promise.resolve()

  constructor(
    private store: PointStore,
    private clock: () => number,
  ) {}

  /** All there are, the latest first. @throws when they cannot be read */
  async all(): Promise<RestorePoint[]> {
    const list = await this.store.getItem(LIST)
    return Array.isArray(list) ? list.filter(isPoint) : []
  }

  /**
   * Keeps a shelf file. Where there are too many, the oldest that nobody made by hand goes first.
   * @throws when it cannot be written
   */
  add(name: string, byHand: boolean, text: string): Promise<RestorePoint> {
    return this.next(async () => {
      const before = await this.all()
      const at = Math.max(this.clock(), (before[0]?.at ?? 0) + 1)
      const point = { at, name, byHand, size: text.length }
      await this.store.setItem(keyOf(point), text)
      const all = [point, ...before]
      const gone = tooMany(all)
      await this.store.setItem(
        LIST,
        all.filter((one) => !gone.includes(one)),
      )
      for (const one of gone) await this.store.removeItem(keyOf(one))
      return point
    })
  }

  /** Its shelf file. @throws when it cannot be read */
  async read(point: RestorePoint): Promise<string> {
    const text = await this.store.getItem(keyOf(point))
    if (typeof text !== 'string') throw new Error('it is not there any more')
    return text
  }

  remove(at: number): Promise<void> {
    return this.next(async () => {
      const all = await this.all()
      await this.store.setItem(
        LIST,
        all.filter((one) => one.at !== at),
      )
      await this.store.removeItem(keyOf({ at }))
    })
  }

  private next<T>(work: () => Promise<T>): Promise<T> {
    const done = this.working.then(work, work)
    this.working = done
    return done
  }
}

/** @param all the latest first; it stays, however large */
function tooMany(all: readonly RestorePoint[]): RestorePoint[] {
  const left = [...all]
  const gone: RestorePoint[] = []
  const size = () => left.reduce((sum, one) => sum + one.size, 0)
  while (left.length > 1 && (left.length > POINTS_MOST || size() > POINTS_SIZE)) {
    const oldest = left.findLast(({ byHand }, at) => !byHand && at > 0) ?? left.at(-1)
    if (!oldest) break
    left.splice(left.indexOf(oldest), 1)
    gone.push(oldest)
  }
  return gone
}
