/** Instead of the shelf while another page has it open: only one may write. */
export function Shut({
  display,
  silent,
  onUse,
}: {
  display?: string | undefined
  /** Whether the other page does not answer. */
  silent: boolean
  onUse(): void
}) {
  return (
    <main className="grid h-full place-items-center">
      <div className="max-w-md border-2 border-ink bg-panel p-6">
        <h1 className="font-bold font-display text-xl">
          {silent
            ? 'Another window has this shelf open, but doesn’t answer'
            : `This ${display ? 'display' : 'shelf'} is open in another tab`}
        </h1>
        <p className="mt-2 text-soft">
          {silent
            ? 'It may be busy or stuck. Close it, then try again; or use the shelf here. What it has not saved yet may be lost.'
            : 'Only one tab at a time can change it, so that nothing is lost. Go on in the other tab, or use it here: the other one will then wait.'}
        </p>
        <p className="mt-4 flex gap-3">
          {silent ? (
            <button type="button" className="btn btn-main" onClick={() => location.reload()}>
              Try again
            </button>
          ) : null}
          <button type="button" className={silent ? 'btn' : 'btn btn-main'} onClick={onUse}>
            Use it here
          </button>
        </p>
      </div>
    </main>
  )
}
