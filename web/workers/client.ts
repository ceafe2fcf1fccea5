import { type Remote, wrap } from 'comlink'
import type { BenchWorker } from './bench.worker.ts'

let made: Remote<BenchWorker> | undefined

/** The one bench worker of this page, started when first needed. */
export const benchWorker = (): Remote<BenchWorker> =>
  (made ??= wrap<BenchWorker>(new Worker(new URL('./bench.worker.ts', import.meta.url), { type: 'module', name: 'bench' })))
