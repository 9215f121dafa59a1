import { addressOf } from '@/parts/dataAddress'
/**
 * The fonts that are in use on the page, as style rules with the fonts in them: a picture is a file
 * by itself. Only the parts of them that were loaded, for only those are needed.
 */
export async function fontRules(): Promise<string> {
  const loaded = new Set(
    [...document.fonts]
      .filter(({ status }) => status === 'loaded')
      .map((font) => keyOf(font.family, font.unicodeRange)),
  )
  const rules = [...document.styleSheets].flatMap((sheet) =>
    faces(sheet)
      .filter((face) => loaded.has(keyOf(of(face, 'font-family'), of(face, 'unicode-range'))))
      .map((face) => embedded(face, sheet.href ?? location.href)),
  )
  return (await Promise.all(rules)).join('\n')
}

const faces = (sheet: CSSStyleSheet): CSSFontFaceRule[] =>
  [...sheet.cssRules].filter((rule) => rule instanceof CSSFontFaceRule)

const of = (face: CSSFontFaceRule, property: string): string =>
  face.style.getPropertyValue(property)

const keyOf = (family: string, range: string): string =>
  `${family.replace(/["']/g, '')} ${range.replace(/\s/g, '').toUpperCase()}`

/** The rule with its file instead of the address of it. */
async function embedded(face: CSSFontFaceRule, base: string): Promise<string> {
  const address = /url\(["']?([^"')]+)["']?\)/.exec(of(face, 'src'))?.[1]
  if (!address) return ''
  const file = await (await fetch(new URL(address, base))).blob()
  const data = await addressOf(file)
  return face.cssText.replace(/url\([^)]+\)/, `url(${data})`)
}
