import { useShelf } from '@/store/shelf'
import { Errands } from './Errands'
import { FoldPreview } from './FoldPreview'
import { ImportShelf } from './ImportShelf'
import { KeyCard } from './KeyCard'
import { LetterDialog } from './LetterDialog'
import { LookDialog } from './LookDialog'
import { TitleDialog } from './TitleDialog'
import { UnsavedDialog } from './UnsavedDialog'

/** Whatever the last command asked to be shown. */
export function Dialogs() {
  const view = useShelf((shelf) => shelf.view)
  switch (view?.view) {
    case 'fold':
      return <FoldPreview desktops={view.desktops} into={view.into} />
    case 'unsaved':
      return <UnsavedDialog id={view.window} />
    case 'letter':
      return <LetterDialog id={view.desktop} />
    case 'look':
      return <LookDialog id={view.desktop} />
    case 'title':
      return <TitleDialog id={view.window} />
    case 'keys':
      return <KeyCard />
    case 'import shelf':
      return <ImportShelf />
    case 'open file':
    case 'export shelf':
    case 'save document':
    case 'export document':
      return <Errands view={view} />
    default:
      return null
  }
}
