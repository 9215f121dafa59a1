import { Play, Trash2 } from 'lucide-react'
import { useState } from 'react'
import { keysFor } from '@/core/keys/bindings'
import type { Deed, Sequence } from '@/core/model/kinds/sequence'
import { timeOfDay } from '@/parts/Facts'
import { Problem, useCommandForm } from '@/parts/form'
import { Keys } from '@/parts/Keys'
import { PanelSection } from '@/parts/PanelSection'
import { SidePanel } from '@/parts/SidePanel'
import { useArrangement, usePage, useShelf } from '@/store/useShelf'

/** What was done last becomes a command of one's own, with a name and keys. */
export function SequencesPanel() {
  const sequences = useArrangement((state) => state.sequences)
  return (
    <SidePanel title="Sequences">
      <p className="mt-1 text-soft">
        Tick what you did, in its order, and give it a name: from then on it is one command, undone
        in one step. It stops with the reason where something cannot be done.
      </p>
      <Record />
      <PanelSection name="Kept">
        {sequences.length === 0 ? <p className="mt-1.5 text-soft">None yet.</p> : null}
        <ul>
          {sequences.map((sequence) => (
            <Kept key={sequence.id} sequence={sequence} />
          ))}
        </ul>
      </PanelSection>
    </SidePanel>
  )
}

function Record() {
  const shelf = useShelf()
  const done = usePage((page) => page.done)
  const [ticked, setTicked] = useState<number[]>([])
  const tick = (at: number) =>
    setTicked(ticked.includes(at) ? ticked.filter((other) => other !== at) : [...ticked, at])
  const form = useCommandForm(
    'sequence',
    { name: '' },
    ({ name }) => {
      const deeds = done
        .filter(({ at }) => ticked.includes(at))
        .map(({ command, args }): Deed => ({ command, args }))
      const outcome = shelf.dispatch('sequence.keep', { name, deeds }, 'key')
      if (outcome.ok) setTicked([])
      return outcome
    },
    true,
  )
  return (
    <PanelSection name="What you did last">
      {done.length === 0 ? (
        <p className="mt-1.5 text-soft">Nothing yet since this page was opened.</p>
      ) : null}
      <form {...form.ways}>
        <ol className="mt-1.5 max-h-[38vh] overflow-auto">
          {done.map(({ says, at }) => (
            <li key={at}>
              <label className="flex min-h-7 items-center gap-2">
                <input type="checkbox" checked={ticked.includes(at)} onChange={() => tick(at)} />
                <span dir="auto" className="min-w-0 flex-1 truncate" title={says}>
                  {says}
                </span>
                <span className="shrink-0 font-mono text-[11px] text-soft">{timeOfDay(at)}</span>
              </label>
            </li>
          ))}
        </ol>
        <div className="mt-2 flex gap-2">
          <input
            aria-label="Name of the sequence"
            placeholder="its name"
            className="field min-w-0 flex-1"
            {...form.register('name')}
          />
          <button
            type="submit"
            className="btn btn-main"
            disabled={ticked.length === 0 || !form.watch('name').trim()}
          >
            Keep {ticked.length || ''}
          </button>
        </div>
        <Problem form={form} />
      </form>
    </PanelSection>
  )
}

function Kept({ sequence: { id, name, deeds } }: { sequence: Sequence }) {
  const shelf = useShelf()
  const keys = useArrangement((state) => keysFor(state, 'sequence.run', { sequence: id }))
  return (
    <li className="flex items-center gap-2 border-seam border-b border-dashed py-1.5 last:border-0">
      <span dir="auto" title={name} className="min-w-0 flex-1 truncate">
        {name} <span className="text-soft">· {deeds.length} in turn</span>
      </span>
      <button
        type="button"
        className="flex items-center gap-1 text-soft hover:text-ink"
        onClick={() => shelf.dispatch('keys.open', { find: name }, 'key')}
      >
        {keys ? <Keys keys={keys} /> : 'give it keys'}
      </button>
      <button
        type="button"
        aria-label={`Run ${name}`}
        className="grid size-6 place-items-center border border-seam hover:border-ink"
        onClick={() => shelf.dispatch('sequence.run', { sequence: id }, 'key')}
      >
        <Play size={12} aria-hidden />
      </button>
      <button
        type="button"
        aria-label={`Remove ${name}`}
        className="grid size-6 place-items-center text-soft hover:text-ink"
        onClick={() => shelf.dispatch('sequence.remove', { sequence: id }, 'key')}
      >
        <Trash2 size={13} aria-hidden />
      </button>
    </li>
  )
}
