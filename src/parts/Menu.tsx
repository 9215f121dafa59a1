import { DropdownMenu } from 'radix-ui'
import type { ComponentProps, ReactNode } from 'react'

/** The sheet of a menu. */
export function MenuSheet(props: ComponentProps<typeof DropdownMenu.Content>) {
  return (
    <DropdownMenu.Portal>
      {/* All that is on the page is in some part that can be gone to by name. */}
      <section aria-label="Menu">
        <DropdownMenu.Content
          className="menu rise"
          align="start"
          sideOffset={4}
          collisionPadding={8}
          {...props}
        />
      </section>
    </DropdownMenu.Portal>
  )
}

/** A menu within a menu. */
export function SubMenu({ label, children }: { label: string; children: ReactNode }) {
  return (
    <DropdownMenu.Sub>
      <DropdownMenu.SubTrigger className="menu-item">
        {label}
        <span className="ml-auto pl-6" aria-hidden>
          ›
        </span>
      </DropdownMenu.SubTrigger>
      <DropdownMenu.Portal>
        <DropdownMenu.SubContent className="menu" sideOffset={2} collisionPadding={8}>
          {children}
        </DropdownMenu.SubContent>
      </DropdownMenu.Portal>
    </DropdownMenu.Sub>
  )
}

export const MenuSeam = () => <DropdownMenu.Separator className="my-1 border-seam border-t" />
