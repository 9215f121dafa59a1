import { type Amount, SETTING_NAMES, type SettingName, type Settings, settingOf } from './table'

/** “30 minutes”, “1 pixel”, “never”. */
export const amountInWords = ({ unit, zero }: Pick<Amount, 'unit' | 'zero'>, value: number) =>
  value === 0 ? zero : `${value} ${unit[value === 1 ? 0 : 1]}`.trim()

/** What a setting is set to, in words. */
export function valueInWords(name: SettingName, value: Settings[SettingName]): string {
  const setting = settingOf(name)
  if ('choices' in setting) return setting.choices[String(value)] ?? String(value)
  if ('unit' in setting) return amountInWords(setting, Number(value))
  if ('longest' in setting) return setting.said[value ? 0 : 1]
  return value ? 'on' : 'off'
}

/** What a setting is, in words: “Theme: dark”. */
export const settingInWords = (name: SettingName, settings: Settings): string =>
  `${settingOf(name).label}: ${valueInWords(name, settings[name])}`

/** One thing that can be chosen by name, without the panel. */
export interface Choice {
  setting: SettingName
  label: string
  /** Words it is found by besides its label. */
  words: string
  chosen(settings: Settings): boolean
  /** What choosing it sets: what is on or off is turned round. */
  set(settings: Settings): Partial<Settings>
}

function choicesOf(name: SettingName): Choice[] {
  const setting = settingOf(name)
  const { label, help, words } = setting
  const found = { setting: name, words: `${help} ${words}` }
  // What is typed is not chosen by name.
  if ('longest' in setting) return []
  if (!('choices' in setting || 'unit' in setting))
    return [
      {
        ...found,
        label,
        chosen: (settings) => settings[name] === true,
        set: (settings) => ({ [name]: !settings[name] }),
      },
    ]
  const values = 'choices' in setting ? Object.keys(setting.choices) : setting.offered
  return values.map((value) => ({
    ...found,
    label: `${label}: ${valueInWords(name, value as Settings[SettingName])}`,
    chosen: (settings) => settings[name] === value,
    set: () => ({ [name]: value }),
  }))
}

/** All that can be chosen by name; the line lists it. */
export const CHOICES: Choice[] = SETTING_NAMES.flatMap(choicesOf)

/** What a change of settings did, in words: each that is other now. */
export function settingsInWords(before: Settings, after: Settings): string {
  const changed = SETTING_NAMES.filter((name) => before[name] !== after[name])
  if (changed.length > 3) return `Changed ${changed.length} settings`
  return changed.map((name) => settingInWords(name, after)).join(', ') || 'Nothing was changed'
}
