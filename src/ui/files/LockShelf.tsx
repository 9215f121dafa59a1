import { type FormEvent, useState } from 'react'
import { lock } from '@/core/formats/locked'
import { Answers } from '@/parts/Answers'
import { Dialog } from '@/parts/Dialog'
import { download } from '@/parts/download'
import { exportShelf } from '@/store/documents/exporting'
import type { Shelf } from '@/store/shelf'
import { useShelf } from '@/store/useShelf'
import { work } from '@/store/working'
import { sayExported, shelfName } from './exported'

/** Fewer letters are soon tried. */
const LEAST = 8

/** Exports the shelf file so that only a passphrase opens it. */
export function LockShelf() {
  const shelf = useShelf()
  const [phrase, setPhrase] = useState('')
  const [again, setAgain] = useState('')
  const [problem, setProblem] = useState('')
  const send = (event: FormEvent) => {
    event.preventDefault()
    if (!globalThis.crypto?.subtle)
      return setProblem('This browser locks files only on an https address or on this computer.')
    if (phrase.length < LEAST)
      return setProblem(`Type ${LEAST} letters or more. Several words are best.`)
    if (phrase !== again) return setProblem('The two are not the same. Type the second again.')
    shelf.closeView()
    exportLocked(shelf, phrase).catch((error: unknown) =>
      shelf.say(`Not exported: ${String(error).slice(0, 200)}`, { refused: true }),
    )
  }
  const field = (label: string, value: string, set: (to: string) => void, first: boolean) => (
    <label className="flex items-center gap-2.5">
      <span className="w-20 shrink-0 text-soft">{label}</span>
      <input
        type="password"
        autoComplete="new-password"
        // biome-ignore lint/a11y/noAutofocus: the dialog asks for it
        autoFocus={first}
        className="field min-w-0 flex-1"
        value={value}
        onChange={(event) => {
          setProblem('')
          set(event.target.value)
        }}
      />
    </label>
  )
  return (
    <Dialog
      title="Export with a passphrase"
      intro="Nobody can open the file without the passphrase, not even you. It isn’t stored anywhere, so write it down. The size of the file stays visible, and the shelf in this browser stays unlocked."
      width={480}
    >
      <form className="mt-4 flex flex-col gap-3" onSubmit={send}>
        {field('passphrase', phrase, setPhrase, true)}
        {field('once more', again, setAgain, false)}
        {problem ? (
          <p role="alert" className="text-alarm">
            {problem}
          </p>
        ) : null}
        <Answers>Export</Answers>
      </form>
    </Dialog>
  )
}

function exportLocked(shelf: Shelf, phrase: string): Promise<void> {
  return work(shelf, 'Locking the shelf file…', async () => {
    const { file, missing } = await exportShelf(shelf)
    const locked = await lock(await file.text(), phrase)
    download(
      new Blob([locked], { type: 'application/json' }),
      `${shelfName(shelf)}.locked.kite.json`,
    )
    sayExported(shelf, 'the shelf file, locked', missing)
  })
}
