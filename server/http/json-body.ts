import express, { type RequestHandler } from 'express'
import { bodyLimit } from './body-limit.ts'

export interface BodyLimits {
  readonly bytes: number
  /** Numbers, texts, lists and objects in all: each costs time to check. */
  readonly values: number
}

/** Deeper brackets than any document of this program has. */
const DEEPEST = 40

/** Reads a JSON body that is within its limits; the others are refused before they are parsed. */
export const jsonBody = ({ bytes, values }: BodyLimits): readonly RequestHandler[] => [
  bodyLimit(bytes),
  express.json({
    limit: bytes,
    verify: (_req, _res, body) => {
      const says = tooMuch(body, values)
      if (says !== null) throw Object.assign(new Error(says), { status: 413 })
    },
  }),
]

/** What is too much in a JSON text, in words, told from its brackets and commas alone; null where nothing is. */
export function tooMuch(json: Uint8Array, mostValues: number): string | null {
  let [depth, values, inText] = [0, 0, false]
  for (let i = 0; i < json.length; i++) {
    const byte = json[i]!
    if (inText) {
      if (byte === BACKSLASH) i++
      else if (byte === QUOTE) inText = false
    } else if (byte === QUOTE) inText = true
    else if (byte === OPEN_LIST || byte === OPEN_OBJECT) {
      values++
      if (++depth > DEEPEST) return `The body is nested more than ${DEEPEST} deep.`
    } else if (byte === CLOSE_LIST || byte === CLOSE_OBJECT) depth--
    else if (byte === COMMA && ++values > mostValues) return `The body holds more than ${mostValues} values.`
  }
  return null
}

const [QUOTE, BACKSLASH, COMMA] = [0x22, 0x5c, 0x2c]
const [OPEN_LIST, CLOSE_LIST, OPEN_OBJECT, CLOSE_OBJECT] = [0x5b, 0x5d, 0x7b, 0x7d]
