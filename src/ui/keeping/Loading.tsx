import { useEffect, useState } from 'react'
import { useWaitsFor } from '@/store/starting'

/** A start that takes longer than this says what it waits for, in milliseconds. */
const SAID_AFTER = 2000

/** Before the shelf is there: nothing at first, for it mostly comes at once. */
export function Loading() {
  const what = useWaitsFor()
  const [long, setLong] = useState(false)
  useEffect(() => {
    const timer = setTimeout(() => setLong(true), SAID_AFTER)
    return () => clearTimeout(timer)
  }, [])
  return (
    <main className="grid h-full place-items-center" aria-busy="true" aria-label="Loading">
      <p role="status" className="text-soft">
        {long ? `Opening the shelf. Waiting for ${what ?? 'the browser'}…` : ''}
      </p>
    </main>
  )
}
