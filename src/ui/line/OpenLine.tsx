import { Command } from 'cmdk'
import { useEffect, useMemo, useRef, useState } from 'react'
import { allApps, appOf } from '@/apps/list'
import { useForms } from '@/apps/useForms'
import { followers } from '@/core/card/card'
import { aboutHere, desktopsFor, everything, type Found, newFile } from '@/core/finding/find'
import { prepare, rank } from '@/core/finding/rank'
import { sentences } from '@/core/finding/verbs'
import { keysFor, THIS } from '@/core/keys/bindings'
import { asPressed } from '@/core/keys/sets'
import { currentId } from '@/core/model/selectors'
import { plain } from '@/core/text/plain'
import { copyText } from '@/parts/clipboard'
import { Keys } from '@/parts/Keys'
import { Kite } from '@/parts/Kite'
import { bringBack, useAllDocuments } from '@/store/documents/catalogue'
import { folderBy, useFolderFiles } from '@/store/documents/folders'
import { showPassage } from '@/store/documents/passages'
import { useLooked } from '@/store/documents/texts'
import { logged } from '@/store/faults'
import { whenIdle } from '@/store/idle'
import type { Shelf } from '@/store/shelf'
import { useArrangement, usePage, useShelf } from '@/store/useShelf'
import { lookInFolders } from '@/ui/files/folder'
import { isPossible } from '@/ui/keys/possible'
import { useChosen } from '@/ui/keys/useChosen'
import { sumOf } from './sums'

const NAMES = {
  windows: 'Windows',
  desktops: 'Desktops',
  apps: 'Apps',
  documents: 'Recent documents',
  files: 'Files',
  commands: 'Commands',
  settings: 'Settings',
  stowed: 'Stowed',
}

/** The line opened upward: find anything, run any command. */
export function OpenLine() {
  const view = usePage((page) => (page.view?.view === 'line' ? page.view : null))
  return view ? <Field about={view.about === true} /> : null
}

const keyOf = (found: Found) => `${found.kind}:${found.id}`

/** @param about whether only what can be done with this window and desktop is found */
function Field({ about }: { about: boolean }) {
  const shelf = useShelf()
  const state = useArrangement((now) => now)
  const [typed, setTyped] = useState('')
  const [asking, setAsking] = useState<Found | null>(null)
  const [moved, setMoved] = useState<{ from: Found | undefined; to: string } | null>(null)
  // Enter came before the texts were looked through: what is found first is picked then.
  const [hasty, setHasty] = useState(false)
  const box = useRef<HTMLDivElement>(null)
  const { results, pending, looked } = useResults(about, asking, typed)
  const kinds = [...new Set(results.map(({ kind }) => kind))]
  const first = results[0]
  const forms = useForms()
  const sum = asking ? null : sumOf(typed, forms)
  // With each new list the first is chosen, in the same moment: Enter must not pick what was first before.
  const chosen = moved && moved.from === first ? moved.to : first ? keyOf(first) : ''
  useChosen(results.find((result) => keyOf(result) === chosen)?.window ?? null)
  const pick = (found: Found) => {
    setHasty(false)
    if (!found.asks) return void carryOut(shelf, found)
    setAsking(found)
    setTyped('')
  }
  useEffect(() => {
    if (pending || !hasty) return
    if (first) pick(first)
    else if (looked) {
      setHasty(false)
      if (sum) copySum(shelf, sum)
    }
  })
  return (
    <Command
      ref={box}
      role="dialog"
      label="Line"
      aria-label="Line"
      shouldFilter={false}
      loop
      value={chosen}
      onValueChange={(to) => setMoved({ from: first, to })}
      className="rise fixed bottom-[42px] left-1/2 z-40 flex max-h-[70vh] w-[640px] max-w-[calc(100vw-32px)] -translate-x-1/2 flex-col border-2 border-ink bg-panel outline-none"
      onKeyDown={(event) => {
        if (event.key === 'Enter' && sum && !first && looked && !pending) {
          event.preventDefault()
          copySum(shelf, sum)
        } else if (event.key === 'Enter' && (pending || (!first && !looked))) {
          event.preventDefault()
          setHasty(true)
        }
        if (event.key !== 'Escape') return
        event.preventDefault()
        if (asking) setAsking(null)
        else shelf.closeView()
      }}
      onBlur={(event) => {
        if (event.relatedTarget && !box.current?.contains(event.relatedTarget)) shelf.closeView()
      }}
    >
      <Command.List className="min-h-0 flex-1 overflow-auto p-2" label="Results">
        {results.length === 0 ? (
          <p className="px-2 py-3 text-soft">
            {sum
              ? 'Enter copies it.'
              : looked && !pending
                ? 'Nothing found. Try fewer or other words.'
                : 'Looking…'}
          </p>
        ) : null}
        {kinds.map((kind) => {
          const some = results.filter((found) => found.kind === kind)
          return some.length ? (
            <Command.Group
              key={kind}
              heading={asking ? 'Where to' : NAMES[kind]}
              className="mb-1 [&_[cmdk-group-heading]]:px-2 [&_[cmdk-group-heading]]:py-1 [&_[cmdk-group-heading]]:font-semibold [&_[cmdk-group-heading]]:text-[12px] [&_[cmdk-group-heading]]:text-soft"
            >
              {some.map((found) => (
                <Result key={keyOf(found)} found={found} onPick={() => pick(found)} />
              ))}
            </Command.Group>
          ) : null
        })}
      </Command.List>
      <div className="flex items-center gap-3 border-seam border-t-[1.5px] border-dashed px-3 py-2">
        {asking ? <b className="shrink-0">{asking.title}</b> : null}
        <Command.Input
          autoFocus
          value={typed}
          onValueChange={setTyped}
          placeholder={
            asking
              ? 'a desktop'
              : about
                ? 'what to do with this window or desktop'
                : 'a window, desktop, app, document or command'
          }
          className="min-w-0 flex-1 bg-transparent text-[15px] outline-none"
        />
        {sum ? <output className="shrink-0 font-mono font-semibold">= {sum}</output> : null}
        <span className="flex shrink-0 items-center gap-1.5 text-soft">
          <Keys keys="Enter" /> {asking ? 'there' : 'go or run'}{' '}
          <Keys keys={`${asPressed('Alt+]', state)} …`} /> send
        </span>
      </div>
    </Command>
  )
}

/**
 * What is found by what is typed.
 * @param asking what asks for a desktop
 */
function useResults(about: boolean, asking: Found | null, typed: string) {
  const shelf = useShelf()
  const state = useArrangement((now) => now)
  const documents = useAllDocuments()
  const ids = useMemo(() => Object.keys(documents), [documents])
  const looked = useLooked(about ? null : ids, typed)
  const files = useFolderFiles()
  useEffect(() => void lookInFolders(shelf).catch(logged('Folders of desktops')), [shelf])
  const all = useMemo(() => {
    if (asking) return desktopsFor(state, asking.command, asking.args)
    return about
      ? possibleHere(shelf)
      : everything(state, { apps: allApps(state.apps), documents, files })
  }, [state, documents, files, asking, about, shelf])
  useEffect(() => whenIdle(() => prepare(all), 300), [all])
  // What is found in texts is a moment behind: until it is there, what was found before stays.
  const pending = !asking && !about && looked !== null && looked.typed !== typed
  const last = useRef<Found[]>([])
  const results = useMemo(() => {
    if (pending) return last.current
    if (asking || about) return typed ? rank(all, typed) : all
    const said = sentences(state, allApps(state.apps), plain(typed.trim()))
    const found = rank(all, typed, { said, ...(looked && { hits: looked.hits }) })
    return [...found, ...newHere(shelf, typed.trim(), found)]
  }, [all, typed, asking, about, state, looked, pending, shelf])
  last.current = results
  return { results, pending, looked: looked !== null }
}

/** A file of that name, where the desktop has a folder and none is called so. */
function newHere(shelf: Shelf, typed: string, found: readonly Found[]): Found[] {
  const desktop = currentId(shelf.state())
  const folder = folderBy(shelf, desktop)
  const there = found.some(({ kind, title }) => kind === 'files' && title === typed)
  if (!folder || there || !/^[^/\\]+\.(md|csv|txt)$/i.test(typed)) return []
  return [newFile(typed, { desktop, folder: folder.name })]
}

function copySum(shelf: Shelf, sum: string): void {
  shelf.closeView()
  void copyText(shelf, sum, `Copied ${sum}`)
}

/** Goes to what was found or does it; a document may have been put away, and is fetched first. */
async function carryOut(shelf: Shelf, found: Found): Promise<void> {
  shelf.closeView()
  try {
    if (found.kind === 'documents') await bringBack(shelf, [found.id])
  } catch {
    return shelf.say('It cannot be read now. Try again.', { refused: true })
  }
  const done = shelf.dispatchAny(found.command, found.args, 'key').ok
  if (done && found.document && found.passage?.match)
    showPassage(shelf, found.document, found.passage.match)
}

/** What keys say of this window and desktop, as far as it can be done now. */
function possibleHere(shelf: Shelf): Found[] {
  const state = shelf.state()
  const groups = followers(
    state,
    THIS,
    (id) => appOf(shelf, id)?.name ?? id,
    ({ command, args }) => isPossible(shelf, command, args),
  )
  // What has a direction is said with an arrow.
  const rows = groups.flatMap((group) => group.rows).filter(({ keys }) => !keys.endsWith('arrows'))
  return aboutHere(rows.map(({ command, args = {}, does }) => ({ command, args, does })))
}

function Result({ found, onPick }: { found: Found; onPick(): void }) {
  const shelf = useShelf()
  const lives = useArrangement(({ desktops }) => desktops[found.desktop ?? ''])
  const keys = useArrangement((state) => keysFor(state, found.command, found.args))
  const Glyph = found.app ? appOf(shelf, found.app)?.glyph : undefined
  return (
    <Command.Item
      value={keyOf(found)}
      onSelect={onPick}
      className="flex min-h-8 flex-wrap items-center gap-x-2.5 px-2 aria-selected:bg-ink/10 aria-selected:shadow-[inset_2px_0_0_var(--ink)]"
    >
      {Glyph ? <Glyph size={16} aria-hidden className="shrink-0" /> : null}
      {found.kind === 'desktops' && lives ? (
        <Kite hue={lives.hue} letter={lives.letter} width={18} />
      ) : null}
      <span dir="auto" className="min-w-0 flex-1 truncate text-left" title={found.title}>
        {found.title}
      </span>
      <span className="ml-auto flex shrink-0 items-center gap-2 text-soft">
        {found.kind === 'windows' ? (
          lives ? (
            <>
              <Kite hue={lives.hue} letter={lives.letter} width={16} />
              {lives.name}
            </>
          ) : (
            'every desktop'
          )
        ) : null}
        {found.place}
        {found.on === undefined ? null : found.on ? 'on' : 'off'}
        {keys ? <Keys keys={keys} /> : null}
      </span>
      {found.passage ? (
        <span
          className="w-full truncate pb-1 pl-6.5 text-[12px] text-soft"
          title={`${found.passage.before}${found.passage.match}${found.passage.after}`}
        >
          {found.passage.before}
          <b className="text-ink">{found.passage.match}</b>
          {found.passage.after}
        </span>
      ) : null}
    </Command.Item>
  )
}
