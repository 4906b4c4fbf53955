import { readCutFile } from '../table/cut-file.ts'
import { standBack } from '../workers/stand-back.ts'

standBack()

export interface DrawingTask {
  readonly dxf: string
  readonly bedMm: readonly [number, number]
}

/** Reads a drawing from outside in a thread of its own: one that never ends is ended with its thread. */
export default ({ dxf, bedMm }: DrawingTask): ReturnType<typeof readCutFile> => readCutFile(dxf, bedMm)
