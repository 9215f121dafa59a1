import { allWords } from '@/core/text/plain'
import { SETTING_NAMES, type SettingName, settingOf } from './table'

/** The settings that have all words of a query in label, help, section or words, in their order. */
export function searchSettings(query: string): SettingName[] {
  const has = allWords(query)
  return SETTING_NAMES.filter((name) => has(textOf(name)))
}

function textOf(name: SettingName): string {
  const setting = settingOf(name)
  const choices = 'choices' in setting ? Object.values(setting.choices) : []
  const all = [setting.label, setting.help, setting.words, setting.section, ...choices]
  return all.join(' ')
}
