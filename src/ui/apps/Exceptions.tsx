import { allApps } from '@/apps/list'
import { exceptionCommand } from '@/core/commands/exceptions'
import { capital } from '@/core/keys/card'
import { excepted } from '@/core/model/exceptions'
import { type AppId, EXCEPTIONS } from '@/core/model/types'
import { useShelf } from '@/store/useShelf'
import { CommandItem } from '@/ui/parts/CommandItem'
import { SubMenu } from '@/ui/parts/Menu'

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
