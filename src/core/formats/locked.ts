import { number, object, string } from 'yup'
import { fromBase64, inBase64 } from '@/core/text/base64'

/**
 * A file that only a passphrase opens: AES-GCM with 256 bits (NIST SP 800-38D), its key from the phrase by
 * PBKDF2 with SHA-256 (RFC 8018). It says how it was made, so that it is opened by other programs as well.
 */

const FORMAT = 'kite-shelf-locked'
const VERSION = 1

/** About half a second on today’s machines; so many are needed for each phrase that is tried. */
const ROUNDS = 1_000_000
/** A file that asks for more would hold the page up for a minute. */
const ROUNDS_MOST = 20_000_000

const shape = object({
  format: string().oneOf([FORMAT]).required(),
  version: number().oneOf([VERSION]).required(),
  rounds: number().integer().min(1).max(ROUNDS_MOST).required(),
  salt: string().required(),
  iv: string().required(),
  data: string().required(),
})

/** It is a locked file, and what it says of itself makes no sense. */
export class BadLockedFile extends Error {}

/** The phrase is another one; or the file was changed since. */
export class WrongPhrase extends Error {}

/** Whether a text is a locked file, opened or not. */
export const isLocked = (text: string): boolean =>
  /^\s*\{\s*"format"\s*:\s*"kite-shelf-locked"/.test(text)

/**
 * Locks a text.
 * @param rounds how often the phrase is worked over
 */
export async function lock(text: string, phrase: string, rounds = ROUNDS): Promise<string> {
  const salt = crypto.getRandomValues(new Uint8Array(16))
  const iv = crypto.getRandomValues(new Uint8Array(12))
  const key = await keyOf(phrase, salt, rounds)
  const bytes = await crypto.subtle.encrypt(
    { name: 'AES-GCM', iv },
    key,
    new TextEncoder().encode(text),
  )
  const file = {
    format: FORMAT,
    version: VERSION,
    rounds,
    salt: inBase64(salt),
    iv: inBase64(iv),
    data: inBase64(new Uint8Array(bytes)),
  }
  return JSON.stringify(file, null, 1)
}

/**
 * The text of a locked file.
 * @throws BadLockedFile where it is damaged, WrongPhrase where the phrase does not open it
 */
export async function unlock(text: string, phrase: string): Promise<string> {
  const { rounds, salt, iv, data } = readLocked(text)
  const key = await keyOf(phrase, salt, rounds)
  try {
    const bytes = await crypto.subtle.decrypt({ name: 'AES-GCM', iv }, key, data)
    return new TextDecoder().decode(bytes)
  } catch {
    throw new WrongPhrase()
  }
}

function readLocked(text: string) {
  try {
    const { rounds, salt, iv, data } = shape.validateSync(JSON.parse(text), { strict: true })
    return { rounds, salt: fromBase64(salt), iv: fromBase64(iv), data: fromBase64(data) }
  } catch {
    throw new BadLockedFile('it is damaged, or of a later version')
  }
}

async function keyOf(
  phrase: string,
  salt: Uint8Array<ArrayBuffer>,
  iterations: number,
): Promise<CryptoKey> {
  // The same letters can be written in several ways.
  const bytes = new TextEncoder().encode(phrase.normalize('NFC'))
  const from = await crypto.subtle.importKey('raw', bytes, 'PBKDF2', false, ['deriveKey'])
  return crypto.subtle.deriveKey(
    { name: 'PBKDF2', hash: 'SHA-256', salt, iterations },
    from,
    { name: 'AES-GCM', length: 256 },
    false,
    ['encrypt', 'decrypt'],
  )
}
