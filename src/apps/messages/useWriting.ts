import { useEffect, useState } from 'react'

/** Who has not written any more for so long has stopped, in milliseconds. */
const STOPPED_AFTER = 10_000

/** The thread somebody is writing in. */
export function useWriting() {
  const [writing, setWriting] = useState<string | null>(null)
  useEffect(() => {
    if (writing === null) return
    const timer = setTimeout(() => setWriting(null), STOPPED_AFTER)
    return () => clearTimeout(timer)
  }, [writing])
  return [writing, setWriting] as const
}
