/** Instead of the shelf while another page has it open: only one may write. */
export function Shut({ display, onUse }: { display?: string | undefined; onUse(): void }) {
  return (
    <main className="grid h-full place-items-center">
      <div className="max-w-md border-2 border-ink bg-panel p-6">
        <h1 className="font-bold font-display text-xl">
          This {display ? 'display' : 'shelf'} is open in another tab
        </h1>
        <p className="mt-2 text-soft">
          Only one tab at a time can change it, so that nothing is lost. Go on in the other tab, or
          use it here: the other one will then wait.
        </p>
        <button type="button" className="btn btn-main mt-4" onClick={onUse}>
          Use it here
        </button>
      </div>
    </main>
  )
}
