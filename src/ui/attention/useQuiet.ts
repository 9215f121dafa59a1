import { useEffect, useReducer } from 'react'
import { isQuiet } from '@/core/attention/waiting'
import type { DesktopId } from '@/core/model/ids'
import { after } from '@/store/clock'
import { useDesktop, useShelf } from '@/store/useShelf'

/** Whether a desktop is quiet now; a quiet that ends by itself ends here too. */
export function useQuiet(id: DesktopId): boolean {
  const shelf = useShelf()
  const { quiet } = useDesktop(id, ['quiet'])
  const [, wake] = useReducer((count: number) => count + 1, 0)
  useEffect(() => {
    if (!quiet?.on || quiet.until === undefined) return
    return after(shelf, Math.max(0, quiet.until - shelf.clock()) + 10, wake)
  }, [shelf, quiet])
  return isQuiet({ quiet }, shelf.clock())
}
