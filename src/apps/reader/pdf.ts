import * as pdfjs from 'pdfjs-dist'
import { fromBase64 } from '@/core/text/base64'
import { expected } from '@/store/faults'
import { Unloaded } from '@/store/unloaded'

const WORKER = new URL('pdfjs-dist/build/pdf.worker.min.mjs', import.meta.url).toString()
pdfjs.GlobalWorkerOptions.workerSrc = WORKER

/** The library never asks again for a worker that did not come once: here it is asked for before. */
async function asked(): Promise<void> {
  const answer = await fetch(WORKER).catch(expected('thrown below', null))
  if (!answer?.ok) throw new Unloaded()
}

const bytesOf = (data: string): Uint8Array => fromBase64(data.slice(data.indexOf(',') + 1))

/** So many workers show all PDFs there are: the library would start one for each. */
const AT_MOST = 2

/** The workers that show PDFs, and how many each of them shows. */
const workers = new Map<pdfjs.PDFWorker, number>()

function takeWorker(): pdfjs.PDFWorker {
  const [idlest] = [...workers].toSorted(([, a], [, b]) => a - b)
  const [worker, shows] = idlest && workers.size >= AT_MOST ? idlest : [new pdfjs.PDFWorker(), 0]
  workers.set(worker, shows + 1)
  return worker
}

function leaveWorker(worker: pdfjs.PDFWorker): void {
  const shows = (workers.get(worker) ?? 0) - 1
  if (shows > 0) return void workers.set(worker, shows)
  workers.delete(worker)
  worker.destroy()
}

/**
 * Opens a PDF from a data address, to be shown. `close` lets go of it.
 * @throws Unloaded where what reads it did not come
 */
export async function openPdf(data: string) {
  await asked()
  const worker = takeWorker()
  const opening = pdfjs.getDocument({
    data: bytesOf(data),
    worker,
    // Its letters are drawn as shapes: a font that is added to the page has all texts on all desktops laid out anew.
    disableFontFace: true,
    verbosity: pdfjs.VerbosityLevel.ERRORS,
  })
  const close = () => void opening.destroy().finally(() => leaveWorker(worker))
  try {
    return { pdf: await opening.promise, close }
  } catch (error) {
    close()
    throw error
  }
}

/** The parts that show a PDF; they take the library from the page. */
export function viewerParts() {
  Object.assign(globalThis, { pdfjsLib: pdfjs })
  return import('pdfjs-dist/web/pdf_viewer.mjs')
}

/** How much of its words is kept to be found, in characters. */
const WORDS_MOST = 5_000_000

/**
 * The words of a PDF, page after page. One that is read for the first time has a worker of its own: what
 * hangs it holds up nothing else.
 * @throws when it is not a PDF
 */
export async function wordsOf(data: string): Promise<string> {
  await asked()
  const pdf = await pdfjs.getDocument({ data: bytesOf(data) }).promise
  let words = ''
  for (let number = 1; number <= pdf.numPages && words.length < WORDS_MOST; number++) {
    const page = await pdf.getPage(number)
    const { items } = await page.getTextContent()
    words += `${items.map((item) => ('str' in item ? item.str : '')).join(' ')}\n`
  }
  await pdf.loadingTask.destroy()
  return words.slice(0, WORDS_MOST)
}
