import { appOf } from '@/apps/list'
import { keyCard } from '@/core/keys/card'
import { asPressed, LEADER } from '@/core/keys/sets'
import { useArrangement } from '@/store/shelf'
import { Dialog } from '@/ui/parts/Dialog'
import { Keys } from '@/ui/parts/Keys'

/** A first stroke that many have in common is written once. */
const OFTEN = 'Alt+Shift+; '

/** All keys on one page, made from the bindings as they are now. */
export function KeyCard() {
  const state = useArrangement((now) => now)
  const card = keyCard(state, (id) => appOf(id)?.name ?? id)
  const led = state.settings.keys === 'leader'
  const often = asPressed(OFTEN, state)
  const after = card.groups
    .flatMap(({ rows }) => rows)
    .filter(({ keys }) => keys.startsWith(often))
    .map(({ keys, does }) => ({ keys: keys.slice(often.length), does }))
  return (
    <Dialog
      title="Keys"
      intro={
        led
          ? `Press ${LEADER} and let it go, then what stands here: a verb, then a place. Ctrl+S needs nothing before it.`
          : 'Hold Alt and say a verb, then a place. After the first stroke of two, Alt may be let go.'
      }
      width={1600}
    >
      {/* Reached and scrolled by keys where the screen is too low for it. */}
      <section
        aria-label="All keys"
        tabIndex={0}
        className="mt-4 max-h-[calc(100vh-178px)] overflow-auto outline-none"
      >
        <div className="columns-4 gap-6 text-[12px] leading-[1.25] max-[1150px]:columns-3 min-[1600px]:columns-5 [&>section]:mb-2">
          <Group name="Verbs" rows={card.verbs} />
          <Group name="Places" rows={card.places} />
          {card.groups.map(({ name, rows }) => (
            <Group
              key={name}
              name={name}
              rows={rows.filter(({ keys }) => !keys.startsWith(often))}
            />
          ))}
          <Group name={`After ${withoutLeader(often).trim()}`} rows={after} />
        </div>
      </section>
    </Dialog>
  )
}

/** What all have in common is said once, above them. */
const withoutLeader = (keys: string): string =>
  keys.startsWith(`${LEADER} `) ? keys.slice(LEADER.length + 1) : keys

/** So many rows stay together. */
const LONG = 10

function Group({ name, rows }: { name: string; rows: { keys: string; does: string }[] }) {
  if (rows.length === 0) return null
  return (
    // A long one goes on in the next column.
    <section className={rows.length > LONG ? '' : 'break-inside-avoid'}>
      <h3 className="mb-1 break-after-avoid border-seam border-b-[1.5px] border-dashed pb-0.5 font-bold font-display text-[15px]">
        {name}
      </h3>
      <dl>
        {rows.map(({ keys, does }) => (
          <div key={keys} className="flex items-center justify-between gap-3 py-[2px]">
            <dd className="min-w-0">{does}</dd>
            <dt className="order-last">
              <Keys keys={withoutLeader(keys)} />
            </dt>
          </div>
        ))}
      </dl>
    </section>
  )
}
