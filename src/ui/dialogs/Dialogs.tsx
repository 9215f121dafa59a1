import { useShelf } from '@/store/shelf'
import { FullDialog } from '@/ui/full/FullDialog'
import { PairDialog } from '@/ui/full/PairDialog'
import { HomeDialog } from '@/ui/homes/HomeDialog'
import { HomesDialog } from '@/ui/homes/HomesDialog'
import { PutRightDialog } from '@/ui/homes/PutRightDialog'
import { WhyDialog } from '@/ui/homes/WhyDialog'
import { AddApp } from './AddApp'
import { ClearUp } from './ClearUp'
import { Errands } from './Errands'
import { ExportDocument } from './ExportDocument'
import { FoldPreview } from './FoldPreview'
import { ImportShelf } from './ImportShelf'
import { KeyCard } from './KeyCard'
import { LetterDialog } from './LetterDialog'
import { LookDialog } from './LookDialog'
import { SessionsDialog } from './SessionsDialog'
import { TitleDialog } from './TitleDialog'
import { UnsavedDialog } from './UnsavedDialog'

/** Whatever the last command asked to be shown. */
export function Dialogs() {
  const view = useShelf((shelf) => shelf.view)
  switch (view?.view) {
    case 'fold':
      return <FoldPreview {...view} />
    case 'unsaved':
      return <UnsavedDialog id={view.window} />
    case 'letter':
      return <LetterDialog id={view.desktop} />
    case 'look':
      return <LookDialog id={view.desktop} />
    case 'title':
      return <TitleDialog document={view.document} />
    case 'home':
      return <HomeDialog id={view.window} />
    case 'homes':
      return <HomesDialog />
    case 'why':
      return <WhyDialog id={view.window} />
    case 'pair':
      return <PairDialog id={view.window} />
    case 'full':
      return <FullDialog id={view.window} to={view.desktop} />
    case 'add app':
      return <AddApp />
    case 'sessions':
      return <SessionsDialog />
    case 'put right':
      return <PutRightDialog />
    case 'keys':
      return <KeyCard />
    case 'import shelf':
      return <ImportShelf />
    case 'export document':
      return <ExportDocument id={view.document} />
    case 'clear up':
      return <ClearUp />
    case 'open file':
    case 'export shelf':
    case 'export damaged':
    case 'keep folder':
    case 'save document':
    case 'copy reference':
    case 'rest':
    case 'rack':
    case 'apps':
      return <Errands view={view} />
    default:
      return null
  }
}
