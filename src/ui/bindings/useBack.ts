import { useEffect, useRef } from 'react'

/** Where the keys go back to when what was open below a button is shut. */
export function useBack(open: boolean) {
  const button = useRef<HTMLButtonElement>(null)
  const was = useRef(open)
  useEffect(() => {
    if (was.current && !open) button.current?.focus()
    was.current = open
  }, [open])
  return button
}
