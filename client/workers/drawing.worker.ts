import { readOutlineFile } from '../../core/formats/index.ts'

export interface DrawingFile {
  readonly name: string
  readonly text: string
}

export type DrawingRead = ReturnType<typeof readOutlineFile>

self.onmessage = ({ data }: MessageEvent<DrawingFile>) =>
  self.postMessage(readOutlineFile(data.name, data.text) satisfies DrawingRead)
