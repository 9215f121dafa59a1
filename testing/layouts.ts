/** What browsers tell of keyboard layouts: what each key prints, where it is not as on a US one. */

export const GERMAN = {
  KeyQ: 'q',
  KeyE: 'e',
  KeyY: 'z',
  KeyZ: 'y',
  Minus: 'ß',
  Slash: '-',
  Semicolon: 'ö',
  BracketRight: '+',
  Comma: ',',
  Quote: 'ä',
  Backslash: '#',
  Digit8: '8',
}

export const FRENCH = {
  KeyQ: 'a',
  KeyM: ',',
  Semicolon: 'm',
  Comma: ';',
  Period: ':',
  Slash: '!',
  Digit1: '&',
  Digit2: 'é',
  Equal: '=',
}

export const DVORAK = {
  KeyQ: "'",
  KeyW: ',',
  KeyE: '.',
  KeyZ: ';',
  KeyP: 'l',
  KeyR: 'p',
  Semicolon: 's',
  Quote: '-',
  Minus: '[',
  BracketLeft: '/',
  Slash: 'z',
  BracketRight: '=',
  Equal: ']',
  Comma: 'w',
  Period: 'v',
}
