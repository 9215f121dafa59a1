import { type FormEvent, useState } from 'react'
import { addressOf } from '@/core/formats/address'
import { BadAppFile, readAppFile } from '@/core/formats/appFiles'
import { Answers } from '@/parts/Answers'
import { Dialog } from '@/parts/Dialog'
import { useShelf } from '@/store/useShelf'
import { chooseFiles } from '@/ui/files/openFiles'

/** A web address as an app of its own: typed, or from a file that describes one. */
export function AddApp() {
  const shelf = useShelf()
  const [name, setName] = useState('')
  const [address, setAddress] = useState('')
  /** Where the app begins on its site, where a file gave only that. */
  const [start, setStart] = useState('')
  const [icon, setIcon] = useState<string>()
  const [problem, setProblem] = useState('')
  const add = (event: FormEvent) => {
    event.preventDefault()
    const site = start ? addressOf(address) : null
    const whole = site && 'href' in site ? new URL(start, site.href).href : address
    const outcome = shelf.dispatch(
      'app.add',
      { name, address: whole, ...(icon && { icon }) },
      'key',
    )
    if (outcome.ok) shelf.closeView()
    else setProblem(outcome.reason)
  }
  const choose = async () => {
    const [file] = await chooseFiles('.json,.webmanifest,.desktop', false)
    if (!file) return
    try {
      const found = readAppFile(await file.text())
      setName(found.name)
      setAddress(found.relative ? '' : found.address)
      setStart(found.relative ? found.address : '')
      setIcon(found.icon)
      setProblem('')
    } catch (error) {
      const why = error instanceof BadAppFile ? error.message : 'it cannot be read'
      setProblem(`“${file.name}” does not describe an app: ${why}. Nothing was added.`)
    }
  }
  return (
    <Dialog
      title="Add an app"
      intro="A web address that opens in windows of its own, with a line in the rack and a number key."
      width={480}
    >
      <form onSubmit={add} className="mt-4 flex flex-col gap-3">
        <label className="flex items-center gap-2.5">
          <span className="w-20 text-soft">Name</span>
          <input
            className="field min-w-0 flex-1"
            value={name}
            onChange={(event) => setName(event.target.value)}
          />
          {icon ? <img src={icon} alt="Its icon" className="size-6" /> : null}
        </label>
        <label className="flex items-center gap-2.5">
          <span className="w-20 text-soft">Address</span>
          <input
            className="field min-w-0 flex-1"
            placeholder="example.org"
            value={address}
            onChange={(event) => setAddress(event.target.value)}
          />
        </label>
        {start ? (
          <p role="status" className="text-soft">
            The file says that it begins at “{start}” of its site, and not which site that is. Type
            it as the address.
          </p>
        ) : null}
        {problem ? (
          <p role="alert" className="text-alarm">
            {problem}
          </p>
        ) : null}
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
