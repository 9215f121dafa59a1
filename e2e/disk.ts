import { expect, type Page } from '@playwright/test'

/** The private files of the browser, standing in for the disk of a computer. */
export class Disk {
  private constructor(private page: Page) {}

  /** The dialogs of the browser are answered with files of the disk, by name; none: it is left. */
  static async of(page: Page): Promise<Disk> {
    await page.addInitScript(() => {
      const disk = async (name = 'disk') =>
        (await navigator.storage.getDirectory()).getDirectoryHandle(name, { create: true })
      const chosen = () => {
        const names = (sessionStorage.getItem('chosen') ?? '').split('|').filter(Boolean)
        if (names.length === 0) throw new DOMException('left', 'AbortError')
        return names
      }
      Object.assign(window, {
        showOpenFilePicker: async () => {
          const folder = await disk()
          return Promise.all(chosen().map((name) => folder.getFileHandle(name)))
        },
        showSaveFilePicker: async ({ suggestedName }: { suggestedName: string }) => {
          const [name] = chosen()
          const file = name === 'as suggested' ? suggestedName : (name ?? '')
          return (await disk()).getFileHandle(file, { create: true })
        },
        showDirectoryPicker: async () => disk(chosen()[0]),
      })
    })
    return new Disk(page)
  }

  async choose(...names: string[]): Promise<void> {
    await this.page.evaluate((all) => sessionStorage.setItem('chosen', all), names.join('|'))
  }

  /** Another program writes a file. */
  async write(name: string, content: string | Buffer, folder = 'disk'): Promise<void> {
    await this.page.evaluate(
      async ([file, base64, at]) => {
        const root = await navigator.storage.getDirectory()
        const place = await root.getDirectoryHandle(at, { create: true })
        const writing = await (await place.getFileHandle(file, { create: true })).createWritable()
        await writing.write(Uint8Array.from(atob(base64), (one) => one.charCodeAt(0)))
        await writing.close()
      },
      [name, Buffer.from(content).toString('base64'), folder] as const,
    )
  }

  /** As latin1. What is just being replaced is read once it is. */
  async read(name: string, folder = 'disk'): Promise<string> {
    const base64 = await this.page.evaluate(
      async ([file, at]) => {
        const root = await navigator.storage.getDirectory()
        const place = await root.getDirectoryHandle(at, { create: true })
        const read = async () => (await (await place.getFileHandle(file)).getFile()).arrayBuffer()
        const bytes = await read()
          .catch(() => new Promise((later) => setTimeout(later, 100)).then(read))
          .catch(() => new Promise((later) => setTimeout(later, 400)).then(read))
        return btoa(String.fromCharCode(...new Uint8Array(bytes)))
      },
      [name, folder] as const,
    )
    return Buffer.from(base64, 'base64').toString('latin1')
  }

  async names(folder = 'disk'): Promise<string[]> {
    return this.page.evaluate(async (at) => {
      const root = await navigator.storage.getDirectory()
      const place = await root.getDirectoryHandle(at, { create: true })
      const names: string[] = []
      for await (const name of (place as unknown as { keys(): AsyncIterable<string> }).keys())
        names.push(name)
      return names.sort()
    }, folder)
  }

  async remove(name: string, folder = 'disk'): Promise<void> {
    await this.page.evaluate(
      async ([file, at]) => {
        const root = await navigator.storage.getDirectory()
        await (await root.getDirectoryHandle(at)).removeEntry(file)
      },
      [name, folder] as const,
    )
  }

  async says(name: string, text: string): Promise<void> {
    await expect.poll(() => this.read(name)).toBe(Buffer.from(text).toString('latin1'))
  }
}
