import { command, no, type Refusal, type Result, type View } from '@/core/commands/command'
import type { State } from '@/core/model/state'

const group = 'Shelf' as const

/** Commands that only ask the page to show something. */
export const opens = <Id extends string>(
  view:
    | 'keys'
    | 'line'
    | 'loft'
    | 'clear up'
    | 'import shelf'
    | 'lock shelf'
    | 'sessions'
    | 'folder'
    | 'menu'
    | 'displays'
    | 'health',
  id: Id,
  title: string,
) => command({ id, title, group, step: false, plan: () => ({ show: { view } }) })

/** Commands that only ask the page to do something at once. */
export const does = <Id extends string>(
  effect:
    | 'open file'
    | 'export shelf'
    | 'export damaged'
    | 'keep folder'
    | 'allow files'
    | 'update'
    | 'rack'
    | 'apps'
    | 'full screen'
    | 'cover'
    | 'float',
  id: Id,
  title: string,
) => command({ id, title, group, step: false, plan: () => ({ effect: { does: effect } }) })

/** What shows windows has to have some. */
export const whereWindows = ({ windows }: State, show: View): Result | Refusal =>
  Object.keys(windows).length > 0 ? { show } : no('There are no windows yet.')
