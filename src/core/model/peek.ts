/**
 * What stands at a key, to be read only. Of a draft a plain read makes a copy of all that stands
 * beside it, because the value might be changed; among a thousand windows that is what a command
 * costs most.
 */
export function peek<T>(objects: Readonly<Record<string, T>>, id: string): T | undefined {
  return Object.getOwnPropertyDescriptor(objects, id)?.value
}
