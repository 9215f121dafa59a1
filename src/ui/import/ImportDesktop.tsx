import { appOf } from '@/apps/list'
import type { ShelfFile } from '@/core/formats/shelfFile'
import type { Stowed } from '@/core/model/kinds/stowed'
import type { State } from '@/core/model/state'
import { Answers } from '@/parts/Answers'
import { Dialog } from '@/parts/Dialog'
import { Kite } from '@/parts/Kite'
import { LongList } from '@/parts/LongList'
import { importDesktop } from '@/store/documents/importing'
import { pointBefore } from '@/store/opening/opened'
import { useShelf } from '@/store/useShelf'
import { Misfits } from './Misfits'

/** What a file of one desktop brings in: it comes beside what is here. */
export function ImportDesktop({
  entry: { id, desktop, windows },
  file,
  misfits,
  here,
}: {
  entry: Stowed
  file: ShelfFile
  misfits: string[]
  here: State
}) {
  const shelf = useShelf()
  const twice = here.desktops[id] || here.stowed.some((one) => one.id === id)
  return (
    <Dialog
      title={`Bring in “${desktop.name}”`}
      intro={
        twice
          ? 'It is here already: a copy comes beside it, with documents of its own. Undo takes it back.'
          : 'It comes with its windows, look, homes and keys. Undo takes it back.'
      }
      width={460}
    >
      <form
        onSubmit={(event) => {
          event.preventDefault()
          shelf.closeView()
          void pointBefore(shelf, `Before bringing in “${desktop.name}”`)
            .then(() => importDesktop(shelf, file))
            .catch((error: unknown) =>
              shelf.say(
                `It was not brought in: ${String(error).slice(0, 200)}. Nothing was changed.`,
                {
                  refused: true,
                },
              ),
            )
        }}
      >
        <p className="mt-3 flex items-center gap-2">
          <Kite hue={desktop.hue} letter={desktop.letter} filled width={19} />
          <b dir="auto" className="truncate font-display" title={desktop.name}>
            {desktop.name}
          </b>
        </p>
        <LongList label="Windows" className="mt-2 max-h-[36vh]">
          {Object.values(windows).map(({ id: window, app, document }) => {
            const Glyph = appOf(shelf, app)?.glyph
            const title = file.state.documents[document]?.title ?? 'Untitled'
            return (
              <li
                key={window}
                className="flex items-center gap-2 border-seam border-t border-dashed py-1.5"
              >
                {Glyph ? <Glyph size={14} aria-hidden className="shrink-0" /> : null}
                <span dir="auto" className="truncate" title={title}>
                  {title}
                </span>
              </li>
            )
          })}
        </LongList>
        {file.missing?.length ? (
          <p className="mt-3 text-alarm">
            These documents could not be read when the file was made: {file.missing.join(', ')}.
          </p>
        ) : null}
        <Misfits list={misfits} />
        <Answers ready>Bring it in</Answers>
      </form>
    </Dialog>
  )
}
