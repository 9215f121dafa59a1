import { useMemo } from 'react'
import { isWhole } from '@/core/card/bindable'
import { registry } from '@/core/commands/registry'
import { leadsTo, WAYS, type Way } from '@/core/keys/ways'
import { PUSH_TIME } from '@/core/model/kinds/binding'
import { allWords } from '@/core/text/plain'
import { PanelSection } from '@/parts/PanelSection'
import { useArrangement, useShelf } from '@/store/useShelf'
import { AmountField } from './AmountField'
import { TryOut } from './TryOut'

const WORDS = 'pointer mouse wheel swipe side button corner edge push time trigger gesture touch'

/** The ways of the pointer that have all words of a query. */
export function searchWays(query: string): Way[] {
  const has = allWords(query)
  return WAYS.filter(({ id, pushed }) => has(`${id} ${pushed ? 'pushed' : ''} ${WORDS}`))
}

const PLACES = {
  next: 'Go to the next desktop',
  previous: 'Go to the previous desktop',
  above: 'Go to the desktop above',
  below: 'Go to the desktop below',
  last: 'Go to the desktop before this one',
  back: 'Go back through the desktops',
  forward: 'Go forward again',
}

type Offered = [value: string, label: string][]

/** All that a way can lead to: the places one goes to, and every command that needs no more said. */
const allOffered = (): Offered => [
  ...Object.entries(PLACES).map(([to, label]): [string, string] => [
    asValue('desktop.go', { to }),
    label,
  ]),
  ...[...registry.values()]
    .filter(isWhole)
    .map(({ id, title }): [string, string] => [asValue(id, {}), title.replace(/…$/, '')])
    .sort(([, one], [, other]) => one.localeCompare(other)),
]

function asValue(command: string, args: object): string {
  return JSON.stringify([command, args])
}

/** What the pointer's ways do; each can be given any command, or nothing. */
export function Ways({ ways }: { ways: Way[] }) {
  const offered = useMemo(allOffered, [])
  if (ways.length === 0) return null
  return (
    <PanelSection name="Pointer">
      {ways.map((way) => (
        <WayRow key={way.id} way={way} offered={offered} />
      ))}
      {ways.some(({ pushed }) => pushed) ? <TryOut /> : null}
    </PanelSection>
  )
}

const PUSH = {
  section: 'Windows' as const,
  label: 'Push time',
  help: '',
  words: '',
  default: PUSH_TIME.first,
  ...PUSH_TIME,
  unit: ['millisecond', 'milliseconds'] as [string, string],
  zero: '',
  offered: [250, 400, 800],
}

function WayRow({ way: { id, pushed }, offered }: { way: Way; offered: Offered }) {
  const shelf = useShelf()
  const bindings = useArrangement((state) => state.bindings)
  const led = leadsTo(bindings, id)
  const now = led ? asValue(led.command, led.args) : ''
  const known = !now || offered.some(([value]) => value === now)
  const set = (value: string) => {
    const [command, args] = value
      ? (JSON.parse(value) as [string, Record<string, unknown>])
      : [null, {}]
    shelf.dispatch('pointer.set', { way: id, command, args }, 'key')
  }
  return (
    <div className="setting" data-way={id}>
      <label className="grid grid-cols-[128px_minmax(0,1fr)] items-center gap-2">
        <span className="first-letter:uppercase">{id}</span>
        <select className="field min-w-0" value={now} onChange={({ target }) => set(target.value)}>
          <option value="">does nothing</option>
          {known ? null : <option value={now}>{led?.command}</option>}
          {offered.map(([value, label]) => (
            <option key={value} value={value}>
              {label}
            </option>
          ))}
        </select>
      </label>
      {pushed && led ? (
        <div className="ml-[136px]">
          <AmountField
            setting={PUSH}
            value={led.time}
            onSet={(time) => shelf.dispatch('pointer.set', { way: id, time }, 'key')}
            aria-label={`Push time of the ${id}`}
          />
        </div>
      ) : null}
    </div>
  )
}
