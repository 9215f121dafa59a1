import { Trash2 } from 'lucide-react'
import { useState } from 'react'
import { appOf } from '@/apps/list'
import { BLANK } from '@/core/commands/desktops/patterns'
import type { Pattern } from '@/core/model/kinds/pattern'
import { currentId, desktop } from '@/core/model/selectors'
import { Answers } from '@/parts/Answers'
import { Dialog } from '@/parts/Dialog'
import { Field, Problem, useCommandForm } from '@/parts/form'
import { Kite } from '@/parts/Kite'
import { LongList } from '@/parts/LongList'
import { useArrangement, useShelf } from '@/store/useShelf'

/** Desktops to make others like: one is chosen, a name typed, and it is there. */
export function PatternsDialog({ pattern }: { pattern?: string }) {
  const shelf = useShelf()
  const patterns = useArrangement((state) => state.patterns)
  const here = useArrangement((state) => desktop(state, currentId(state)))
  const [chosen, setChosen] = useState(pattern ?? patterns[0]?.id ?? '')
  const found = patterns.find(({ id }) => id === chosen) ?? patterns[0]
  const form = useCommandForm('pattern', { name: '' }, ({ name }) =>
    found ? shelf.dispatch('pattern.make', { pattern: found.id, name }, 'key') : null,
  )
  return (
    <Dialog
      title="New from a pattern"
      intro={
        found
          ? `What you type stands for ${BLANK} in the titles of its windows.`
          : 'A pattern is a template for new desktops: apps, places and look. There are none yet.'
      }
      width={480}
    >
      <form {...form.ways}>
        {found ? (
          <>
            <LongList label="Patterns" className="mt-3 max-h-[34vh]">
              {patterns.map((one) => (
                <Row
                  key={one.id}
                  pattern={one}
                  chosen={one === found}
                  onChoose={() => setChosen(one.id)}
                />
              ))}
            </LongList>
            <div className="mt-3">
              <Field form={form} name="name" label="name" autoFocus placeholder={found.name} />
            </div>
            <Problem form={form} />
          </>
        ) : null}
        <div className="flex items-end">
          <button
            type="button"
            className="btn mt-4"
            disabled={here.kind !== 'open'}
            onClick={() => shelf.dispatch('pattern.keep', {}, 'key')}
          >
            Keep {here.name} as one
          </button>
          <span className="flex-1" />
          <Answers disabled={!found || !form.watch('name').trim()}>Make it</Answers>
        </div>
      </form>
    </Dialog>
  )
}

function Row({
  pattern: { id, name, look, windows },
  chosen,
  onChoose,
}: {
  pattern: Pattern
  chosen: boolean
  onChoose(): void
}) {
  const shelf = useShelf()
  const apps = windows.map(({ app, title }) => title || appOf(shelf, app)?.name || app).join(', ')
  return (
    <li className="flex items-center gap-2 border-seam border-b border-dashed last:border-0">
      <label className="flex min-h-10 min-w-0 flex-1 items-center gap-2.5">
        <input type="radio" name="pattern" checked={chosen} onChange={onChoose} />
        <Kite hue={look.hue} emblem={look.emblem} width={20} />
        <span className="flex min-w-0 flex-col leading-tight">
          <span dir="auto" className="truncate font-semibold" title={name}>
            {name}
          </span>
          <span dir="auto" className="truncate text-[12px] text-soft" title={apps}>
            {apps || 'no windows'}
          </span>
        </span>
      </label>
      <button
        type="button"
        aria-label={`Remove the pattern ${name}`}
        className="grid size-7 place-items-center text-soft hover:text-ink"
        onClick={() => shelf.dispatch('pattern.remove', { pattern: id }, 'key')}
      >
        <Trash2 size={13} aria-hidden />
      </button>
    </li>
  )
}
