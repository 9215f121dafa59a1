import { type CardGroup, shortRows } from '@/core/card/card'
import { Keys } from './Keys'

/** So many rows stay together. */
const LONG = 10
const isLong = ({ rows }: CardGroup): boolean => rows.length > LONG

/** The groups of a key card in columns. */
export function KeyGroups({ groups, className = '' }: { groups: CardGroup[]; className?: string }) {
  return (
    <div className={`key-groups ${className}`}>
      {groups.map((group) => (
        // A long one goes on in the next column, where what begins its keys is not in sight.
        <section key={group.name} className={isLong(group) ? '' : 'break-inside-avoid'}>
          <h3>
            {group.name}{' '}
            {group.begin && !isLong(group) ? (
              <Keys keys={`${group.begin.replace(/\+$/, '').trim()} …`} />
            ) : null}
          </h3>
          <dl>
            {(isLong(group) ? group.rows : shortRows(group)).map(({ keys, does }) => (
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
