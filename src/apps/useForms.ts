import { useMemo } from 'react'
import type { Forms } from '@/core/formula/value'
import { formsOf } from '@/core/settings/forms'
import { useArrangement } from '@/store/useShelf'

/** How numbers and dates are written here. */
export function useForms(): Forms {
  const numbers = useArrangement(({ settings }) => settings.numbers)
  const days = useArrangement(({ settings }) => settings.days)
  return useMemo(() => formsOf({ numbers, days }, navigator.language), [numbers, days])
}
