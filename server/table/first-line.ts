import type { Socket } from 'node:net'

/** The first line that comes; null when it grows beyond so many bytes without an end, or never ends. */
export function firstLine(socket: Socket, mostBytes: number): Promise<string | null> {
  return new Promise((resolve) => {
    const parts: Buffer[] = []
    let bytes = 0
    socket.on('data', (part: Buffer) => {
      if (bytes > mostBytes) return
      const end = part.indexOf(0x0a)
      parts.push(end < 0 ? part : part.subarray(0, end))
      bytes += part.length
      if (end >= 0) resolve(Buffer.concat(parts).toString('utf8'))
      else if (bytes > mostBytes) {
        // What comes after is let by unread, so that the refusal can be heard.
        parts.length = 0
        resolve(null)
      }
    })
    socket.once('close', () => resolve(null))
  })
}
