import { parentPort, workerData } from 'node:worker_threads'
import { isProven, solveLay } from '../core/lay/index.ts'
import type { LaneTask } from './search-lay.ts'

const { problem, seed, lane, seconds, isOver } = workerData as LaneTask
const started = performance.now()
const isStopped = () => Atomics.load(isOver, 0) !== 0 || (performance.now() - started) / 1000 > seconds
const solved = solveLay(problem, { seed, lane, budget: { steps: Infinity, isStopped } })
if (solved.ok && isProven(solved.value.lay)) Atomics.store(isOver, 0, 1)
parentPort!.postMessage(solved.ok ? solved.value : null)
