import { redirect } from 'next/navigation'
import { connection } from 'next/server'

/** The demo where it was started with the demo, otherwise the person's own shelf. */
export default async function Page() {
  await connection()
  redirect(process.env.KITE_SHELF_START === 'demo' ? '/demo' : '/shelf')
}
