import type { LucideIcon, LucideProps } from 'lucide-react'
import { forwardRef } from 'react'
import type { OwnApp } from '@/core/model/kinds/app'
import { ownFacts } from '@/core/model/ownApps'
import type { Shelf } from '@/store/shelf'
import type { AppManifest } from './contract'
import { countdown } from './countdown/manifest'
import { document } from './document/manifest'
import { drawer } from './drawer/manifest'
import { job } from './job/manifest'
import { keycard } from './keycard/manifest'
import { log } from './log/manifest'
import { messages } from './messages/manifest'
import { player } from './player/manifest'
import { reader } from './reader/manifest'
import { sums } from './sums/manifest'
import { table } from './table/manifest'
import { watch } from './watch/manifest'
import { web } from './web/manifest'

/** The apps that ship with Kite Shelf, in the order they are offered. */
export const APPS: AppManifest[] = [
  document,
  table,
  reader,
  countdown,
  messages,
  job,
  player,
  web,
  drawer,
  sums,
  keycard,
  log,
  watch,
]

/** All apps there are: those that ship with Kite Shelf, then those the person added. */
export const allApps = (own: Record<string, OwnApp>): AppManifest[] => [
  ...APPS,
  ...Object.values(own).map((app) => ownManifest(app)),
]

export function appOf(shelf: Shelf, id: string): AppManifest | undefined {
  const own = shelf.state().apps[id]
  return APPS.find((app) => app.id === id) ?? (own && ownManifest(own))
}

const made = new WeakMap<OwnApp, AppManifest>()

/** A web page window that begins at the address of the app, with its icon where it has one. */
function ownManifest(own: OwnApp): AppManifest {
  let manifest = made.get(own)
  if (!manifest) {
    const glyph = own.icon ? iconOf(own.icon) : web.glyph
    manifest = { ...web, ...ownFacts(own), glyph }
    made.set(own, manifest)
  }
  return manifest
}

const iconOf = (source: string): LucideIcon =>
  forwardRef<SVGSVGElement, LucideProps>(({ size = 16 }, ref) => (
    <svg ref={ref} aria-hidden width={size} height={size} viewBox="0 0 16 16">
      <image href={source} width="16" height="16" />
    </svg>
  ))
