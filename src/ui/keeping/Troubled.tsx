import { useState } from 'react'
import { download } from '@/parts/download'
import type { Trouble } from '@/store/opening/start'
import { when } from '@/store/opening/when'

/** Instead of a shelf that could not be read. Nothing is written until the person has chosen. */
export function Troubled({ trouble }: { trouble: Trouble }) {
  const [working, setWorking] = useState(false)
  const [problem, setProblem] = useState('')
  const { why, spareAt } = trouble
  const doing = (work: () => Promise<void>) => async () => {
    setWorking(true)
    setProblem('')
    try {
      await work()
    } catch (error) {
      setProblem(
        `That did not work: ${error instanceof Error ? error.message : error}. Nothing was changed.`,
      )
    }
    setWorking(false)
  }
  const exportThere = doing(async () =>
    download(await trouble.exportThere(), 'what is kept of the shelf.json'),
  )
  return (
    <main className="grid h-full place-items-center overflow-auto p-6">
      <div className="max-w-xl border-2 border-ink bg-panel p-6">
        <h1 className="font-bold font-display text-xl">The shelf could not be read</h1>
        <p className="mt-2">{why}</p>
        <p className="mt-2 text-soft">
          Nothing was written or changed. What is there stays as it is, whatever you choose.
        </p>
        <ul className="mt-4 flex flex-col gap-3">
          <Choice does="Try again" says="It may have been temporary." main>
            {() => location.reload()}
          </Choice>
          {spareAt === null || !trouble.openSpare ? null : (
            <Choice
              does="Open the second copy"
              says={`Written on ${when(spareAt)}, with what changed after it.`}
              disabled={working}
            >
              {doing(trouble.openSpare)}
            </Choice>
          )}
          <Choice
            does="Export what is there"
            says="As a file, record by record, as far as it can be read."
            disabled={working}
          >
            {exportThere}
          </Choice>
          {trouble.beginAnew ? (
            <Choice
              does="Start a new shelf"
              says="The old one is kept aside and can be exported from the menu."
              disabled={working}
            >
              {doing(trouble.beginAnew)}
            </Choice>
          ) : null}
          <Choice
            does="Work without saving"
            says="An empty shelf until this page is closed. Nothing is saved."
            disabled={working}
          >
            {trouble.workWithout}
          </Choice>
        </ul>
        {problem ? (
          <p role="alert" className="mt-4 text-alarm">
            {problem}
          </p>
        ) : null}
      </div>
    </main>
  )
}

function Choice({
  does,
  says,
  main,
  disabled,
  children,
}: {
  does: string
  says: string
  main?: boolean
  disabled?: boolean
  children: () => void
}) {
  return (
    <li className="flex items-center gap-3">
      <button
        type="button"
        className={`btn w-48 shrink-0 ${main ? 'btn-main' : ''}`}
        disabled={disabled}
        // biome-ignore lint/a11y/noAutofocus: the answer that changes nothing
        autoFocus={main}
        onClick={children}
      >
        {does}
      </button>
      <span className="text-soft">{says}</span>
    </li>
  )
}
