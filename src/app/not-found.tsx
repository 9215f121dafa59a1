import { connection } from 'next/server'

/** What is not there. Made for each who asks: a page made once has no nonce for its scripts. */
export default async function NotFound() {
  await connection()
  return (
    <main className="mx-auto flex max-w-120 flex-col items-start gap-4 p-10">
      <h1 className="font-bold font-display text-[24px]">There is no page at this address</h1>
      <p>Kite Shelf and its demo are elsewhere; nothing of yours is lost.</p>
      <p className="flex gap-2">
        {/* Loaded anew: the nonce of this page is not that of the next. */}
        <a href="/shelf" className="btn">
          Your shelf
        </a>
        <a href="/demo" className="btn">
          The demo
        </a>
      </p>
    </main>
  )
}
