import { type FormEvent, useEffect, useRef, useState } from 'react'
import { unlock, WrongPhrase } from '@/core/formats/locked'
import { Answers } from '@/parts/Answers'
import { Dialog } from '@/parts/Dialog'

/** Asks for the passphrase of a locked file until it opens. */
export function Unlock({
  name,
  text,
  onOpen,
  onBad,
}: {
  name: string
  text: string
  onOpen(text: string): void
  /** No phrase opens it, and why. */
  onBad(error: unknown): void
}) {
  const [phrase, setPhrase] = useState('')
  const [problem, setProblem] = useState('')
  const [opening, setOpening] = useState(false)
  const field = useRef<HTMLInputElement>(null)
  useEffect(() => field.current?.focus(), [])
  const send = (event: FormEvent) => {
    event.preventDefault()
    if (opening) return
    setOpening(true)
    unlock(text, phrase)
      .then(onOpen, (error: unknown) => {
        if (!(error instanceof WrongPhrase)) return onBad(error)
        setProblem('That is not its passphrase. Capitals and spaces count.')
        field.current?.select()
      })
      .finally(() => setOpening(false))
  }
  return (
    <Dialog title={`Open “${name}”`} intro="It is locked. Type its passphrase." width={460}>
      <form className="mt-4 flex flex-col gap-3" onSubmit={send}>
        <input
          ref={field}
          type="password"
          autoComplete="off"
          aria-label="Passphrase"
          className="field"
          value={phrase}
          onChange={(event) => {
            setProblem('')
            setPhrase(event.target.value)
          }}
        />
        <p role="status" className="text-soft">
          {opening ? 'Opening…' : ''}
        </p>
        {problem ? (
          <p role="alert" className="text-alarm">
            {problem}
          </p>
        ) : null}
        <Answers>Open</Answers>
      </form>
    </Dialog>
  )
}
