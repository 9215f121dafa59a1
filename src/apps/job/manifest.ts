import { ListChecks } from 'lucide-react'
import type { AppManifest } from '../contract'
import { JOBS, type JobContent } from './content'

export const job: AppManifest<JobContent> = {
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
  contents: JOBS,
  load: () => import('./Jobs'),
}
