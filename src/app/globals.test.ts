import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import { LINES, SIGN } from '@/core/look/look'
import { HUES } from '@/core/model/kinds/look'
import { LINE, NARROW, rackWidth } from '@/parts/room'

const css = ['tokens', 'desktop']
  .map((name) => readFileSync(join(__dirname, `styles/${name}.css`), 'utf8'))
  .join('\n')

/** A token's day and night colours, as the style sheet has them. */
function token(name: string, from = css): [day: string, night: string] {
  const found = new RegExp(`${name}:\\s*light-dark\\((#\\w{6}),\\s*(#\\w{6})\\)`).exec(from)
  if (!found?.[1] || !found[2]) throw new Error(`${name} is not in the style sheet`)
  return [found[1], found[2]]
}

const hue = (name: string) => token('--h', css.slice(css.indexOf(`.hue-${name} {`)))

function luminance(hex: string): number {
  const [r, g, b] = [1, 3, 5].map((at) => {
    const value = Number.parseInt(hex.slice(at, at + 2), 16) / 255
    return value <= 0.04045 ? value / 12.92 : ((value + 0.055) / 1.055) ** 2.4
  })
  return 0.2126 * (r ?? 0) + 0.7152 * (g ?? 0) + 0.0722 * (b ?? 0)
}

/** Contrast ratio of two colours (WCAG 2.2). */
function contrast(a: string, b: string): number {
  const [low, high] = [luminance(a), luminance(b)].sort((x, y) => x - y)
  return ((high ?? 0) + 0.05) / ((low ?? 0) + 0.05)
}

test.each([...HUES])('the letter on a kite of %s is legible on day and night cloth', (name) => {
  const letter = token('--hi')
  hue(name).forEach((fill, cloth) => {
    expect(contrast(fill, letter[cloth] ?? '')).toBeGreaterThanOrEqual(4.5)
  })
})

test.each(['--ink', '--soft', '--alarm'])('%s is legible on every cloth', (name) => {
  for (const ground of ['--ground', '--panel', '--sheet'])
    token(name).forEach((text, cloth) => {
      expect(contrast(text, token(ground)[cloth] ?? '')).toBeGreaterThanOrEqual(4.5)
    })
})

/** One colour over another, as the browser mixes them. */
const over = (top: string, share: number, ground: string): string =>
  `#${[1, 3, 5]
    .map((at) => {
      const of = (hex: string) => Number.parseInt(hex.slice(at, at + 2), 16)
      const mixed = Math.round(of(top) * share + of(ground) * (1 - share))
      return mixed.toString(16).padStart(2, '0')
    })
    .join('')}`

/** How much of its hue a backdrop has, as the style sheet says. */
function share(): number {
  const found = /background-color: color-mix\(in srgb, var\(--h\) (\d+)%/.exec(css)
  if (!found?.[1]) throw new Error('The ground of a backdrop is not mixed in the style sheet')
  return Number(found[1]) / 100
}

test.each([...HUES])(
  'a sign of %s can be read on every backdrop of ours, on both cloths',
  (name) => {
    hue(name).forEach((colour, cloth) => {
      const ground = over(colour, share(), token('--ground')[cloth] ?? '')
      // On the bare ground and on the lines of the pattern.
      for (const behind of [ground, over(colour, LINES.clear, ground)]) {
        const sign = over(colour, SIGN.opacity / 100, behind)
        // Its letters are large: 64 px, heavy.
        expect(contrast(sign, behind)).toBeGreaterThanOrEqual(3)
      }
    })
  },
)

test('what is worked out and what is drawn have the same room', () => {
  const px = (name: string) =>
    [...css.matchAll(new RegExp(`--${name}: (\\d+)px`, 'g'))].map(([, width]) => Number(width))
  Object.assign(globalThis, { innerWidth: NARROW + 1 })
  const wide = rackWidth()
  Object.assign(globalThis, { innerWidth: NARROW })
  expect([px('rack-wide'), px('line')]).toEqual([[wide], [LINE]])
  // On a narrow page, and furled.
  expect(px('rack')).toEqual([rackWidth(), rackWidth()])
  expect(css).toContain(`@custom-variant narrow (@media (width <= ${NARROW}px))`)
})
