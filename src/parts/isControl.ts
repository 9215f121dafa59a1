/** Whether a key was pressed with Ctrl or Command and without Alt: “f”, “Shift+g”. */
export const isControl = (
  {
    key,
    ctrlKey,
    metaKey,
    altKey,
    shiftKey,
  }: Pick<KeyboardEvent, 'key' | 'ctrlKey' | 'metaKey' | 'altKey' | 'shiftKey'>,
  wanted: string,
): boolean =>
  (ctrlKey || metaKey) && !altKey && `${shiftKey ? 'Shift+' : ''}${key.toLowerCase()}` === wanted
