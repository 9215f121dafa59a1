import { useEffect, useState } from 'react'
import type { DocumentId } from '@/core/model/ids'
import { counted } from '@/core/text/counted'
import { compared, merged, type Stretch, type Taken, takenOf } from '@/core/text/merging'
import { Dialog } from '@/parts/Dialog'
import { timeOfDay } from '@/parts/Facts'
import { whyNoFile } from '@/store/disk/handles'
import type { Shelf } from '@/store/shelf'
import { useShelf } from '@/store/useShelf'
import { type Compared, compare, keepHere, keepMerged, takeFile } from './comparing'
import { NO_FILE } from './saving'

/** What a document says beside what its file says, and what is to become of both. */
export function FileDialog({ document }: { document: DocumentId }) {
  const shelf = useShelf()
  const [found, setFound] = useState<Compared | null>(null)
  useEffect(() => {
    let over = false
    compare(shelf, document).then(
      (both) => {
        if (over) return
        setFound(both)
        if (both) return
        shelf.closeView()
        shelf.say(NO_FILE, { refused: true })
      },
      (error: unknown) => {
        if (over) return
        shelf.closeView()
        shelf.say(`Its file can’t be read. ${whyNoFile(error)} It is safe in the shelf.`, {
          refused: true,
        })
      },
    )
    return () => {
      over = true
    }
  }, [shelf, document])
  return found ? <Both document={document} found={found} /> : null
}

function Both({ document, found }: { document: DocumentId; found: Compared }) {
  const shelf = useShelf()
  const { name, file, texts, aheadHere } = found
  const [stretches] = useState(() =>
    texts ? compared(texts.here, texts.base, texts.there, texts.by) : [],
  )
  const [taken, setTaken] = useState<readonly (Taken | undefined)[]>([])
  const differing = stretches.filter(({ changed }) => changed !== 'neither').length
  const done = (work: () => Promise<void>) => () => {
    shelf.closeView()
    void work().catch((error: unknown) => told(shelf, name, error))
  }
  if (texts && differing === 0) return <Same name={name} />
  const now = texts ? merged(stretches, taken, texts.by) : ''
  return (
    <Dialog
      title={texts ? `Compare with “${name}”` : `“${name}” was changed`}
      intro={`The file was written at ${timeOfDay(file.lastModified)}${
        aheadHere ? '. You changed it here too.' : '. You changed nothing here.'
      }`}
      width={960}
    >
      {texts ? (
        <Differences
          stretches={stretches}
          taken={taken}
          unit={texts.by === 'lines' ? ['row', 'rows'] : ['paragraph', 'paragraphs']}
          onTake={(at, takes) => {
            const next = [...taken]
            next[at] = takes
            setTaken(next)
          }}
        />
      ) : (
        <p className="mt-4">
          Its contents can’t be shown side by side. What is here stays in the drawer if you take the
          file.
        </p>
      )}
      <div className="mt-5 flex flex-wrap items-center justify-end gap-2">
        <button type="button" className="btn" onClick={shelf.closeView}>
          Decide later
        </button>
        <button
          type="button"
          className="btn"
          title="The file is written over"
          onClick={done(() => keepHere(shelf, document))}
        >
          Keep what is here
        </button>
        <button
          type="button"
          className={`btn ${texts && aheadHere ? '' : 'btn-main'}`}
          // biome-ignore lint/a11y/noAutofocus: the answer the dialog leads to
          autoFocus={!(texts && aheadHere)}
          onClick={done(() => takeFile(shelf, document, found))}
        >
          Take the file
        </button>
        {texts && aheadHere ? (
          <button
            type="button"
            className="btn btn-main"
            // biome-ignore lint/a11y/noAutofocus: the answer the dialog leads to
            autoFocus
            title="The document and the file both say this"
            onClick={done(() => keepMerged(shelf, document, found, now))}
          >
            Merge as chosen
          </button>
        ) : null}
      </div>
    </Dialog>
  )
}

const told = (shelf: Shelf, name: string, error: unknown): void =>
  shelf.say(`“${name}” couldn’t be read or written. ${whyNoFile(error)} Nothing is lost here.`, {
    refused: true,
  })

function Same({ name }: { name: string }) {
  const shelf = useShelf()
  return (
    <Dialog title="Nothing differs" intro={`“${name}” says what is here.`} width={420}>
      <div className="mt-5 flex justify-end">
        {/* biome-ignore lint/a11y/noAutofocus: the only answer */}
        <button type="button" className="btn btn-main" autoFocus onClick={shelf.closeView}>
          Done
        </button>
      </div>
    </Dialog>
  )
}

const TAKES: [Taken, string][] = [
  ['here', 'this'],
  ['there', 'the file’s'],
  ['both', 'both'],
]

function Differences({
  stretches,
  taken,
  unit,
  onTake,
}: {
  stretches: readonly Stretch[]
  taken: readonly (Taken | undefined)[]
  unit: [string, string]
  onTake(at: number, takes: Taken): void
}) {
  return (
    <div className="mt-4 max-h-[56vh] overflow-auto border border-seam" tabIndex={-1}>
      <div className="sticky top-0 grid grid-cols-2 gap-4 border-seam border-b bg-panel px-3 py-1.5 font-semibold">
        <p>Here</p>
        <p>In the file</p>
      </div>
      <ol aria-label="Differences">
        {stretches.map((one, at) => {
          const key = `${at} ${one.changed}`
          if (one.changed === 'neither')
            return (
              <li key={key} className="px-3 py-1 text-[12px] text-soft">
                {counted(one.paragraphs, unit[0], unit[1])} the same
              </li>
            )
          const takes = taken[at] ?? takenOf(one)
          return (
            <li key={key} className="border-seam border-t border-dashed px-3 py-2">
              <div className="grid grid-cols-2 gap-4">
                <Side text={one.here} taken={takes !== 'there'} />
                <Side text={one.there} taken={takes !== 'here'} />
              </div>
              <fieldset className="mt-1.5 flex flex-wrap items-center gap-x-4">
                <legend className="sr-only">{`What is taken of difference ${at + 1}`}</legend>
                {TAKES.map(([value, label]) => (
                  <label key={value} className="flex items-center gap-1.5 text-[12px]">
                    <input
                      type="radio"
                      name={`take ${at}`}
                      checked={takes === value}
                      onChange={() => onTake(at, value)}
                    />
                    {label}
                  </label>
                ))}
                {one.changed === 'both' ? (
                  <span className="ml-auto text-[12px] text-soft">changed on both sides</span>
                ) : null}
              </fieldset>
            </li>
          )
        })}
      </ol>
    </div>
  )
}

/** What one of them says; what is not taken is struck through. */
function Side({ text, taken }: { text: string; taken: boolean }) {
  if (!text.trim()) return <p className="text-soft italic">nothing</p>
  return (
    <p
      dir="auto"
      className={`whitespace-pre-wrap break-words ${taken ? '' : 'text-soft line-through decoration-seam'}`}
    >
      {text.trim()}
    </p>
  )
}
