'use client'
import { type KeyboardEvent, useMemo, useRef, useState } from 'react'
import { dayOf } from '@/core/formula/value'
import { copyText } from '@/parts/clipboard'
import { changeContent } from '@/store/documents/documents'
import { usePassage } from '@/store/documents/passages'
import { useShelf } from '@/store/useShelf'
import type { AppProps } from '../contract'
import { useShownContent } from '../useContents'
import { useForms } from '../useForms'
import { SUMS } from './content'
import { worked } from './worked'

/** A sheet one types sums on: what each line comes to stands beside it. */
export default function Sums({ document: id }: AppProps) {
  const shelf = useShelf()
  const content = useShownContent(SUMS, id)
  const forms = useForms()
  const field = useRef<HTMLTextAreaElement>(null)
  const [line, setLine] = useState(0)
  const text = content?.text ?? ''
  const results = useMemo(() => worked(text, forms, dayOf(shelf.clock())), [text, forms, shelf])
  usePassage(id, (wanted) => {
    const at = text.toLowerCase().indexOf(wanted.toLowerCase())
    if (at < 0 || document.activeElement !== field.current) return false
    field.current?.setSelectionRange(at, at + wanted.length)
    return true
  })
  if (!content) return null
  const here = results[line]
  const copy = (result = here) => {
    if (result && 'shown' in result) void copyText(shelf, result.shown, `Copied ${result.shown}`)
  }
  const keys = (event: KeyboardEvent) => {
    if (event.key !== 'Enter' || !(event.ctrlKey || event.metaKey) || event.altKey) return
    event.preventDefault()
    copy()
  }
  const follow = () => {
    const { value = '', selectionStart = 0 } = field.current ?? {}
    setLine(value.slice(0, selectionStart).split('\n').length - 1)
  }
  return (
    <>
      <div className="sums min-h-0 flex-1 overflow-auto font-mono text-[14px] leading-6">
        <textarea
          ref={field}
          data-autofocus=""
          aria-label="Sums"
          aria-describedby={`${id}-result`}
          spellCheck={false}
          wrap="off"
          placeholder={'snow = 12 + 4\nsnow * 2\n+ 10 %\ntotal'}
          rows={Math.max(results.length, 4)}
          className="min-w-0 resize-none overflow-hidden bg-transparent py-2 pl-3 outline-none"
          value={text}
          onChange={(event) => {
            changeContent(shelf, id, { text: event.target.value }, 'saved')
            follow()
          }}
          onSelect={follow}
          onKeyDown={keys}
        />
        <ol aria-label="Results" className="py-2 pr-3 text-right">
          {results.map((result, at) => (
            <li
              // biome-ignore lint/suspicious/noArrayIndexKey: a line is known by its place
              key={at}
              className={`h-6 whitespace-nowrap ${at === line ? 'font-semibold' : 'text-soft'}`}
            >
              {result === null ? (
                ''
              ) : 'problem' in result ? (
                <em title={result.problem} className="text-alarm text-[12px]">
                  {at === line ? '…' : result.problem}
                </em>
              ) : (
                <button
                  type="button"
                  title="Copy"
                  aria-label={`Copy ${result.shown}`}
                  // The keys stay with the sums; by keys it is Ctrl+Enter.
                  tabIndex={-1}
                  onMouseDown={(event) => event.preventDefault()}
                  onClick={() => copy(result)}
                >
                  {result.shown}
                </button>
              )}
            </li>
          ))}
        </ol>
      </div>
      <p
        id={`${id}-result`}
        role="status"
        className="flex min-h-6 items-center border-seam border-t border-dashed px-2.5 font-mono text-[11px] text-soft"
      >
        {here && 'problem' in here ? here.problem : here ? `= ${here.shown}` : ''}
        <span className="ml-auto">Ctrl+Enter copies</span>
      </p>
    </>
  )
}
