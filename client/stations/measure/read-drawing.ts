import { phrase } from '../../../core/language/index.ts'
import { outlineFaultWords } from '../../../core/formats/index.ts'
import type { TracedOutline } from '../../../core/formats/index.ts'
import DrawingWorker from '../../workers/drawing.worker.ts?worker'
import type { DrawingFile, DrawingRead } from '../../workers/drawing.worker.ts'
import { startTask } from '../../workers/task.ts'

const LARGEST_BYTES = 16 * 1024 * 1024
const PATIENCE_MS = 10_000

/**
 * The outline in a drawing from outside, read apart from the page: one that never ends is given up. @throws Error in
 * words.
 */
export async function readDrawing(file: File): Promise<TracedOutline> {
  const refuse = (says: string): never => {
    throw new Error(phrase`${file.name}: ${says} Nothing was changed.`)
  }
  if (file.size > LARGEST_BYTES) return refuse('it is larger than any drawing of a seat.')
  const read = await readApart(file.name, await file.text())
  if (read === null) return refuse('it cannot be read in time: save the outline by itself, and open that.')
  return read.ok ? read.value : refuse(outlineFaultWords(read.error))
}

const readApart = (name: string, text: string): Promise<DrawingRead | null> =>
  new Promise((resolve) =>
    startTask<DrawingFile, DrawingRead>({
      worker: DrawingWorker,
      ask: { name, text },
      onMessage: resolve,
      onEnd: () => resolve(null),
      deadlineMs: PATIENCE_MS,
    }),
  )
