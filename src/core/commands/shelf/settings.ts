import { string } from 'yup'
import { command, no } from '@/core/commands/command'
import { joined } from '@/core/formats/merge'
import { bindingsHere, homesHere, type Wanted, wantedShape } from '@/core/formats/settingsFile'
import { twinOf } from '@/core/homes/clashes'
import type { State } from '@/core/model/state'
import { SETTING_CHECKS } from '@/core/settings/checks'
import { settingInWords, settingsInWords } from '@/core/settings/choices'
import { changedSettings, defaults, SETTING_NAMES, settingOf } from '@/core/settings/table'

const group = 'Shelf' as const

const setting = command({
  id: 'settings.set',
  title: 'Change a setting',
  group,
  unlisted: true,
  args: SETTING_CHECKS,
  plan: (draft, given) => {
    const before = { ...draft.settings }
    Object.assign(draft.settings, given)
    return { say: settingsInWords(before, draft.settings) }
  },
})

const reset = command({
  id: 'settings.reset',
  title: 'Reset all settings',
  group,
  args: { name: string().oneOf(SETTING_NAMES) },
  plan: (draft, { name }) => {
    const before = { ...draft.settings }
    const changed = changedSettings(before)
    if (name && !changed.includes(name))
      return no(`${settingOf(name).label} is already at its default.`)
    if (changed.length === 0) return no('No setting was changed.')
    Object.assign(draft.settings, name ? { [name]: defaults()[name] } : defaults())
    return { say: settingsInWords(before, draft.settings) }
  },
})

/** What a file of settings holds becomes how it is here; homes only here stay. One step. */
const bring = command({
  id: 'settings.bring',
  title: 'Import settings, homes and keys',
  group,
  unlisted: true,
  args: { wanted: wantedShape.required() },
  plan: (draft, { wanted }) => {
    const { settings, homes, bindings, sequences = [] } = wanted as Wanted
    draft.settings = settings
    draft.bindings = bindingsHere(draft as State, bindings)
    draft.sequences = joined(draft.sequences, sequences)
    const theirs = homesHere(draft as State, homes)
    // One of the same conditions under another id would have no effect beside theirs.
    const kept = draft.homes.filter(
      (home) => !theirs.some(({ id }) => id === home.id) && !twinOf(theirs, home),
    )
    draft.homes = [...theirs, ...kept]
    return { say: 'Imported settings, homes and keys' }
  },
})

const inspector = command({
  id: 'shelf.inspector',
  title: 'Show the inspector',
  group,
  plan: (draft) => {
    draft.settings.inspector = !draft.settings.inspector
    return { say: draft.settings.inspector ? 'Inspector shown' : 'Inspector hidden' }
  },
})

const foldApps = command({
  id: 'apps.fold',
  title: 'List the apps in the rack',
  group,
  plan: (draft) => {
    const { settings } = draft
    settings.apps = settings.apps === 'folded' ? 'listed' : 'folded'
    return { say: settingInWords('apps', settings) }
  },
})

const furlRack = command({
  id: 'rack.furl',
  title: 'Furl the rack',
  group,
  plan: (draft) => {
    const { settings } = draft
    settings.rackFurled = !settings.rackFurled
    return { say: settings.rackFurled ? 'Rack furled' : 'Rack unfurled' }
  },
})

const open = command({
  id: 'settings.open',
  title: 'Settings',
  group,
  step: false,
  args: { find: string().max(100) },
  plan: (_draft, { find }) => ({ show: { view: 'settings', ...(find && { find }) } }),
})

const exported = command({
  id: 'settings.export',
  title: 'Export settings, homes and keys',
  group,
  step: false,
  plan: () => ({ effect: { does: 'export settings' } }),
})

const imported = command({
  id: 'settings.import',
  title: 'Import settings, homes and keys…',
  group,
  step: false,
  plan: () => ({ effect: { does: 'import settings' } }),
})

export const settingCommands = [
  inspector,
  foldApps,
  furlRack,
  open,
  setting,
  reset,
  exported,
  imported,
  bring,
]
