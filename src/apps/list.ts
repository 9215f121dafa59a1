import type { AppManifest } from './contract'
import { countdown } from './countdown/manifest'
import { document } from './document/manifest'
import { reader } from './reader/manifest'
import { table } from './table/manifest'

/** The apps that ship with Kite Shelf, in the order they are offered. */
export const APPS: AppManifest[] = [document, table, reader, countdown]

export const appOf = (id: string): AppManifest | undefined => APPS.find((app) => app.id === id)
