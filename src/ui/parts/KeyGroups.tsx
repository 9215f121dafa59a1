import { type CardGroup, shortRows } from '@/core/keys/card'
import { Keys } from './Keys'

/** So many rows stay together. */
const LONG = 10

/** The groups of a key card in columns. */
export function KeyGroups({ groups, className = '' }: { groups: CardGroup[]; className?: string }) {
  return (
    <div className={`key-groups ${className}`}>
      {groups.map((group) => (
        // A long one goes on in the next column.
        <section key={group.name} className={group.rows.length > LONG ? '' : 'break-inside-avoid'}>
          <h3>
            {group.name}{' '}
            {group.begin ? <Keys keys={`${group.begin.replace(/\+$/, '').trim()} …`} /> : null}
          </h3>
          <dl>
            {shortRows(group).map(({ keys, does }) => (
              <div key={`${keys} ${does}`}>
                <dd dir="auto">{does}</dd>
                <dt>
                  <Keys keys={keys} />
                </dt>
              </div>
            ))}
          </dl>
        </section>
      ))}
    </div>
  )
}
