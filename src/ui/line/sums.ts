import { worked } from '@/apps/sums/worked'
import type { Forms } from '@/core/formula/value'

/** What a sum that was typed comes to; null for what is none, such as a name, a number or a date. */
export function sumOf(typed: string, forms: Forms): string | null {
  if (!/\d/.test(typed) || !/[-+−*×/÷^%(]/.test(typed)) return null
  const [result] = worked(typed, forms, 0)
  if (!result || 'problem' in result || typeof result.value !== 'number') return null
  // A number alone, such as −5, is no sum.
  return /^[-+−]?[\d.,\s]+%?$/.test(typed.trim()) ? null : result.shown
}
