import { allApps } from '@/apps/list'
import { capital } from '@/core/card/card'
import { exceptionCommand } from '@/core/commands/apps/exceptions'
import { excepted } from '@/core/model/exceptions'
import type { AppId } from '@/core/model/ids'
import { EXCEPTIONS } from '@/core/model/kinds/app'
import { CommandItem } from '@/parts/CommandItem'
import { SubMenu } from '@/parts/Menu'
import { useShelf } from '@/store/useShelf'

/** How the windows of an app are treated otherwise than others; pushed again it ends. */
export function Exceptions({ app }: { app: AppId }) {
  const shelf = useShelf()
  const state = shelf.state()
  const name = allApps(state.apps).find(({ id }) => id === app)?.name ?? 'this app'
  return (
    <SubMenu label={`For every window of ${name}`}>
      {EXCEPTIONS.map((exception) => (
        <CommandItem
          key={exception}
          command={exceptionCommand(exception)}
          args={{ app }}
          label={`${excepted(state, app, exception) ? '✓ ' : ''}${capital(exception)}`}
        />
      ))}
    </SubMenu>
  )
}
