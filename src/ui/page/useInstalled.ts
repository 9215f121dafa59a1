import { useEffect } from 'react'
import { useWaits } from '@/store/attention'
import { cameFrom } from '@/store/disk/handles'
import { expected } from '@/store/faults'
import { useShelf } from '@/store/useShelf'
import { openFiles } from '@/ui/files/openFiles'
import { add } from '@/ui/files/useAdded'
import { follow } from './useLink'

/** What the browser has for pages that are installed; not all have it. */
interface Installed {
  launchQueue?: { setConsumer(told: (launch: Launch) => void): void }
}

/** Someone opened the application, a file in it, or something through it. */
interface Launch {
  targetURL?: string
  files?: readonly FileSystemFileHandle[]
}

/** Of an installed shelf: what it is opened with, and how much waits on its icon. */
export function useInstalled(): void {
  const shelf = useShelf()
  const { length } = useWaits().list
  useEffect(() => {
    const { launchQueue } = window as Installed
    // The address the page began with was followed by the page itself.
    let begun = performance.getEntriesByType('navigation')[0]?.name
    launchQueue?.setConsumer(({ targetURL, files = [] }) => {
      if (files.length > 0)
        void Promise.all(
          files.map(async (one) => cameFrom(await one.getFile(), Promise.resolve(one))),
        ).then(
          (all) => openFiles(shelf, all),
          () => shelf.say('Those files can’t be read. Nothing was changed.', { refused: true }),
        )
      const again = targetURL === begun
      begun = undefined
      if (again || !targetURL) return
      const { searchParams, hash } = new URL(targetURL)
      if (!add(shelf, searchParams)) follow(shelf, hash)
    })
  }, [shelf])
  useEffect(() => {
    const set = length > 0 ? navigator.setAppBadge?.(length) : navigator.clearAppBadge?.()
    set?.catch(expected('it is not installed'))
  }, [length])
}
