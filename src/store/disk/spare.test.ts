import { World } from '@testing/world'
import { initialState } from '@/core/model/initial'
import { ChangeLog } from './changeLog'
import type { LogOrder } from './logWriter'
import { Spare } from './spare'

/** The private files of a browser, as far as the second copy uses them. */
/** Whether files are there that cannot be read now. */
let unreadable = false

class Folder {
  private files = new Map<string, string>()
  private folders = new Map<string, Folder>()

  async getDirectoryHandle(name: string): Promise<Folder> {
    const found = this.folders.get(name) ?? new Folder()
    this.folders.set(name, found)
    return found
  }

  async getFileHandle(name: string, options?: { create: boolean }) {
    if (!options?.create && !this.files.has(name))
      throw new DOMException('not found', 'NotFoundError')
    let written = ''
    return {
      getFile: async () => {
        if (unreadable) throw new DOMException('busy', 'NotReadableError')
        return { text: async () => this.files.get(name) }
      },
      createWritable: async () => ({
        write: async (text: string) => {
          written = text
        },
        close: async () => this.files.set(name, written),
      }),
    }
  }

  async *keys() {
    yield* this.files.keys()
  }
}

const says = (saved: string) => ({ saved, draft: null })

test('the first copy has what documents say; what has a file of its own since is newer', async () => {
  const root = new Folder()
  Object.defineProperty(globalThis, 'navigator', {
    value: { storage: { getDirectory: async () => root } },
    configurable: true,
  })
  const open = async () => (await Spare.open('test')) as Spare
  const first = await open()
  const said = new Map([
    ['note', says('snow')],
    ['plan', says('wind')],
  ])
  await first.write(initialState(), { at: 1, seq: 2, stateSeq: 0 }, said)
  const found = await (await open()).read()
  expect(found?.state).toEqual(initialState())
  expect(found?.documents).toEqual(
    new Map([
      ['note', { seq: 2, content: says('snow') }],
      ['plan', { seq: 2, content: says('wind') }],
    ]),
  )
  await first.writeDocument('note', says('more snow'))
  const later = await (await open()).read()
  expect([...(later?.documents.keys() ?? [])]).toEqual(['plan'])
  // One that is there and cannot be read is not taken for one that is not there.
  unreadable = true
  await expect((await open()).read()).rejects.toThrow('busy')
  unreadable = false
})

test('where private files are denied there is no copy; where they fail that is told', async () => {
  const fails = (error: unknown) =>
    Object.defineProperty(globalThis, 'navigator', {
      value: { storage: { getDirectory: () => Promise.reject(error) } },
      configurable: true,
    })
  fails(new DOMException('denied', 'SecurityError'))
  expect(await Spare.open('test')).toBeNull()
  fails(new DOMException('broken', 'UnknownError'))
  await expect(Spare.open('test')).rejects.toThrow('broken')
})

test('where lines are missing nothing is built on what was before, until the whole is told', async () => {
  const root = new Folder()
  Object.defineProperty(globalThis, 'navigator', {
    value: { storage: { getDirectory: async () => root } },
    configurable: true,
  })
  const spare = (await Spare.open('test')) as Spare
  const world = new World()
  await spare.write(world.state, { at: 1, seq: 5, stateSeq: 5 }, new Map())
  const lines: string[] = []
  const writer = {
    send: (order: LogOrder) => void ('line' in order && lines.push(order.line)),
    close: () => {},
  }
  const read = async () => {
    const folder = await root.getDirectoryHandle('kite-shelf-test')
    const writing = await (
      await folder.getFileHandle('since-a.log', { create: true })
    ).createWritable()
    await writing.write(`${lines.join('\n')}\n`)
    await writing.close()
    return spare.read()
  }
  // The session before had no log: this one begins later.
  const log = (whole: boolean) => new ChangeLog(writer, 9, 9, undefined, whole)
  const work = (of: ChangeLog, name: string) => {
    of.state(world.state, world.session.history)
    world.run('desktop.rename', { name })
    of.state(world.state, world.session.history)
  }
  const before = world.state
  work(log(false), 'Bowl')
  expect(await read()).toMatchObject({ state: before, seq: 5, top: 10 })
  lines.length = 0
  work(log(true), 'Ridge')
  const found = await read()
  expect(found).toMatchObject({ state: world.state, seq: 11, stateSeq: 11, top: 11 })
  expect(found?.steps?.list.past).toEqual(world.session.history.past.map(({ id }) => id))
})
