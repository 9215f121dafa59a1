import { addressOf } from './address'

/** An app as a file describes it. */
export interface DescribedApp {
  name: string
  address: string
  icon?: string
  /** Whether the address is only a path: a file of this kind need not name its site. */
  relative?: boolean
}

/** Says in a sentence what is wrong with a file that should describe an app. */
export class BadAppFile extends Error {}

/** Reads either kind of file by what it looks like. @throws BadAppFile */
export const readAppFile = (text: string): DescribedApp =>
  text.trimStart().startsWith('{') ? readWebManifest(text) : readDesktopEntry(text)

/**
 * A web app manifest: its name, its start address, and an icon where one is embedded. (Web
 * Application Manifest, W3C.) Most give the start as a path of their site; which one it is the file
 * does not say.
 * @throws BadAppFile
 */
function readWebManifest(text: string): DescribedApp {
  let parsed: unknown
  try {
    parsed = JSON.parse(text)
  } catch {
    throw new BadAppFile('it is not JSON')
  }
  const manifest = parsed as Record<string, unknown>
  const name = [manifest.name, manifest.short_name].find(isText)
  if (!name) throw new BadAppFile('it gives no name (“name” or “short_name”)')
  const starts = [manifest.start_url, manifest.scope, manifest.id].filter(isText)
  const start = starts.find((one) => /^https?:/i.test(one)) ?? starts[0]
  if (!start) throw new BadAppFile('it does not say where it begins (“start_url”)')
  const relative = !/^[a-z][a-z0-9+.-]*:/i.test(start) && !start.startsWith('//')
  const icons = Array.isArray(manifest.icons) ? manifest.icons : []
  const icon = icons
    .map((one: unknown) => (one as { src?: unknown } | null)?.src)
    .find((src): src is string => isText(src) && src.startsWith('data:image/'))
  return {
    name: name.trim().slice(0, 40),
    ...(relative ? { address: start, relative } : { address: checked(start) }),
    ...(icon && { icon }),
  }
}

/**
 * A desktop entry: a link, or a program that is given a web address. (Desktop Entry
 * Specification, freedesktop.org.)
 * @throws BadAppFile naming the line where it can
 */
function readDesktopEntry(text: string): DescribedApp {
  const fields: Record<string, string> = {}
  let within = false
  for (const [at, raw] of text.split(/\r?\n/).entries()) {
    const line = raw.trim()
    if (!line || line.startsWith('#')) continue
    if (line.startsWith('[')) {
      within = line === '[Desktop Entry]'
      continue
    }
    const split = line.indexOf('=')
    if (split < 1) throw new BadAppFile(`line ${at + 1} is neither a group nor a key with a value`)
    if (within) fields[line.slice(0, split).trim()] ??= line.slice(split + 1).trim()
  }
  if (Object.keys(fields).length === 0)
    throw new BadAppFile('it has no group [Desktop Entry], and it is not JSON either')
  const { Name: name, URL: url, Exec: exec = '', Icon: icon } = fields
  if (!name) throw new BadAppFile('its [Desktop Entry] gives no Name')
  const address = url ?? /https?:\/\/[^\s"']+/.exec(exec)?.[0]
  if (!address) throw new BadAppFile('it is no link: it gives no URL, and none in Exec')
  return {
    name: name.slice(0, 40),
    address: checked(address),
    ...(icon?.startsWith('data:image/') && { icon }),
  }
}

const isText = (value: unknown): value is string => typeof value === 'string' && value.trim() !== ''

function checked(address: string): string {
  const found = addressOf(address)
  if ('problem' in found) throw new BadAppFile(`its address cannot be used. ${found.problem}`)
  return found.href
}
