import { ListChecks } from 'lucide-react'
import { array, number, object, string } from 'yup'
import { count, listById, text } from '../contents'
import type { AppManifest } from '../contract'

export const job: AppManifest = {
  id: 'job',
  name: 'Job',
  plural: 'jobs',
  untitled: 'Jobs',
  glyph: ListChecks,
  width: 460,
  height: 380,
  limits: { minWidth: 320, minHeight: 220 },
  opens: [],
  worksUnseen: true,
  drafts: false,
  content: object({
    jobs: listById(
      object({
        id: string().required(),
        name: text(),
        steps: number().integer().min(1).max(1e6).required(),
        at: count(),
        state: string().oneOf(['waiting', 'running', 'paused', 'done', 'failed']).required(),
        log: array(text()).required(),
        fails: number(),
        why: string(),
      }),
    ),
  }),
  load: () => import('./Jobs'),
}
