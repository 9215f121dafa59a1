import { Pencil, X } from 'lucide-react'
import { type KeyboardEvent, useEffect, useRef } from 'react'
import { type AppKey, appKeys } from '@/core/keys/appKeys'
import type { AppFacts } from '@/core/model/kinds/app'
import type { State } from '@/core/model/state'
import { allWords } from '@/core/text/plain'
import { Keys } from '@/parts/Keys'
import { PanelSection } from '@/parts/PanelSection'
import { useShelf } from '@/store/useShelf'
import { layout } from '@/ui/keys/layout'
import { strokeOf } from '@/ui/keys/stroke'
import { useBack } from './useBack'

/** The keys of an app that have all words of a query. */
export function foundKeys(state: State, app: AppFacts, query: string): AppKey[] {
  const has = allWords(query)
  return appKeys(state, app).filter(({ keys, does }) => has(`${app.name} ${keys} ${does}`))
}

/** The keys an app has in its windows; others can be put in their place. */
export function AppKeys({
  app,
  rows,
  bound,
  onBind,
}: {
  app: AppFacts
  rows: AppKey[]
  /** What waits for keys. */
  bound: string | null
  onBind(id: string | null): void
}) {
  if (rows.length === 0) return null
  return (
    <PanelSection name={`Only in windows of ${app.name}`}>
      <ul>
        {rows.map((row) => {
          const id = `${app.id} ${row.key}`
          return (
            <AppKeyRow
              key={row.key}
              app={app}
              row={row}
              pressing={bound === id}
              onPress={(wanted) => onBind(wanted ? id : null)}
            />
          )
        })}
      </ul>
    </PanelSection>
  )
}

function AppKeyRow({
  app,
  row: { key, keys, does },
  pressing,
  onPress,
}: {
  app: AppFacts
  row: AppKey
  pressing: boolean
  onPress(wanted: boolean): void
}) {
  const shelf = useShelf()
  const button = useBack(pressing)
  const small = 'grid size-6 shrink-0 place-items-center border border-seam hover:border-ink'
  const set = (to?: string) =>
    shelf.dispatch('keys.ofApp', { app: app.id, key, ...(to && { keys: to }) }, 'key')
  return (
    <li className="border-seam border-b border-dashed py-1.5 last:border-0">
      <div className="flex items-center gap-2">
        <span className="min-w-0 flex-1 first-letter:uppercase">{does}</span>
        {keys === key ? null : <span className="text-[11px] text-soft">own</span>}
        <Keys keys={keys} />
        {keys === key ? null : (
          <button
            type="button"
            className={small}
            aria-label={`Back to ${key} for ${does}`}
            title={`Back to ${key}`}
            onClick={() => set()}
          >
            <X size={12} aria-hidden />
          </button>
        )}
        <button
          ref={button}
          type="button"
          className={small}
          aria-label={`Keys for ${does} in ${app.name}`}
          aria-expanded={pressing}
          onClick={() => onPress(!pressing)}
        >
          <Pencil size={12} aria-hidden />
        </button>
      </div>
      {pressing ? <PressOne label={does} onPress={set} onDone={() => onPress(false)} /> : null}
    </li>
  )
}

/** Hears one key and puts it in the place of another; the panel tells what speaks against it. */
function PressOne({
  label,
  onPress,
  onDone,
}: {
  label: string
  onPress(keys: string): { ok: boolean }
  onDone(): void
}) {
  const shelf = useShelf()
  const field = useRef<HTMLDivElement>(null)
  useEffect(() => field.current?.focus(), [])
  const hear = (event: KeyboardEvent) => {
    const stroke = strokeOf(event.nativeEvent, layout(shelf))
    if (stroke === null || stroke === 'Tab' || stroke === 'Shift+Tab') return
    event.preventDefault()
    event.stopPropagation()
    if (stroke === 'Escape') return onDone()
    if (onPress(stroke).ok) onDone()
  }
  return (
    <div className="mt-1.5 border-2 border-ink border-dashed p-2">
      <div
        role="textbox"
        data-own-escape=""
        aria-label={`Key for ${label}`}
        tabIndex={0}
        ref={field}
        className="flex min-h-7 items-center text-soft outline-none"
        onKeyDown={hear}
      >
        press a key… Escape cancels
      </div>
    </div>
  )
}
