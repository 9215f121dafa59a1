import type { TableContent } from '@/apps/table/content'

/** Figures in a table as the person would have typed them. */
const rows = (text: string): string[][] =>
  text
    .trim()
    .split('\n')
    .map((line) => line.split('|').map((cell) => cell.trim()))

const table = (columns: string, text: string): TableContent => ({
  columns: columns.split('|').map((name) => name.trim()),
  rows: rows(text),
})

export const STATIONS = table(
  'station | place | new cm | total cm | wind | °C',
  `HR-01 | Kestrel Bowl | 18 | 142 | NW 34 | -7.2
HR-02 | Tarn Ridge | 22 | 156 | NW 41 | -8.0
HR-03 | Low Saddle | 9 | 118 | W 22 | -5.1
HR-04 | Wren Couloir | 31 | 187 | NW 52 | -9.4
HR-05 | Alder Flats | 14 | 131 | W 28 | -6.3
HR-06 | Kestrel Hut | 16 | 138 | NW 30 | -6.9
HR-07 | Tarn Foot |  |  |  |
HR-08 | Saddle Road | 6 | 87 | W 15 | -3.8`,
)

export const STATIONS_SUNDAY = table(
  'station | place | new cm | total cm | wind | °C',
  `HR-01 | Kestrel Bowl | 4 | 126 | W 12 | -4.0
HR-02 | Tarn Ridge | 5 | 137 | W 18 | -5.2
HR-03 | Low Saddle | 2 | 110 | SW 10 | -2.7
HR-04 | Wren Couloir | 7 | 158 | W 21 | -6.0
HR-05 | Alder Flats | 3 | 119 | SW 9 | -3.1`,
)

export const OBSERVERS = table(
  'time | observer | place | saw',
  `05:50 | hut warden | Wren Couloir | 28 cm at the door, still snowing
06:10 | observer | Kestrel Bowl | small crack above the upper marker
06:40 | hut warden | Wren Couloir | one collapse heard, shaded side
07:05 | road crew | Low Saddle | drift 40 cm at the second bend
07:20 | observer | Tarn Ridge | wind slab, hand to pencil, 25 cm
07:45 | observer | Alder Flats | dry, no signs`,
)

export const RUN_OUTPUT = table(
  'hour | place | new cm | index',
  Array.from({ length: 24 }, (_, hour) => {
    const place = ['Kestrel Bowl', 'Tarn Ridge', 'Wren Couloir'][hour % 3]
    const fresh = Math.round(10 * (1 + Math.sin(hour / 4)) * (1 + (hour % 3) / 4)) / 10
    return `${String(hour).padStart(2, '0')}:00 | ${place} | ${fresh.toFixed(1)} | ${(1.2 + fresh / 2).toFixed(2)}`
  }).join('\n'),
)

export const CLOSURES = table(
  'road | from | until | why',
  `Low Saddle road | 13:00 | open end | wet snow from the gullies
Tarn Foot track | yesterday | Friday | drift
Kestrel lane | – | – | open
Alder road | – | – | open, chains`,
)

export const ROTA = table(
  'day | 06:00–14:00 | 14:00–22:00',
  `Monday | forecaster 1 | forecaster 3
Tuesday | forecaster 1 | forecaster 2
Wednesday | forecaster 2 | forecaster 3
Thursday | forecaster 2 | forecaster 1
Friday | forecaster 3 | forecaster 1
Saturday | forecaster 3 | forecaster 2
Sunday |  | forecaster 2`,
)

export const PARTICIPANTS = table(
  'group | who | beacon',
  `1 | road crew | own
1 | road crew | lent
2 | hut warden | own
2 | public | lent
3 | public | lent
3 | observer | own`,
)
