/** Addresses a link may have: of the web, of mail, of a document of the shelf, or beside it. */
export function isAllowedUri(address: string | undefined): boolean {
  const scheme = /^\s*([a-z][a-z0-9+.-]*):/i.exec(address ?? '')?.[1]?.toLowerCase()
  return scheme === undefined || ['http', 'https', 'mailto', 'kite'].includes(scheme)
}

/** What was typed as an address, in full: “www.example.org”, “duty@example.org”. */
export function addressOf(typed: string): string {
  const text = typed.trim()
  if (/^[a-z][a-z0-9+.-]*:/i.test(text) || /^[./#]/.test(text)) return text
  if (/^[^\s/@]+@[^\s/@]+\.[^\s/@]+$/.test(text)) return `mailto:${text}`
  return /^[^\s/]+\.\p{L}{2,}(?:[/?#]\S*)?$/u.test(text) ? `https://${text}` : text
}

/** Whether what is typed becomes a link by itself: nobody means “north.md” as an address. */
export const linksItself = (typed: string): boolean => /^(?:https?:\/\/|mailto:|www\.)/i.test(typed)
