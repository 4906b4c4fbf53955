/**
 * A short key of a text (FNV-1a, two 32-bit halves, 16 hex digits): tells whether a kept lay still
 * belongs to the pieces. Not for secrets.
 */
export function textKey(text: string): string {
  return half(text, 0x811c9dc5) + half(text, 0x01000193)
}

function half(text: string, start: number): string {
  let hash = start
  for (let i = 0; i < text.length; i++) hash = Math.imul(hash ^ text.charCodeAt(i), 0x01000193)
  return (hash >>> 0).toString(16).padStart(8, '0')
}
