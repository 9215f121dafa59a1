import {
  type ComponentProps,
  type FormEvent,
  type ReactNode,
  useEffect,
  useId,
  useState,
} from 'react'
import {
  type DefaultValues,
  type FieldPath,
  type FieldValues,
  type UseFormReturn,
  useForm,
} from 'react-hook-form'
import type { Outcome } from '@/core/commands/execute'
import { ofShelf } from '@/store/ofShelf'
import { useShelf } from '@/store/useShelf'

/** What was typed into forms that were left before it was sent. */
const left = ofShelf(() => new Map<string, FieldValues>())

/** What a form that is not sent field by field holds, kept as what is typed into others. */
export function useLeft<T extends object>(name: string | null, first: T) {
  const kept = left(useShelf())
  const [values, setValues] = useState<T>({ ...first, ...(name && kept.get(name)) })
  return {
    values,
    set: (next: T) => {
      setValues(next)
      if (name) kept.set(name, next)
    },
    forget: () => void (name && kept.delete(name)),
  }
}

interface Form<T extends FieldValues> extends UseFormReturn<T> {
  /** For the form itself: sending it, and leaving it with Cancel. */
  ways: { onSubmit(event: FormEvent): void; onReset(): void }
}

/**
 * A form that gives one command. What the command finds wrong stands at its field. What was typed is
 * there again where the form was left with Escape, or by another view, and not with Cancel.
 * @param name what it is kept by; null where what is there is only changed, and not kept
 * @param give gives the command; null where something has to be typed first
 * @param stays whether it stays when it was given, empty for the next one
 */
export function useCommandForm<T extends FieldValues>(
  name: string | null,
  first: T,
  give: (values: T) => Outcome | null,
  stays = false,
): Form<T> {
  const shelf = useShelf()
  const kept = left(shelf)
  const defaults = { ...first, ...(name && kept.get(name)) } as DefaultValues<T>
  const form = useForm<T>({ defaultValues: defaults, shouldFocusError: true })
  const { subscribe } = form
  useEffect(
    () =>
      subscribe({
        formState: { values: true },
        callback: ({ values }) => name && kept.set(name, { ...values }),
      }),
    [kept, name, subscribe],
  )
  const forget = () => {
    if (name) kept.delete(name)
  }
  const onSubmit = form.handleSubmit((values) => {
    const outcome = give(values as T)
    if (outcome === null) return
    if (!outcome.ok) {
      const field = outcome.field?.split(/[.[]/)[0] ?? ''
      const at = (field in values ? field : 'root') as FieldPath<T>
      form.setError(at, { message: outcome.reason }, { shouldFocus: true })
      shelf.page.setState(({ said }) => ({ said: said && { ...said, inForm: true } }))
      return
    }
    forget()
    if (stays) form.reset(first)
    else shelf.closeView()
  })
  return {
    ...form,
    ways: { onSubmit: (event) => void onSubmit(event), onReset: forget },
  }
}

/** A field with its name before it, and below it what is wrong with it. */
export function Field<T extends FieldValues>({
  form,
  name,
  label,
  after,
  ...input
}: {
  form: UseFormReturn<T>
  name: FieldPath<T>
  label: string
  /** What stands behind it. */
  after?: ReactNode
} & Omit<ComponentProps<'input'>, 'form' | 'name'>) {
  const wrong = useId()
  const { message } = form.getFieldState(name, form.formState).error ?? {}
  return (
    <div className="flex flex-col gap-1">
      <label className="flex items-center gap-2.5">
        <span className="w-20 shrink-0 text-soft">{label}</span>
        <input
          className="field min-w-0 flex-1"
          aria-invalid={message !== undefined}
          aria-describedby={message ? wrong : undefined}
          {...input}
          {...form.register(name)}
        />
        {after}
      </label>
      {message ? (
        <div className="ml-[90px]">
          <Wrong id={wrong}>{message}</Wrong>
        </div>
      ) : null}
    </div>
  )
}

/** What is wrong, told as soon as it stands there. */
const Wrong = ({ id, children }: { id?: string; children: ReactNode }) => (
  <p id={id} role="alert" className="text-alarm">
    {children}
  </p>
)

/** What is wrong with a form that is not one field’s. */
export function Problem<T extends FieldValues>({ form }: { form: UseFormReturn<T> }) {
  const { message } = form.formState.errors.root ?? {}
  return message ? <Wrong>{message}</Wrong> : null
}
