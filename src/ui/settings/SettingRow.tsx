import { RotateCcw } from 'lucide-react'
import { Switch } from 'radix-ui'
import { useId } from 'react'
import { valueInWords } from '@/core/settings/choices'
import { defaults, type SettingName, settingOf } from '@/core/settings/table'
import type { Shelf } from '@/store/shelf'
import { useArrangement, useShelf } from '@/store/useShelf'
import { AmountField } from './AmountField'
import { TextField } from './TextField'

const set = (shelf: Shelf, name: SettingName, value: unknown) =>
  shelf.dispatch('settings.set', { [name]: value }, 'key')

/** A setting with what it does, what it is set to, and the way back to what it was at first. */
export function SettingRow({ name }: { name: SettingName }) {
  const shelf = useShelf()
  const value = useArrangement((state) => state.settings[name])
  const setting = settingOf(name)
  const first = defaults()[name]
  const id = useId()
  const by = { 'aria-labelledby': `${id}-label`, 'aria-describedby': `${id}-help` }
  return (
    <div className="setting" data-setting={name}>
      <div className="flex items-start gap-3">
        <div className="min-w-0 flex-1">
          {'choices' in setting ? (
            <p id={`${id}-label`} className="font-semibold">
              {setting.label}
            </p>
          ) : (
            <label id={`${id}-label`} htmlFor={`${id}-field`} className="block font-semibold">
              {setting.label}
            </label>
          )}
          <p id={`${id}-help`} className="text-soft">
            {setting.help}
          </p>
        </div>
        {'choices' in setting || 'unit' in setting || 'longest' in setting ? null : (
          <Switch.Root
            id={`${id}-field`}
            checked={value === true}
            className="switch"
            {...by}
            onCheckedChange={(on) => set(shelf, name, on)}
          >
            <Switch.Thumb aria-hidden className="switch-knob" />
            <span className="w-5">{value ? 'on' : 'off'}</span>
          </Switch.Root>
        )}
      </div>
      {'choices' in setting ? (
        <div role="radiogroup" className="mt-1.5 flex flex-wrap gap-x-4 gap-y-1" {...by}>
          {Object.entries(setting.choices).map(([choice, label]) => (
            <label key={choice} className="flex items-center gap-1.5">
              <input
                type="radio"
                name={id}
                checked={value === choice}
                onChange={() => set(shelf, name, choice)}
              />
              {label}
            </label>
          ))}
        </div>
      ) : null}
      {'unit' in setting ? (
        <AmountField
          id={`${id}-field`}
          setting={setting}
          value={Number(value)}
          onSet={(next) => set(shelf, name, next)}
          {...by}
        />
      ) : null}
      {'longest' in setting ? (
        <TextField
          id={`${id}-field`}
          longest={setting.longest}
          value={String(value)}
          onSet={(next) => set(shelf, name, next)}
          {...by}
        />
      ) : null}
      {value === first ? null : (
        <button
          type="button"
          className="mt-1 flex items-center gap-1.5 text-soft hover:text-ink"
          onClick={() => shelf.dispatch('settings.reset', { name }, 'key')}
        >
          <RotateCcw size={12} aria-hidden />
          Back to “{valueInWords(name, first)}”
        </button>
      )}
    </div>
  )
}
