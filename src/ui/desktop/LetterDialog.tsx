import { type FormEvent, useRef } from 'react'
import { desktop } from '@/core/model/selectors'
import type { DesktopId } from '@/core/model/types'
import { closeView, dispatch, useArrangement, useShelf } from '@/store/shelf'
import { Answers } from '@/ui/parts/Answers'
import { Dialog } from '@/ui/parts/Dialog'

/** Another call letter for a desktop. */
export function LetterDialog({ id }: { id: DesktopId }) {
  const { name, letter } = useArrangement((state) => desktop(state, id))
  const said = useShelf((shelf) => shelf.said)
  const opened = useRef(said)
  const field = useRef<HTMLInputElement>(null)
  const set = (event: FormEvent) => {
    event.preventDefault()
    if (dispatch('desktop.letter', { desktop: id, letter: field.current?.value ?? '' }, 'key').ok)
      closeView()
  }
  return (
    <Dialog
      title={`Call letter of ${name}`}
      intro="A to Y except X. A desktop that has it by itself gets another one, and that is said."
      width={400}
    >
      <form className="mt-4 flex items-center gap-2" onSubmit={set}>
        <input
          ref={field}
          aria-label="Call letter"
          maxLength={1}
          defaultValue={letter ?? ''}
          className="field size-10 p-0 text-center font-bold font-mono text-lg uppercase"
          onFocus={(event) => event.target.select()}
        />
        <Answers beside>Set</Answers>
      </form>
      {said?.refused && said !== opened.current ? (
        <p role="alert" className="mt-3 text-alarm">
          {said.text}
        </p>
      ) : null}
    </Dialog>
  )
}
