import * as pdfjs from 'pdfjs-dist'
import { expected } from '@/store/faults'
import { Unloaded } from '@/store/unloaded'

const WORKER = new URL('pdfjs-dist/build/pdf.worker.min.mjs', import.meta.url).toString()
pdfjs.GlobalWorkerOptions.workerSrc = WORKER

/**
 * Opens a PDF from a data address. The caller destroys it when it is done.
 * @throws Unloaded where what reads it did not come
 */
export async function openPdf(data: string) {
  // The library never asks again for a worker that did not come once: here it is asked for before.
  const worker = await fetch(WORKER).catch(expected('thrown below', null))
  if (!worker?.ok) throw new Unloaded()
  const bytes = Uint8Array.from(atob(data.slice(data.indexOf(',') + 1)), (c) => c.charCodeAt(0))
  return pdfjs.getDocument({ data: bytes }).promise
}

/** The parts that show a PDF; they take the library from the page. */
export function viewerParts() {
  Object.assign(globalThis, { pdfjsLib: pdfjs })
  return import('pdfjs-dist/web/pdf_viewer.mjs')
}

/** How much of its words is kept to be found, in characters. */
const WORDS_MOST = 5_000_000

/**
 * The words of a PDF, page after page.
 * @throws when it is not a PDF
 */
export async function wordsOf(data: string): Promise<string> {
  const pdf = await openPdf(data)
  let words = ''
  for (let number = 1; number <= pdf.numPages && words.length < WORDS_MOST; number++) {
    const page = await pdf.getPage(number)
    const { items } = await page.getTextContent()
    words += `${items.map((item) => ('str' in item ? item.str : '')).join(' ')}\n`
  }
  await pdf.loadingTask.destroy()
  return words.slice(0, WORDS_MOST)
}
