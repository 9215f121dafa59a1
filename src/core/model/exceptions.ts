import type { Limits } from '@/core/geometry/rect'
import type { Exception } from '@/core/model/kinds/app'
import type { Window } from '@/core/model/kinds/window'
import type { AppId } from './ids'
import type { State } from './state'

/** Whether windows of an app are treated otherwise than others in some way. */
export const excepted = (
  { exceptions }: Pick<State, 'exceptions'>,
  app: AppId,
  exception: Exception,
): boolean => exceptions[app]?.includes(exception) === true

/** The sizes a window may be given where it is put: of an app that keeps its size, the one it has. */
export function limitsOf(
  state: Pick<State, 'exceptions'>,
  { app, frame: { width, height }, limits }: Pick<Window, 'app' | 'frame' | 'limits'>,
): Limits {
  return excepted(state, app, 'keeps its size')
    ? { minWidth: width, maxWidth: width, minHeight: height, maxHeight: height }
    : limits
}
