import { appOf } from '@/apps/list'
import { keyCard } from '@/core/keys/card'
import { useArrangement } from '@/store/shelf'
import { Dialog } from '@/ui/parts/Dialog'
import { Keys } from '@/ui/parts/Keys'

/** All keys on one page, made from the bindings as they are now. */
export function KeyCard() {
  const state = useArrangement((now) => now)
  const card = keyCard(state, (id) => appOf(id)?.name ?? id)
  return (
    <Dialog
      title="Keys"
      intro="Hold Alt and say a verb, then a place. After the first stroke of two, Alt may be let go."
      width={1060}
    >
      <div className="mt-4 columns-3 gap-7 [&>section]:mb-4 [&>section]:break-inside-avoid">
        <Group name="Verbs" rows={card.verbs} />
        <Group name="Places" rows={card.places} />
        {card.groups.map(({ name, rows }) => (
          <Group key={name} name={name} rows={rows} />
        ))}
      </div>
    </Dialog>
  )
}

function Group({ name, rows }: { name: string; rows: { keys: string; does: string }[] }) {
  return (
    <section>
      <h3 className="mb-1 border-seam border-b-[1.5px] border-dashed pb-0.5 font-bold font-display text-[15px]">
        {name}
      </h3>
      <dl>
        {rows.map(({ keys, does }) => (
          <div key={keys} className="flex items-center justify-between gap-3 py-[2.5px]">
            <dd className="min-w-0">{does}</dd>
            <dt className="order-last">
              <Keys keys={keys} />
            </dt>
          </div>
        ))}
      </dl>
    </section>
  )
}
