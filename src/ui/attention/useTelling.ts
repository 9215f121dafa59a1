import { useEffect } from 'react'
import type { Waiting } from '@/core/model/kinds/waiting'
import { onTold } from '@/store/attention'
import { ofShelf } from '@/store/ofShelf'
import type { Shelf } from '@/store/shelf'
import { useShelf } from '@/store/useShelf'

/** From which level on something is heard, or told outside the page. */
const FROM: Record<string, number> = { none: 4, alarms: 3, mentions: 2, all: 1 }
const RANK: Record<Waiting['level'], number> = { info: 1, mention: 2, alarm: 3 }
/** The pitch of what is heard, in hertz: the more urgent, the higher. */
const PITCH: Record<Waiting['level'], number> = { info: 440, mention: 587, alarm: 880 }

/** What wants attention is heard and told by the browser, as far as the person wants it. */
export function useTelling(): void {
  const shelf = useShelf()
  useEffect(() => {
    const off = onTold(shelf, (fresh) => {
      const { sound, notify } = shelf.state().settings
      const most = fresh.toSorted((a, b) => RANK[b.level] - RANK[a.level])[0]
      if (!most) return
      if (RANK[most.level] >= (FROM[sound] ?? 4)) beep(shelf, PITCH[most.level])
      if (document.visibilityState === 'visible') return
      for (const { level, says, title } of fresh)
        if (RANK[level] >= (FROM[notify] ?? 4)) notifyOf(title, says)
    })
    // The browser is asked for its permission when it is first needed, and not before.
    let before = shelf.state().settings.notify
    const stop = shelf.page.subscribe(({ session: { state } }) => {
      const { notify } = state.settings
      if (notify === before) return
      if (before === 'none') void askPermission(shelf)
      before = notify
    })
    return () => {
      off()
      stop()
    }
  }, [shelf])
}

async function askPermission(shelf: Shelf): Promise<void> {
  if (typeof Notification === 'undefined')
    return shelf.say('This browser has no notifications; the line and the tab tell what waits.', {
      refused: true,
    })
  if ((await Notification.requestPermission()) !== 'granted')
    shelf.say(
      'The browser does not allow notifications for this page. Allow them in its settings.',
      {
        refused: true,
      },
    )
}

function notifyOf(title: string, says: string): void {
  if (typeof Notification === 'undefined' || Notification.permission !== 'granted') return
  const told = new Notification(title, { body: says, tag: title })
  told.onclick = () => focus()
}

const own = ofShelf(() => ({
  audio: undefined as AudioContext | undefined,
}))

/** A short soft tone. A browser that lets no page be heard before it was pushed stays silent. */
function beep(shelf: Shelf, pitch: number): void {
  const mine = own(shelf)
  mine.audio ??= new AudioContext()
  const { audio } = mine
  const tone = audio.createOscillator()
  const strength = audio.createGain()
  const at = audio.currentTime
  tone.frequency.value = pitch
  strength.gain.setValueAtTime(0.08, at)
  strength.gain.exponentialRampToValueAtTime(0.001, at + 0.25)
  tone.connect(strength).connect(audio.destination)
  tone.start(at)
  tone.stop(at + 0.26)
}
