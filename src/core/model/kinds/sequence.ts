import { array, string } from 'yup'
import type { Kind } from '@/core/model/kind'
import { fields, id, laterArguments } from '@/core/model/shaping'

/** A command with what was said with it. */
export interface Deed {
  command: string
  args: Record<string, unknown>
}

/** What was done once, under a name, to be done again. */
export interface Sequence {
  id: string
  name: string
  deeds: Deed[]
}

export const SEQUENCE: Kind<Sequence> = {
  words: ['sequence', 'sequences'],
  shape: fields<Sequence>({
    id: id(),
    name: string().required().max(1000),
    deeds: array(
      fields<Deed>({
        command: string().required().max(100),
        args: laterArguments().required(),
      }).required(),
    )
      .required()
      .min(1)
      .max(50),
  }),
  // What its commands are about is asked of them when they are done.
  ids: (one) => one,
}
