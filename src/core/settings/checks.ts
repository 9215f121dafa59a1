import { boolean, mixed, number, object, type Schema, string } from 'yup'
import { SETTING_NAMES, type Setting, type SettingName, type Settings, settingOf } from './table'

/** What a setting may be; without a value it passes. */
function checkOf(setting: Setting): Schema {
  if ('choices' in setting) return string().oneOf(Object.keys(setting.choices))
  if ('unit' in setting) return number().integer().min(setting.least).max(setting.most)
  if ('longest' in setting)
    // A string of Yup’s that is required may not be empty.
    return mixed((value): value is string => typeof value === 'string').test(
      'longest',
      `at most ${setting.longest} letters`,
      (value) => (value?.length ?? 0) <= setting.longest,
    )
  return boolean()
}

/** The check of each setting, none of which has to be there. */
export const SETTING_CHECKS = Object.fromEntries(
  SETTING_NAMES.map((name) => [name, checkOf(settingOf(name))]),
) as Record<SettingName, Schema>

/** All settings, every one of them there. */
export const settingsShape = object(
  Object.fromEntries(SETTING_NAMES.map((name) => [name, SETTING_CHECKS[name].required()])),
) as unknown as Schema<Settings>
