import { useState } from 'react'
import { LOG } from '@/apps/log/content'
import { Log } from '@/apps/log/Log'
import { Dialog } from '@/parts/Dialog'
import { JustDone } from '@/parts/JustDone'
import { Keys } from '@/parts/Keys'
import { useMedia } from '@/parts/useMedia'
import { useShelf } from '@/store/useShelf'

/** The log above the desktop, beginning with today. */
export function LogDialog() {
  const shelf = useShelf()
  const wide = useMedia('(min-width: 1700px)')
  const [content, setContent] = useState(LOG.empty)
  const keep = () => {
    shelf.closeView()
    shelf.dispatch('app.launch', { app: 'log' }, 'key')
  }
  return (
    <Dialog title="Log" width={wide ? 1440 : 1080}>
      <div className="mt-3 flex h-[min(70vh,1000px)] flex-col">
        <Log content={content} onChange={setContent}>
          <button type="button" className="text-[12px] text-soft hover:text-ink" onClick={keep}>
            keep it in a window
          </button>
          <JustDone />
          <button type="button" className="btn btn-main ml-auto" onClick={shelf.closeView}>
            Done <Keys keys="Esc" />
          </button>
        </Log>
      </div>
    </Dialog>
  )
}
