/** A JPEG file of a size, in as few bytes as have its parts; `said` is what a camera writes beside the picture. */
export function jpegOf(widthPx: number, heightPx: number, said = ''): Buffer {
  const segment = (marker: number, body: Buffer): Buffer => {
    const head = Buffer.from([0xff, marker, 0, 0])
    head.writeUInt16BE(body.length + 2, 2)
    return Buffer.concat([head, body])
  }
  const frame = Buffer.from([8, 0, 0, 0, 0, 1, 1, 0x11, 0])
  frame.writeUInt16BE(heightPx, 1)
  frame.writeUInt16BE(widthPx, 3)
  return Buffer.concat([
    Buffer.from([0xff, 0xd8]),
    segment(0xe0, Buffer.from('JFIF\0\x01\x01\0\0\x01\0\x01\0\0', 'latin1')),
    ...(said ? [segment(0xe1, Buffer.from(`Exif\0\0${said}`, 'latin1')), segment(0xfe, Buffer.from(said))] : []),
    segment(0xc0, frame),
    segment(0xda, Buffer.from([1, 1, 0, 0, 63, 0])),
    Buffer.alloc(200, 7),
    Buffer.from([0xff, 0xd9]),
  ])
}
