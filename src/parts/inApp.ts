import { createContext } from 'react'
import type { AppId } from '@/core/model/ids'

/** The app whose window something is drawn in; none outside of windows. */
export const InApp = createContext<AppId | null>(null)
