import type { Platform } from '@/core/keys/kept'

/** Whether this is a Mac, where Option types characters. */
export const isMac = (): boolean => /Mac|iPhone|iPad/.test(navigator.userAgent)

/** The platform, as far as the browser tells. */
export function platform(): Platform {
  if (isMac()) return 'mac'
  return navigator.userAgent.includes('Windows') ? 'windows' : 'linux'
}
