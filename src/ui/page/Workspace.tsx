'use client'
import { setNonce } from 'get-nonce'
import { useEffect, useLayoutEffect, useState } from 'react'
import { contentProblem } from '@/apps/contents'
import { APPS, appOf } from '@/apps/list'
import { mirroredOn } from '@/core/model/displays'
import { initialState } from '@/core/model/initial'
import { clockFrom, kept, keptElsewhere, shownBy } from '@/demo/clock'
import { Guarded } from '@/parts/Guarded'
import { isNarrow, LINE, rackWidth } from '@/parts/room'
import { setClock, timeOf } from '@/store/clock'
import { provideConsole } from '@/store/console'
import { openStores } from '@/store/disk/storage'
import { setHealth, whyFailed } from '@/store/health'
import { jot, jotted } from '@/store/jotted'
import { ofShelf } from '@/store/ofShelf'
import { forgetShelf } from '@/store/opening/aside'
import { type Seed, type Started, start, unstarted } from '@/store/opening/start'
import { followOutside } from '@/store/outside'
import { createShelf, type Shelf } from '@/store/shelf'
import { ShelfProvider, useArrangement, usePage, useShelf } from '@/store/useShelf'
import { locksOf } from '@/store/views/locks'
import { Afloat } from '@/ui/afloat/Afloat'
import { COLUMN } from '@/ui/area/area'
import { seat, sitAt, useSeat } from '@/ui/area/seat'
import { useTelling } from '@/ui/attention/useTelling'
import { Cover } from '@/ui/cover/Cover'
import { useFrameNeeded, useFullScreen } from '@/ui/desktop/useFullScreen'
import { useAdded } from '@/ui/files/useAdded'
import { useFiles } from '@/ui/files/useFiles'
import { Loading } from '@/ui/keeping/Loading'
import { Shut } from '@/ui/keeping/Shut'
import { Troubled } from '@/ui/keeping/Troubled'
import { useKeptPage } from '@/ui/keeping/useKeptPage'
import { useUpdate } from '@/ui/keeping/useUpdate'
import { useFrames } from '@/ui/keys/frames'
import { beginRelearning } from '@/ui/keys/relearn'
import { useKeys } from '@/ui/keys/useKeys'
import { Line } from '@/ui/line/Line'
import { OpenLine } from '@/ui/line/OpenLine'
import { OpenMenu } from '@/ui/menu/OpenMenu'
import { Notices } from '@/ui/notices/Notices'
import { useInstalled } from '@/ui/page/useInstalled'
import { useLink } from '@/ui/page/useLink'
import { usePointerWays } from '@/ui/pointer/usePointerWays'
import { Rack } from '@/ui/rack/Rack'
import { useLeftNote } from '@/ui/run/leftNotes'
import { Run } from '@/ui/run/Run'
import { useRunsHere } from '@/ui/run/useRunning'
import { useLongPush } from '@/ui/touch/useLongPush'
import { VerbBar } from '@/ui/touch/VerbBar'
import { Trail } from '@/ui/trail/Trail'
import { Asked } from './Asked'
import { Desktop } from './Desktop'
import { carryOut } from './effects'
import { PageMarks } from './PageMarks'

const seed = async (shelf: Shelf, name: string): Promise<Seed> => {
  if (name !== 'demo') return { state: initialState(), contents: {} }
  const { demo } = await import('@/demo/demo')
  // `?displays=one`: without the second display.
  const alone = new URLSearchParams(location.search).get('displays') === 'one'
  const column = alone || isNarrow() ? 0 : COLUMN
  const room = { width: innerWidth - rackWidth() - column, height: innerHeight - LINE }
  return demo(shelf.clock(), room, alone)
}

/** That this page takes the shelf over is remembered while it is loaded anew, with nothing of before. */
const TAKE = 'kite-shelf-take'

function takeOver(name: string): void {
  jot('sessionStorage', TAKE, name)
  location.reload()
}

/** The demo with a clock of its own is kept apart from the one that goes by the person's. */
const AT_A_TIME = 'demo-at'

/**
 * The shelf of a page, after its clock is set where the address asks for one. @returns its name, and
 * what is wrong with what was asked for
 */
async function askedClock(shelf: Shelf, name: string): Promise<{ name: string; problem?: string }> {
  const { search } = location
  const asked = name === 'demo' ? clockFrom(search, Date.now()) : null
  if (!asked) return { name }
  if ('problem' in asked) return { name, problem: asked.problem }
  const follows = seat(shelf).getState().fixed ? keptElsewhere() : null
  const { clock, begins } = follows ? { clock: follows, begins: false } : kept(asked, search)
  if (begins) await forgetShelf(shelf, AT_A_TIME)
  setClock(shelf, { now: () => Math.round(shownBy(clock, Date.now())), speed: clock.speed })
  return { name: AT_A_TIME }
}

const FACTS = APPS.map(({ id, name, plural, untitled, width, height, limits, keys }) => ({
  id,
  name,
  plural,
  untitled,
  width,
  height,
  limits,
  ...(keys && { keys }),
}))

/** Where a browser has no channels between its pages, nobody hears and nobody is heard. */
const channel = (name: string): BroadcastChannel =>
  typeof BroadcastChannel === 'undefined'
    ? ({ postMessage: () => {}, close: () => {} } as unknown as BroadcastChannel)
    : new BroadcastChannel(name)

const makeShelf = (): Shelf => {
  const shelf: Shelf = createShelf({
    stores: openStores,
    apps: FACTS,
    // One that is not known here is left as it is.
    contentProblem: (id, content) => {
      const app = appOf(shelf, id)
      return app ? contentProblem(app.contents, content) : null
    },
    clock: () => timeOf(shelf),
    channel,
    locks: locksOf(channel),
  })
  return shelf
}

const own = ofShelf(() => ({ started: null as Promise<Started> | null }))

/** Loads a shelf, once, however often it is asked. */
function begin(shelf: Shelf, name: string): Promise<Started> {
  const mine = own(shelf)
  mine.started ??= started(shelf, name)
  return mine.started
}

/** However a start fails, there is a page with what can be done. */
async function started(shelf: Shelf, name: string): Promise<Started> {
  tellTabs(shelf)
  try {
    const { name: called, problem } = await askedClock(shelf, name)
    beginRelearning(called)
    const take = jotted('sessionStorage', TAKE) === name
    jot('sessionStorage', TAKE, null)
    const result = await start(shelf, called, () => seed(shelf, name), take, seat(shelf).getState())
    if (problem) shelf.say(problem, { refused: true })
    return result
  } catch (error) {
    console.error(error)
    return unstarted(shelf, name, `Kite Shelf could not start. ${whyFailed(error)}`)
  }
}

/** Tabs that do not hear of each other would write over what the other has written. */
function tellTabs(shelf: Shelf): void {
  const hear = typeof BroadcastChannel !== 'undefined'
  const says = hear
    ? 'Tabs and windows of this shelf stay in step.'
    : 'This browser keeps tabs apart. Open this shelf in one tab only.'
  setHealth(shelf, 'tabs', { is: hear ? 'good' : 'amiss', says })
}

interface Which {
  name: string
  nonce: string
  /** The one display this page shows; else it is the main view. */
  display?: string
}

/** The whole of one shelf: `demo`, or the person's `own`; or one display of it. */
export function Workspace(which: Which) {
  const [shelf] = useState(makeShelf)
  return (
    <ShelfProvider value={shelf}>
      <Begun {...which} />
    </ShelfProvider>
  )
}

/** What there is to see of a shelf: itself, or why it is not shown. */
function Begun({ name, nonce, display }: Which) {
  const shelf = useShelf()
  const [result, setResult] = useState<Started | null>(null)
  const ready = usePage((page) => page.ready)
  const takenOver = usePage((page) => page.takenOver)
  useEffect(() => {
    // Style sheets made at run time carry the page's nonce.
    setNonce(nonce)
    if (display) sitAt(shelf, display)
    void begin(shelf, name).then(setResult)
  }, [shelf, name, nonce, display])
  if (takenOver || result === 'elsewhere' || result === 'silent')
    return <Shut display={display} silent={result === 'silent'} onUse={() => takeOver(name)} />
  if (ready) return <Open name={name} />
  if (typeof result === 'object' && result) return <Troubled trouble={result} />
  return <Loading />
}

function Open({ name }: { name: string }) {
  const shelf = useShelf()
  useTelling()
  useKeys()
  useFrames()
  usePointerWays()
  useLongPush()
  useKeptPage()
  useUpdate()
  useLeftNote()
  useAdded()
  useFiles()
  useLink()
  useInstalled()
  const full = useFullScreen()
  const { fixed, rack: wanted } = useSeat()
  const runs = useRunsHere()
  const needed = useFrameNeeded()
  const bare = (runs || full) && !needed
  const rack = !bare && wanted
  useEffect(() => provideConsole(shelf), [shelf])
  useLayoutEffect(
    () => shelf.provideEffects((effect) => carryOut(shelf, effect)),
    [shelf.provideEffects, shelf],
  )
  useEffect(() => followOutside(shelf), [shelf])
  return (
    <div
      className={`grid h-full ${
        bare
          ? 'grid-cols-1 grid-rows-1'
          : !rack
            ? 'grid-cols-1 grid-rows-[minmax(0,1fr)_auto]'
            : 'with-rack grid-rows-[minmax(0,1fr)_auto]'
      }`}
    >
      {/* First, so that it hears keys before all else. */}
      <Cover name={name} />
      {rack ? (
        <>
          <div className="title-bar" />
          <Rack name={name} />
        </>
      ) : null}
      {fixed ? <FixedDesktop /> : <Desktop />}
      {bare ? null : (
        <div className="col-span-2 flex min-w-0 flex-col">
          <VerbBar />
          <Line />
        </div>
      )}
      <Guarded name="The run">
        <Run />
      </Guarded>
      <Notices />
      <Guarded name="The line afloat">
        <Afloat />
      </Guarded>
      <PageMarks />
      <Guarded name="What was asked">
        <Asked />
      </Guarded>
      <Guarded name="The line">
        <OpenLine />
      </Guarded>
      <Guarded name="The trail">
        <Trail />
      </Guarded>
      <Guarded name="The menu" onFail={() => shelf.page.setState({ menu: null })}>
        <OpenMenu />
      </Guarded>
      <Announcer />
    </div>
  )
}

/** One display in a window of its own; unplugged, it says so. */
function FixedDesktop() {
  const { display } = useSeat()
  const there = useArrangement(
    (state) => state.displays[display]?.connected || mirroredOn(state, display) !== undefined,
  )
  if (there) return <Desktop />
  return (
    <main id="desktop" tabIndex={-1} className="grid place-items-center outline-none">
      <p className="text-soft">
        This display is not plugged in. Plug it in where displays are arranged, or close this
        window.
      </p>
    </main>
  )
}

/** How many announcements stay: two that come at once are both read. */
const ANNOUNCED = 4

/** Tells people who do not see the page what happens, one line after the other. */
function Announcer() {
  const shelf = useShelf()
  const [lines, setLines] = useState([{ text: shelf.page.getState().announced, at: 0 }])
  useEffect(
    () =>
      shelf.page.subscribe(({ announced: text }, before) => {
        if (text && text !== before.announced)
          setLines((now) => [...now, { text, at: (now.at(-1)?.at ?? 0) + 1 }].slice(-ANNOUNCED))
      }),
    [shelf.page.subscribe],
  )
  return (
    <div aria-live="polite" className="sr-only">
      {lines.map(({ text, at }) => (
        <p key={at}>{text}</p>
      ))}
    </div>
  )
}
