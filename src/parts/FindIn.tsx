import { type RefObject, useEffect, useState } from 'react'
import { FindBar } from './FindBar'
import { type Asked, NOTHING, patternOf } from './finding'
import { textIn } from './textIn'

/** So many are marked; who finds more looks for something else. */
const MOST = 10_000

/** Finding in what an app shows as text and nobody edits: all that is found is marked where it stands. */
export function FindIn({
  within,
  anew,
  back = within,
  label,
  onClose,
}: {
  within: RefObject<HTMLElement | null>
  /** What is shown: with it what is found is looked for again. */
  anew: unknown
  /** Where the keys go on. */
  back?: RefObject<HTMLElement | null>
  label: string
  onClose(): void
}) {
  const [asked, setAsked] = useState<Asked>(NOTHING)
  const [found, setFound] = useState<Range[]>([])
  const [at, setAt] = useState(0)
  // biome-ignore lint/correctness/useExhaustiveDependencies: what is shown is read from the page
  useEffect(() => {
    setFound(within.current ? rangesIn(within.current, asked) : [])
    setAt(0)
  }, [asked, anew])
  useEffect(() => marked('found', found), [found])
  const here = found[at]
  useEffect(() => {
    if (!here) return
    here.startContainer.parentElement?.scrollIntoView({ block: 'nearest' })
    return marked('found-here', [here])
  }, [here])
  return (
    <FindBar
      label={label}
      asked={asked}
      onAsk={setAsked}
      count={{ at: found.length ? at + 1 : 0, of: found.length }}
      onStep={(by) => setAt((at + by + found.length) % Math.max(1, found.length))}
      onClose={() => {
        onClose()
        back.current?.focus()
      }}
    />
  )
}

function rangesIn(body: Element, asked: Asked): Range[] {
  const pattern = patternOf(asked)
  if (!pattern) return []
  const { whole, range } = textIn(body)
  const ranges: Range[] = []
  for (const match of whole.matchAll(pattern)) {
    ranges.push(range(match.index, match.index + match[0].length))
    if (ranges.length >= MOST) break
  }
  return ranges
}

/** Marks texts of one window beside those of others. @returns how to take the marks away */
function marked(name: string, ranges: Range[]): (() => void) | undefined {
  const all = globalThis.CSS?.highlights
  // A browser that marks nothing still goes to what was found.
  if (!all) return undefined
  const marks = all.get(name) ?? new Highlight()
  all.set(name, marks)
  for (const range of ranges) marks.add(range)
  return () => {
    for (const range of ranges) marks.delete(range)
  }
}
