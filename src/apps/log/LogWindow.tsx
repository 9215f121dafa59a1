import { changeContent } from '@/store/documents/documents'
import { useShelf } from '@/store/useShelf'
import type { AppProps } from '../contract'
import { useShownContent } from '../useContents'
import { LOG } from './content'
import { Log } from './Log'

/** The log to keep in sight, as it was last looked at. */
export default function LogWindow({ document: id }: AppProps) {
  const shelf = useShelf()
  const content = useShownContent(LOG, id)
  if (!content) return null
  return (
    <div className="flex h-full flex-col p-3 text-[13px]">
      <Log content={content} onChange={(to) => changeContent(shelf, id, to, 'saved')} />
    </div>
  )
}
