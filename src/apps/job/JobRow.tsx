import { Pause, Play, Trash2 } from 'lucide-react'
import { Tool } from '@/parts/Tool'
import { useAllDocuments } from '@/store/documents/catalogue'
import { useShelf } from '@/store/useShelf'
import { open } from '../opening'
import type { Job } from './content'

const STATES: Record<Job['state'], string> = {
  waiting: 'waits',
  running: 'runs',
  paused: 'paused',
  done: 'done',
  failed: 'failed',
}

/** A job in the list: how far it is, and what can be done with it. */
export function JobRow({
  job,
  shown,
  onShow,
  onAct,
}: {
  job: Job
  shown: boolean
  onShow(): void
  onAct(action: 'pause' | 'go on' | 'drop'): void
}) {
  const share = Math.round((job.at / job.steps) * 100)
  return (
    <li data-job={job.id} className={`px-3 py-2 ${shown ? 'bg-ink/6' : ''}`}>
      <div className="flex items-center gap-2">
        <button
          type="button"
          aria-expanded={shown}
          className="min-w-0 flex-1 truncate text-left font-semibold"
          onClick={onShow}
        >
          {job.name}
        </button>
        <span className={job.state === 'failed' ? 'text-alarm' : 'text-soft'}>
          {STATES[job.state]} {share} %
        </span>
        {job.result ? <Result of={job.result} /> : null}
        {job.state === 'running' ? (
          <Tool label={`Pause ${job.name}`} onClick={() => onAct('pause')}>
            <Pause size={14} />
          </Tool>
        ) : null}
        {job.state === 'paused' ? (
          <Tool label={`Go on with ${job.name}`} onClick={() => onAct('go on')}>
            <Play size={14} />
          </Tool>
        ) : null}
        <Tool label={`Remove ${job.name}`} onClick={() => onAct('drop')}>
          <Trash2 size={14} />
        </Tool>
      </div>
      <div
        role="progressbar"
        aria-label={job.name}
        aria-valuenow={share}
        aria-valuemin={0}
        aria-valuemax={100}
        className="mt-1 h-2 border border-edge bg-ground"
      >
        <div
          className={job.state === 'failed' ? 'meter h-full bg-alarm' : 'meter h-full bg-ink'}
          style={{ width: `${share}%` }}
        />
      </div>
    </li>
  )
}

/** Opens what came out, unless that was deleted. */
function Result({ of }: { of: string }) {
  const shelf = useShelf()
  const info = useAllDocuments()[of]
  if (!info || info.discarded) return null
  return (
    <button type="button" className="btn min-h-7 px-2" onClick={() => open(shelf, info)}>
      Open result
    </button>
  )
}
