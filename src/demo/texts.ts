/** The demo's documents as Markdown. The Harrow Range and everything about it is made up. */

export const BULLETIN = `# Bulletin for tomorrow

Harrow Range · issued 16:00 · draft 3

**Above 2,100 m** the new snow lies on a hard, smooth layer. On shaded slopes of Tarn Ridge and Wren Couloir a single person can start a slide.

**Below**, wet snow softens from noon. Keep clear of gullies under Low Saddle after 13:00.

- Kestrel Bowl: considerable, rising in the afternoon
- Tarn Ridge: considerable
- Alder Flats: moderate

Wind from the north-west carried`

export const BULLETIN_NORTH = `# Bulletin, north side

Notes for the north side, to be worked into tomorrow’s text.

Wren Couloir: two old slides at 1,950 m, hard edges, no fresh cracks. The hut warden heard one collapse near the upper marker at 06:40.

Ask the observer for a second pit on the shaded side.`

export const HAZARD_WORDING = `## Hazard wording

**Low** Slides only in a few steep places.

**Moderate** Possible where shown; choose your line with care.

**Considerable** A single person can start one on many steep slopes.

**High** Slides start by themselves; some are large.

**Very high** Large slides start by themselves, even in gentle terrain. Stay away.

| level | figure | say |
|---|---|---|
| Low | 1 | few steep places |
| Moderate | 2 | where shown |
| Considerable | 3 | a single person |
| High | 4 | by themselves |
| Very high | 5 | stay away |`

export const BULLETIN_YESTERDAY = `# Bulletin for today

Harrow Range · issued yesterday 16:00

**Moderate** above 2,000 m, **low** below.

Light wind, clear night. The old snow has set well. Small drifts behind ridges can be started by a single person; they are easy to see.

Low Saddle road open. Wren Couloir hut open.`

export const RUN_NOTES = `# Run notes

Run 24 h from 06:00 with the new station heights.

1. HR-04 reads high since the mast was moved; weight halved.
2. Wind at HR-02 filled from HR-03 between 02:00 and 03:30.
3. Layers merged below 40 cm.

If the run shows more than 30 cm at Tarn Ridge, ask for a pit before the bulletin goes out.`

export const CALL_SHEET = `# Call sheet

**Before 12:00** road crew, Low Saddle: closure from 13:00?

**After 14:00** hut warden, Wren Couloir: new snow at the door, guests tonight.

**Any time** observer, Kestrel Bowl: second pit.

- Say the level first, then the height, then the slope.
- Never promise a road time. The road crew decides.`

export const HANDOVER = `# Handover

To the evening forecaster.

- Bulletin goes out at 16:00; north side still open.
- Snowpack run ends about 14:30, output on Model.
- Station HR-07 silent since yesterday 22:10, crew told.
- Rota: the weekend has a gap on Sunday morning.`

export const COURSE = `# Avalanche course, day two

Alder Flats, meet at the hut at 08:30.

1. Beacons: groups of four, two rounds.
2. Pit at the edge of the wood, east side; read the layers together.
3. Way choice on the map before lunch, on the slope after.

Bring: 6 shovels, 6 probes, the spare beacons, hot drink.
`
