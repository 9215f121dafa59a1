/** What objects are known by. An id says nothing of what it stands for. */

export type DesktopId = string
export type WindowId = string
export type AppId = string
export type DocumentId = string
export type DisplayId = string
