import { useEffect } from 'react'
import { every } from '@/store/clock'
import { expected } from '@/store/faults'
import { afterFirstMoments } from '@/store/idle'
import { notice, putAwayNotice } from '@/store/notices'
import { pointBefore } from '@/store/opening/opened'
import type { Shelf } from '@/store/shelf'
import { useShelf } from '@/store/useShelf'

/** How often it is asked whether the server has a newer one, in milliseconds. */
const ASKED_EVERY = 1_800_000

/** A newer Kite Shelf is offered, and loaded when it suits; until then the page goes on as it is. */
export function useUpdate(): void {
  const shelf = useShelf()
  useEffect(() => {
    if (process.env.NODE_ENV !== 'production') return
    const leaving = new AbortController()
    const ask = async () => {
      const newer = await isNewer()
      if (leaving.signal.aborted) return
      if (newer) offer(shelf)
      // It was told before this page was loaded, which is that one.
      else if (newer === false) putAwayNotice(shelf, NEWER)
    }
    afterFirstMoments(() => void ask(), leaving.signal)
    leaving.signal.addEventListener(
      'abort',
      every(shelf, ASKED_EVERY, () => void ask()),
    )
    return () => leaving.abort()
  }, [shelf])
}

/** What is told of it, until it is put away. */
const NEWER = 'newer'

/** Loads the newer one, after what is kept to go back to. */
export async function update(shelf: Shelf): Promise<void> {
  const newer = await isNewer()
  if (newer === null)
    return shelf.say('The server does not answer. Try again later.', { refused: true })
  if (!newer) return shelf.say('This is the newest Kite Shelf')
  // What is not written yet is written when the page is left.
  await pointBefore(shelf, 'Before the newer Kite Shelf')
  putAwayNotice(shelf, NEWER)
  location.reload()
}

const offer = (shelf: Shelf): void =>
  notice(shelf, {
    id: NEWER,
    text: 'A newer Kite Shelf is ready. What you have open stays as it is.',
    offers: { command: 'shelf.update', label: 'Load it' },
  })

/** Whether the server names other scripts than this page is made of; null where it doesn't answer. */
async function isNewer(): Promise<boolean | null> {
  const answer = await fetch('/offline.js', { cache: 'no-cache' }).catch(
    expected('there is no connection', null),
  )
  if (!answer?.ok) return null
  const named = await answer.text()
  const mine = [...document.scripts]
    .map(({ src }) => src && new URL(src).pathname)
    .filter((path) => path.startsWith('/_next/static/'))
  return mine.some((path) => !named.includes(path))
}
