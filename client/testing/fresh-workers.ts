/* In place of `workers/idle-workers`: each task has a worker of its own, so that a test can tell them apart. */

export const takeWorker = (kind: new () => Worker): Worker => new kind()

export const putAside = (_kind: new () => Worker, worker: Worker): void => worker.terminate()
