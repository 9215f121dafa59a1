import type { ReactNode } from 'react'
import { beatenBy, twinOf } from '@/core/homes/clashes'
import { homeInWords } from '@/core/homes/words'
import { HERE, type Home, NAMED } from '@/core/model/kinds/home'
import { EVERY } from '@/core/model/kinds/window'
import { desktop } from '@/core/model/selectors'
import type { State } from '@/core/model/state'
import { weekBegins } from '@/core/text/week'
import { useArrangement } from '@/store/useShelf'
import { type HomeDraft, NEW_HOME } from './useHomeDraft'

const DAYS = ['Su', 'Mo', 'Tu', 'We', 'Th', 'Fr', 'Sa']

/** The days of the week from the one it begins with where the person is; Sunday is 0. */
const week = (): number[] => DAYS.map((_, at) => (weekBegins(navigator.language) + at) % 7)

interface Fields {
  draft: HomeDraft
  set(change: Partial<HomeDraft>): void
}

/** What a home says, field by field, above it the sentence that it makes. */
export function HomeFields({
  draft,
  home,
  plural,
  set,
}: Fields & {
  /** The home the draft makes, or what is wrong with it. */
  home: Home | string
  plural: string
}) {
  const state = useArrangement((now) => now)
  return (
    <div className="mt-3 flex flex-col gap-3">
      <p role="status" className="border-2 border-ink border-dashed px-3 py-2 font-semibold">
        {typeof home === 'string' ? home : homeInWords(home, plural, state)}
      </p>
      {typeof home === 'string' ? null : <Effect home={home} plural={plural} state={state} />}
      <Which draft={draft} plural={plural} set={set} />
      <Where draft={draft} state={state} set={set} />
      <When draft={draft} state={state} set={set} />
      {draft.place ? (
        <Line label="Place">
          in its part of the pad
          <button type="button" className="btn" onClick={() => set({ place: undefined })}>
            Any place
          </button>
        </Line>
      ) : null}
    </div>
  )
}

/** The windows it is for. */
function Which({ draft, plural, set }: Fields & { plural: string }) {
  return (
    <Line label="Which">
      <label className="flex items-center gap-1.5">
        <input
          type="radio"
          name="which"
          checked={!draft.titled}
          onChange={() => set({ titled: false })}
        />
        all {plural}
      </label>
      <label className="flex items-center gap-1.5">
        <input
          type="radio"
          name="which"
          checked={draft.titled}
          onChange={() => set({ titled: true })}
        />
        titled
      </label>
      <input
        aria-label="Pattern of the title"
        className="field min-w-0 flex-1"
        // What is offered is not taken for what holds.
        value={draft.titled ? (draft.title ?? '') : ''}
        placeholder={draft.title || 'Station*'}
        onChange={(event) => set({ title: event.target.value, titled: true })}
      />
    </Line>
  )
}

/** Where they open. */
function Where({ draft, state, set }: Fields & { state: State }) {
  const displays = Object.values(state.displays)
  return (
    <>
      <Line label="Open on">
        <select
          aria-label="Open on"
          className="field w-52"
          value={draft.desktop}
          onChange={(event) => set({ desktop: event.target.value })}
        >
          {state.order.map((id) => (
            <option key={id} value={id}>
              {desktop(state, id).name}
            </option>
          ))}
          <option value={HERE}>the current desktop</option>
          <option value={EVERY}>every desktop</option>
          <option value={NAMED}>a desktop named…</option>
        </select>
        {draft.desktop === NAMED ? (
          <input
            aria-label="Name of the desktop to make"
            className="field min-w-0 flex-1"
            value={draft.name ?? ''}
            onChange={(event) => set({ name: event.target.value })}
          />
        ) : null}
        <label className="flex items-center gap-1.5">
          <input
            type="checkbox"
            checked={draft.follow}
            onChange={() => set({ follow: !draft.follow })}
          />
          take me there
        </label>
      </Line>
      {displays.length > 1 ? (
        <Line label="Display">
          <select
            aria-label="Display"
            className="field w-52"
            value={draft.display ?? ''}
            onChange={(event) => set({ display: event.target.value || undefined })}
          >
            <option value="">any</option>
            {displays.map(({ id, name }) => (
              <option key={id} value={id}>
                {name}
              </option>
            ))}
          </select>
        </Line>
      ) : null}
    </>
  )
}

/** When it holds: by day, by time, and by what is plugged in. */
function When({ draft, state, set }: Fields & { state: State }) {
  const displays = Object.values(state.displays)
  return (
    <>
      <Line label="Only on">
        {week().map((day) => (
          <label key={day} className="flex items-center gap-1">
            <input
              type="checkbox"
              checked={draft.days?.includes(day) ?? false}
              onChange={() => set({ days: toggled(draft.days ?? [], day) })}
            />
            {DAYS[day]}
          </label>
        ))}
      </Line>
      <Line label="Only from">
        <Clock label="From" value={draft.from} onChange={(from) => set({ from })} />
        to
        <Clock label="To" value={draft.to} onChange={(to) => set({ to })} />
      </Line>
      {displays.length > 1 ? (
        <Line label="Only with">
          {displays.map(({ id, name }) => (
            <label key={id} className="flex min-w-0 items-center gap-1">
              <input
                type="checkbox"
                checked={draft.displays?.includes(id) ?? false}
                onChange={() => set({ displays: toggled(draft.displays ?? [], id) })}
              />
              <span className="max-w-36 truncate" title={name}>
                {name}
              </span>
            </label>
          ))}
          plugged in
        </Line>
      ) : null}
    </>
  )
}

/** What other homes make of this one, before it is set. */
function Effect({ home, plural, state }: { home: Home; plural: string; state: State }) {
  const twin = twinOf(state.homes, home)
  const winner = twin ?? beatenBy(state.homes, home)
  if (!winner) return null
  const said = homeInWords(winner, plural, state)
  return (
    <p role="alert" className="text-alarm">
      {twin
        ? `They have a home already: “${said}”. ${home.id === NEW_HOME ? 'This one takes its place.' : 'Remove one of the two.'}`
        : `It would have no effect: “${said}” always comes first. Give this one more conditions, or change that one.`}
    </p>
  )
}

function toggled<T extends number | string>(all: T[], one: T): T[] | undefined {
  const next = all.includes(one) ? all.filter((other) => other !== one) : [...all, one].sort()
  return next.length ? next : undefined
}

function Line({ label, children }: { label: string; children: ReactNode }) {
  return (
    <div className="flex flex-wrap items-center gap-2.5">
      <span className="w-20 shrink-0 text-soft">{label}</span>
      {children}
    </div>
  )
}

function Clock({
  label,
  value,
  onChange,
}: {
  label: string
  value: string
  onChange(value: string): void
}) {
  return (
    <input
      aria-label={label}
      className="field w-20 font-mono"
      placeholder="06:30"
      value={value}
      onChange={(event) => onChange(event.target.value)}
    />
  )
}
