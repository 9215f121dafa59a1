import { type ChangeEvent, type FormEvent, type KeyboardEvent, useRef, useState } from 'react'
import { asLetter, TWO_LETTER } from '@/core/keys/letters'
import type { DesktopId } from '@/core/model/ids'
import { desktop } from '@/core/model/selectors'
import { Answers } from '@/parts/Answers'
import { Dialog } from '@/parts/Dialog'
import { useArrangement, usePage, useShelf } from '@/store/useShelf'
import { layout } from '@/ui/keys/layout'
import { strokesOf } from '@/ui/keys/stroke'

/** Another call letter for a desktop: pressed, or typed where it has two strokes. */
export function LetterDialog({ id }: { id: DesktopId }) {
  const shelf = useShelf()
  const { name, letter } = useArrangement((state) => desktop(state, id))
  const desktops = useArrangement((state) => state.desktops)
  const said = usePage((page) => page.said)
  const opened = useRef(said)
  const [typed, setTyped] = useState(letter ?? '')
  const [elsewhere, setElsewhere] = useState<string | null>(null)
  const wanted = asLetter(typed)
  const owner = Object.values(desktops).find((one) => one.letter === wanted && one.id !== id)
  const set = (swap: boolean, to: string = typed) => {
    if (shelf.dispatch('desktop.letter', { desktop: id, letter: to, swap }, 'key').ok)
      shelf.closeView()
  }
  const press = ({ nativeEvent: event }: KeyboardEvent) => {
    const key = event.key.toLocaleUpperCase('en')
    const heard = strokesOf(event, layout(shelf)).map((stroke) => stroke.replace('Shift+', ''))
    const letters = /^\p{L}$/u.test(key) && !event.altKey && !event.ctrlKey
    setElsewhere(letters && !heard.includes(key) ? `${key} lies on the key ${heard[0]} here` : null)
  }
  const type = ({ target }: ChangeEvent<HTMLInputElement>) => {
    setTyped(target.value)
    const pressed = asLetter(target.value)
    const all = Object.values(desktops)
    // A letter that is free is taken at once; one that others have, or begin with, waits.
    if (pressed && target.value.length === 1 && pressed !== TWO_LETTER)
      if (!all.some((one) => one.letter?.startsWith(pressed))) set(false, target.value)
  }
  return (
    <Dialog
      title={`Call letter of ${name}`}
      intro="Press a letter: any but X and Z. Two letters are pressed one after the other; those that nobody chose begin with Y."
      width={420}
    >
      <form
        onSubmit={(event: FormEvent) => {
          event.preventDefault()
          set(owner !== undefined)
        }}
      >
        <div className="mt-4 flex items-center gap-3">
          <input
            aria-label="Call letter"
            maxLength={2}
            value={typed}
            className="field h-10 w-14 p-0 text-center font-bold font-mono text-lg uppercase"
            onFocus={(event) => event.target.select()}
            onKeyDown={press}
            onChange={type}
          />
          <span role="status" className="min-w-0 flex-1 text-soft">
            {elsewhere ?? (owner ? `${owner.letter} is the letter of ${owner.name}.` : '')}
          </span>
          {owner && !owner.letterByHand ? (
            <button type="button" className="btn" onClick={() => set(false)}>
              {owner.name} gets another
            </button>
          ) : null}
        </div>
        <Answers>{owner ? 'Swap the two' : 'Set'}</Answers>
      </form>
      {said?.refused && said !== opened.current ? (
        <p role="alert" className="mt-3 text-alarm">
          {said.text}
        </p>
      ) : null}
    </Dialog>
  )
}
