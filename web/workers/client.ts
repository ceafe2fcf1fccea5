import { type Remote, wrap } from 'comlink'
import type { BenchWorker } from './bench.worker.ts'

type Around = Parameters<BenchWorker['setShelf']>

let worker: Remote<BenchWorker> | undefined
/** What the worker has to know before its first question; nobody starts it only to be told. */
let around: Around | undefined

/**
 * Tells the bench's worker what surrounds the rigs. Parts left out: those it was told before. What is told arrives
 * before any later question.
 */
export const tellBench = (...now: Around): void => {
  const [parts, owned, prices, terms, gone, placeholders] = now
  if (worker) void worker.setShelf(...now)
  else around = parts ? now : [around?.[0], owned, prices, terms, gone ?? around?.[4], placeholders ?? around?.[5]]
}

/** Something else that answers in its place, where there are no workers; undefined: itself again. */
export const askInstead = (other: object | undefined): void => {
  worker = other as Remote<BenchWorker> | undefined
}

/** The bench's worker, started when it is first asked something. */
export const benchWorker = (): Remote<BenchWorker> => {
  if (worker) return worker
  worker = wrap<BenchWorker>(
    new Worker(new URL('./bench.worker.ts', import.meta.url), { type: 'module', name: 'bench' }),
  )
  if (around) void worker.setShelf(...around)
  around = undefined
  return worker
}
