import { useEffect, useReducer } from 'react'
import { isQuiet } from '@/core/attention/waiting'
import type { DesktopId } from '@/core/model/ids'
import { useDesktop } from '@/store/useShelf'

/** Whether a desktop is quiet now; a quiet that ends by itself ends here too. */
export function useQuiet(id: DesktopId): boolean {
  const { quiet } = useDesktop(id, ['quiet'])
  const [, wake] = useReducer((count: number) => count + 1, 0)
  useEffect(() => {
    if (!quiet?.on || quiet.until === undefined) return
    const timer = setTimeout(wake, Math.max(0, quiet.until - Date.now()) + 10)
    return () => clearTimeout(timer)
  }, [quiet])
  return isQuiet({ quiet }, Date.now())
}
