import { command } from '@/core/commands/command'

const group = 'Shelf' as const

const undo = command({
  id: 'history.undo',
  title: 'Undo the last change',
  group,
  step: false,
  travel: 'undo',
})

const redo = command({
  id: 'history.redo',
  title: 'Redo',
  group,
  step: false,
  travel: 'redo',
})

export const undoCommands = [undo, redo]
