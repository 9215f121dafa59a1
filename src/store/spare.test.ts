import { initialState } from '@/core/model/initial'
import { Spare } from './spare'

/** The private files of a browser, as far as the second copy uses them. */
class Folder {
  private files = new Map<string, string>()
  private folders = new Map<string, Folder>()

  async getDirectoryHandle(name: string): Promise<Folder> {
    const found = this.folders.get(name) ?? new Folder()
    this.folders.set(name, found)
    return found
  }

  async getFileHandle(name: string, options?: { create: boolean }) {
    if (!options?.create && !this.files.has(name)) throw new Error('not found')
    let written = ''
    return {
      getFile: async () => ({ text: async () => this.files.get(name) }),
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
})
