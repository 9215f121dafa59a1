import { usePage } from '@/store/useShelf'
import { AddApp } from '@/ui/apps/AddApp'
import { QuietDialog } from '@/ui/attention/QuietDialog'
import { WaitingDialog } from '@/ui/attention/WaitingDialog'
import { BindingsPanel } from '@/ui/bindings/BindingsPanel'
import { DealDialog } from '@/ui/desktop/DealDialog'
import { LetterDialog } from '@/ui/desktop/LetterDialog'
import { ArrangeDialog } from '@/ui/displays/ArrangeDialog'
import { ClearUp } from '@/ui/documents/ClearUp'
import { ExportDocument } from '@/ui/documents/ExportDocument'
import { TitleDialog } from '@/ui/documents/TitleDialog'
import { UnsavedDialog } from '@/ui/documents/UnsavedDialog'
import { FileDialog } from '@/ui/files/FileDialog'
import { LockShelf } from '@/ui/files/LockShelf'
import { FoldPreview } from '@/ui/fold/FoldPreview'
import { HealthSheet } from '@/ui/health/HealthSheet'
import { AppHomeDialog, HomeDialog } from '@/ui/homes/HomeDialog'
import { HomesDialog } from '@/ui/homes/HomesDialog'
import { PutRightDialog } from '@/ui/homes/PutRightDialog'
import { WhyDialog } from '@/ui/homes/WhyDialog'
import { FolderDialog } from '@/ui/import/FolderDialog'
import { ImportShelf } from '@/ui/import/ImportShelf'
import { KeyCard } from '@/ui/keys/KeyCard'
import { LogDialog } from '@/ui/log/LogDialog'
import { CopyLook } from '@/ui/look/CopyLook'
import { LookPanel } from '@/ui/look/LookPanel'
import { FullDialog } from '@/ui/pair/FullDialog'
import { PairDialog } from '@/ui/pair/PairDialog'
import { PastDialog } from '@/ui/past/PastDialog'
import { PatternsDialog } from '@/ui/patterns/PatternsDialog'
import { DrawArea } from '@/ui/pictures/DrawArea'
import { ImportCalendar } from '@/ui/plan/ImportCalendar'
import { PlanPanel } from '@/ui/plan/PlanPanel'
import { Practice } from '@/ui/practice/Practice'
import { RestoreDialog } from '@/ui/restore/RestoreDialog'
import { RunsPanel } from '@/ui/run/RunsPanel'
import { SequencesPanel } from '@/ui/sequences/SequencesPanel'
import { SessionsDialog } from '@/ui/sessions/SessionsDialog'
import { SettingsPanel } from '@/ui/settings/SettingsPanel'

/** Whatever the last command asked to be shown. */
export function Asked() {
  const view = usePage((page) => page.view)
  switch (view?.view) {
    case 'displays':
      return <ArrangeDialog />
    case 'bindings':
      return <BindingsPanel {...view} />
    case 'practice':
      return <Practice />
    case 'plan':
      return <PlanPanel />
    case 'lock shelf':
      return <LockShelf />
    case 'log':
      return <LogDialog />
    case 'past':
      return <PastDialog />
    case 'import calendar':
      return <ImportCalendar {...view} />
    case 'runs':
      return <RunsPanel />
    case 'patterns':
      return <PatternsDialog {...view} />
    case 'waiting':
      return <WaitingDialog />
    case 'quiet':
      return <QuietDialog id={view.desktop} />
    case 'sequences':
      return <SequencesPanel />
    case 'settings':
      return <SettingsPanel {...view} />
    case 'fold':
      return <FoldPreview {...view} />
    case 'unsaved':
      return <UnsavedDialog id={view.window} />
    case 'letter':
      return <LetterDialog id={view.desktop} />
    case 'deal letters':
      return <DealDialog />
    case 'look':
      return <LookPanel id={view.desktop} />
    case 'copy look':
      return <CopyLook id={view.desktop} />
    case 'title':
      return <TitleDialog document={view.document} />
    case 'draw area':
      return <DrawArea format={view.format} />
    case 'home of app':
      return <AppHomeDialog app={view.app} />
    case 'home':
      return <HomeDialog id={view.window} />
    case 'homes':
      return <HomesDialog />
    case 'why':
      return <WhyDialog id={view.window} />
    case 'pair':
      return <PairDialog id={view.window} />
    case 'full':
      return <FullDialog id={view.window} to={view.desktop} along={view.along} />
    case 'add app':
      return <AddApp />
    case 'folder':
      return <FolderDialog />
    case 'restore points':
      return <RestoreDialog />
    case 'sessions':
      return <SessionsDialog />
    case 'put right':
      return <PutRightDialog />
    case 'keys':
      return <KeyCard {...view} />
    case 'import shelf':
      return <ImportShelf />
    case 'export document':
      return <ExportDocument id={view.document} />
    case 'file':
      return <FileDialog key={view.document} document={view.document} />
    case 'health':
      return <HealthSheet />
    case 'clear up':
      return <ClearUp />
    default:
      return null
  }
}
