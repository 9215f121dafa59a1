import type { ReactNode } from 'react'

/** A part of a panel under its name, with rows. */
export function PanelSection({ name, children }: { name: string; children: ReactNode }) {
  return (
    <section aria-label={name} className="mt-4">
      <h3 className="border-seam border-b pb-1 font-semibold text-soft">{name}</h3>
      {children}
    </section>
  )
}
