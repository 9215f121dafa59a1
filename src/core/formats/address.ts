/** What is served on this machine is mostly served plainly. */
const isThisMachine = (text: string): boolean =>
  /^(localhost|[\w-]+\.localhost|127(\.\d{1,3}){3}|\[::1\])(:\d+)?([/?#]|$)/i.test(text)

/**
 * What was typed as a web address: https is added where no scheme is given (http for this machine); a path stands for a
 * page that ships with Kite Shelf.
 * @returns the address, or a sentence that says what is wrong
 */
export function addressOf(typed: string): { href: string } | { problem: string } {
  const text = typed.trim()
  if (!text) return { problem: 'Type an address, such as example.org.' }
  const scheme = /^([a-z][a-z0-9+.-]*):/i.exec(text)?.[1]?.toLowerCase()
  const port = /^[^/]+:\d+(\/|$)/.test(text)
  if (scheme && !port && scheme !== 'http' && scheme !== 'https')
    return { problem: `Only http and https pages can be shown, not ${scheme}:.` }
  if (text.startsWith('/') && !text.startsWith('//')) return { href: text }
  const full = scheme && !port ? text : `${isThisMachine(text) ? 'http' : 'https'}://${text}`
  try {
    // Browsers differ in what they make of a space in the name of a site.
    if (/\s/.test(full.split(/[/?#]/, 3).join('/'))) throw new Error('space')
    const { href, hostname } = new URL(full)
    if (hostname) return { href }
  } catch {
    // Told below.
  }
  return { problem: `“${text}” is not an address. Write it as example.org/page.` }
}
