/** The demo's pictures, drawn as SVG. */

const address = (svg: string) => `data:image/svg+xml;charset=utf-8,${encodeURIComponent(svg)}`

const text = (x: number, y: number, words: string, size = 15) =>
  `<text x="${x}" y="${y}" font-family="sans-serif" font-size="${size}" fill="#22303f">${words}</text>`

const LAYERS: [from: number, to: number, fill: string, grain: string, hardness: number][] = [
  [0, 22, '#f6fafc', 'new, dry', 70],
  [22, 34, '#dfeaf2', 'wind slab', 190],
  [34, 40, '#b9cfdf', 'faceted, weak', 50],
  [40, 78, '#d3e0ea', 'rounded', 230],
  [78, 84, '#8fb0c8', 'crust', 300],
  [84, 140, '#c4d5e2', 'old, settled', 270],
]

/** A snow profile: layers from the surface down, bars as hard as they felt. */
export const SNOW_PIT = address(
  `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 640 700" width="640" height="700">
<rect width="640" height="700" fill="#fbfaf6"/>${text(32, 44, 'Snow pit, Tarn Ridge, 2,140 m', 22)}
${text(32, 70, 'shaded side, 32°, hard to fist')}
${LAYERS.map(([from, to, fill, grain, hardness]) => {
  const y = 100 + from * 4
  const height = (to - from) * 4
  return `<rect x="90" y="${y}" width="${hardness}" height="${height}" fill="${fill}" stroke="#5b7186" stroke-width="1.2"/>
${text(44, y + 14, String(140 - from))}${text(110 + hardness, y + Math.max(15, height / 2 + 5), grain)}`
}).join('')}
<path d="M84 236 H420" stroke="#b4232a" stroke-width="3" stroke-dasharray="9 6"/>${text(430, 241, 'broke here, 3rd tap')}
</svg>`,
)

/** Contour rings around two summits. */
const rings = (x: number, y: number, count: number) =>
  Array.from({ length: count }, (_, at) => {
    const r = 26 + at * 30
    return `<path d="M${x - r} ${y} C${x - r} ${y - r * 0.8} ${x + r * 0.7} ${y - r * 0.9} ${x + r} ${y} C${x + r * 1.1} ${y + r * 0.7} ${x - r * 0.8} ${y + r} ${x - r} ${y}Z" fill="none" stroke="#9a7b52" stroke-width="${at % 4 === 3 ? 2.2 : 1}"/>`
  }).join('')

export const TRAIL_ATLAS = address(
  `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 1000 720" width="1000" height="720">
<rect width="1000" height="720" fill="#eaf0dd"/>${rings(330, 280, 9)}${rings(700, 400, 8)}
<path d="M0 610 C200 560 380 640 560 590 S860 520 1000 560" fill="none" stroke="#4f8fbf" stroke-width="9"/>
<path d="M40 690 C220 600 300 470 420 450 S640 520 700 400 S900 260 980 60" fill="none" stroke="#b4232a" stroke-width="4" stroke-dasharray="14 8"/>
${text(290, 272, 'Kestrel Bowl', 22)}${text(655, 392, 'Tarn Ridge', 22)}${text(455, 486, 'Low Saddle', 18)}${text(120, 560, 'Alder Flats', 18)}${text(800, 190, 'Wren Couloir', 18)}
<path d="M915 620 h-120 M795 612 v16 M915 612 v16" stroke="#22303f" stroke-width="3"/>${text(830, 655, '1 km', 18)}
</svg>`,
)
