import type { ReactNode } from 'react'

/** Keys as small square tags: `Alt+] B` is four of them. */
export function Keys({ keys }: { keys: string }) {
  // A plus is only a joint between keys: `Alt++` ends in the key itself.
  const tags = keys.split(' ').flatMap((stroke) => stroke.split(/\+(?=.)/))
  return (
    <kbd className="inline-flex shrink-0 gap-[3px] font-[inherit]">
      {tags.map((tag, at) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: the order of the strokes is their identity
        <span key={at} className="key">
          {tag}
        </span>
      ))}
    </kbd>
  )
}

/** What keys do, behind them; nothing where they were switched off. */
export function Hint({ keys, children }: { keys: string | undefined; children: ReactNode }) {
  return keys ? (
    <span className="inline-flex items-center gap-2">
      <Keys keys={keys} /> {children}
    </span>
  ) : null
}
