import Papa from 'papaparse'
import type { Figures } from '@/core/insight/figures'
import { desktopName } from '@/core/journal/words'
import { download } from '@/parts/download'
import { dayKey } from '@/store/journal'
import { useShelf } from '@/store/useShelf'
import { linesOf } from './lines'
import type { LoggedDay } from './useSpan'

/** Exactly what is shown: the lines as CSV, lines and figures as JSON. */
export function Exports({ span, figures }: { span: readonly LoggedDay[]; figures: Figures }) {
  const shelf = useShelf()
  const rows = () =>
    span.flatMap(linesOf).map(({ desktop, start, end, focused, opened, asked }) => ({
      desktop: desktopName(shelf.state(), desktop),
      from: new Date(start).toISOString(),
      to: new Date(end).toISOString(),
      seconds: Math.round((end - start) / 1000),
      focused,
      opened,
      asked,
    }))
  const name = `log ${dayKey(span[0]?.midnight ?? 0)}`
  const save = (text: string, type: string, file: string) => {
    download(new Blob([text], { type }), file)
    shelf.say(`Exported ${file}`)
  }
  return (
    <span className="flex gap-2">
      <button
        type="button"
        className="btn"
        onClick={() =>
          save(Papa.unparse(rows(), { escapeFormulae: true }), 'text/csv', `${name}.csv`)
        }
      >
        CSV
      </button>
      <button
        type="button"
        className="btn"
        onClick={() =>
          save(
            JSON.stringify({ lines: rows(), figures }, null, 2),
            'application/json',
            `${name}.json`,
          )
        }
      >
        JSON
      </button>
    </span>
  )
}
