import {
  AppWindow,
  ArrowRightToLine,
  Ellipsis,
  Grid3x3,
  LayoutDashboard,
  type LucideIcon,
  Minus,
  Rows3,
  Search,
  Send,
  Undo2,
} from 'lucide-react'
import { useMedia } from '@/parts/useMedia'
import { useArrangement, usePage, useShelf } from '@/store/useShelf'

interface Verb {
  says: string
  Sign: LucideIcon
  /** The command it gives; or the start of a sequence, after which one picks a desktop. */
  command?: string
  args?: object
  begins?: string
}

/** What chords say with a keyboard; the desktops themselves are gone to on the rack. */
const VERBS: Verb[] = [
  { says: 'Loft', Sign: Rows3, command: 'loft.open' },
  { says: 'Find', Sign: Search, command: 'line.open' },
  { says: 'Last', Sign: ArrowRightToLine, command: 'desktop.go', args: { to: 'last' } },
  { says: 'Send', Sign: Send, begins: 'Alt+]' },
  { says: 'Take along', Sign: AppWindow, begins: 'Alt+Shift' },
  { says: 'Place', Sign: Grid3x3, command: 'window.pad' },
  { says: 'Unstack', Sign: LayoutDashboard, command: 'unstack.open' },
  { says: 'Minimise', Sign: Minus, command: 'window.minimise' },
  { says: 'Undo', Sign: Undo2, command: 'history.undo' },
  { says: 'Menu', Sign: Ellipsis, command: 'shelf.menu' },
]

/** Where nothing points but fingers, there is most likely no keyboard either. */
const FINGERS = '(hover: none) and (pointer: coarse)'

/** The verbs to push, above the line, on screens without a keyboard. */
export function VerbBar() {
  const shelf = useShelf()
  const wanted = useArrangement((state) => state.settings.verbs)
  const fingers = useMedia(FINGERS)
  const pending = usePage((now) => now.pending)
  if (wanted === 'never' || (wanted === 'fingers' && !fingers)) return null
  const push = ({ command, args, begins }: Verb) => {
    if (command) shelf.dispatchAny(command, args)
    // Pushed again it is taken back.
    else shelf.page.setState({ pending: pending === begins ? '' : begins })
  }
  return (
    <section aria-label="Verbs">
      <div role="toolbar" aria-label="Verbs" className="verb-bar">
        {VERBS.map((verb) => (
          <button
            key={verb.says}
            type="button"
            className="verb"
            aria-pressed={verb.begins ? pending === verb.begins : undefined}
            onClick={() => push(verb)}
          >
            <verb.Sign size={18} aria-hidden />
            {verb.says}
          </button>
        ))}
      </div>
    </section>
  )
}
