import { Component, type ComponentType, lazy, memo, type ReactNode, Suspense } from 'react'
import type { AppProps } from '@/apps/contract'
import { appOf } from '@/apps/list'

const components = new Map<string, ComponentType<AppProps>>()

/** An app's component, loaded when its first window opens. */
function componentOf(app: string): ComponentType<AppProps> | null {
  const manifest = appOf(app)
  if (!manifest) return null
  const known = components.get(app) ?? lazy(manifest.load)
  components.set(app, known)
  return known
}

/** What a window shows. An app that fails takes only its own window with it. */
export const Content = memo(function Content({ app, ...props }: AppProps & { app: string }) {
  const App = componentOf(app)
  if (!App) return <p className="m-auto p-4 text-soft">There is no app called “{app}” here.</p>
  return (
    <Guard>
      <Suspense>
        <App {...props} />
      </Suspense>
    </Guard>
  )
})

class Guard extends Component<{ children: ReactNode }, { failed: boolean }> {
  override state = { failed: false }

  static getDerivedStateFromError() {
    return { failed: true }
  }

  override render() {
    if (!this.state.failed) return this.props.children
    return (
      <div className="m-auto flex flex-col items-center gap-3 p-4">
        <p>This app stopped. What it showed is kept.</p>
        <button type="button" className="btn" onClick={() => this.setState({ failed: false })}>
          Start it again
        </button>
      </div>
    )
  }
}
