import { boolean, number, string } from 'yup'
import { GAP_MOST } from '@/core/model/types'
import { settingsInWords } from '@/core/settings/choices'
import { command } from './command'

const group = 'Shelf' as const

const setting = command({
  id: 'settings.set',
  title: 'Change a setting',
  group,
  args: {
    wrap: boolean(),
    wrapRows: boolean(),
    trail: string().oneOf(['all', 'here'] as const),
    launch: string().oneOf(['go', 'here'] as const),
    restAfter: number().integer().min(0).max(1440),
    keys: string().oneOf(['alt', 'leader'] as const),
    cloth: string().oneOf(['system', 'day', 'night'] as const),
    fullScreen: boolean(),
    inspector: boolean(),
    flip: number().integer().min(0).max(5000),
    outside: boolean(),
    elsewhere: string().oneOf(['focus', 'swap', 'here'] as const),
    gap: number().integer().min(0).max(GAP_MOST),
  },
  run: (draft, given) => {
    const before = { ...draft.settings }
    Object.assign(draft.settings, given)
    return { say: settingsInWords(before, draft.settings) }
  },
})

const inspector = command({
  id: 'shelf.inspector',
  title: 'Show or hide the inspector',
  group,
  run: (draft) => {
    draft.settings.inspector = !draft.settings.inspector
    return { say: draft.settings.inspector ? 'Inspector shown' : 'Inspector hidden' }
  },
})

export const settingCommands = [inspector, setting]
