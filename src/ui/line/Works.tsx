import { useWorks } from '@/store/working'

/** What takes its time, above the Line, with how far it is and a way to end it. */
export function Works() {
  const works = useWorks()
  return works.map(({ id, text, progress, cancel }) => (
    <div
      key={id}
      role="status"
      className="flex items-center gap-3 border-2 border-ink bg-panel px-3 py-2"
    >
      <span className="min-w-0 flex-1 truncate" title={text}>
        {text}
      </span>
      <progress
        aria-label={text}
        className="w-24"
        {...(progress !== null && { value: progress })}
      />
      <button type="button" className="btn" onClick={cancel}>
        Cancel
      </button>
    </div>
  ))
}
