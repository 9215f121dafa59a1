import { addressOf } from '@/core/formats/address'
import { BadAppFile, readAppFile } from '@/core/formats/appFiles'
import { Answers } from '@/parts/Answers'
import { Dialog } from '@/parts/Dialog'
import { Field, Problem, useCommandForm } from '@/parts/form'
import { useShelf } from '@/store/useShelf'
import { chooseFiles } from '@/ui/files/openFiles'

const NOTHING = {
  name: '',
  address: '',
  icon: '',
  /** Where the app begins on its site, where a file gave only that. */
  start: '',
}

/** A web address as an app of its own: typed, or from a file that describes one. */
export function AddApp() {
  const shelf = useShelf()
  const form = useCommandForm('add app', NOTHING, ({ name, address, icon, start }) => {
    const site = start ? addressOf(address) : null
    const whole = site && 'href' in site ? new URL(start, site.href).href : address
    return shelf.dispatch('app.add', { name, address: whole, ...(icon && { icon }) }, 'key')
  })
  const [icon, start] = form.watch(['icon', 'start'])
  const choose = async () => {
    const [file] = await chooseFiles('.json,.webmanifest,.desktop', false)
    if (!file) return
    try {
      const { name, relative, address, icon = '' } = readAppFile(await file.text())
      const given = relative ? { address: '', start: address } : { address, start: '' }
      form.reset({ name, icon, ...given })
    } catch (error) {
      const why = error instanceof BadAppFile ? error.message : 'it cannot be read'
      const message = `“${file.name}” does not describe an app: ${why}. Nothing was added.`
      form.setError('root', { message })
    }
  }
  return (
    <Dialog
      title="Add an app"
      intro="A web address that opens in windows of its own, with a line in the rack and a number key."
      width={480}
    >
      <form {...form.ways} className="mt-4 flex flex-col gap-3">
        <Field
          form={form}
          name="name"
          label="Name"
          after={icon ? <img src={icon} alt="Its icon" className="size-6" /> : null}
        />
        <Field form={form} name="address" label="Address" placeholder="example.org" />
        {start ? (
          <p role="status" className="text-soft">
            The file says that it begins at “{start}” of its site, and not which site that is. Type
            it as the address.
          </p>
        ) : null}
        <Problem form={form} />
        <div className="flex gap-2">
          <button type="button" className="btn" onClick={() => void choose()}>
            From a file…
          </button>
          <Answers beside>Add</Answers>
        </div>
      </form>
    </Dialog>
  )
}
