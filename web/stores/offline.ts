import { defineStore } from 'pinia'
import { ref } from 'vue'
import { neededBy } from '../field/kept.ts'

/** Asked to keep a rig and silent for so long, the worker has failed. */
const PATIENCE_MS = 30_000

/**
 * How the program stands without a network: whether this browser keeps it, which rigs it keeps, and whether a newer
 * version waits. Browsers allow it on this machine itself and over https.
 */
export const useOffline = defineStore('offline', () => {
  const isReached = ref(typeof navigator === 'undefined' || navigator.onLine)
  const keeps = ref<ReadonlySet<string>>(new Set())
  const hasNewer = ref(false)
  let takeNewer: (() => void) | undefined
  if (typeof addEventListener === 'function') {
    addEventListener('online', () => (isReached.value = true))
    addEventListener('offline', () => (isReached.value = false))
  }
  const isPossible = import.meta.env.PROD && 'serviceWorker' in navigator && isSecureContext

  /** Starts what keeps the program; done once, when the page has nothing better to do. */
  const start = async (): Promise<void> => {
    if (!isPossible) return
    const { Workbox } = await import('workbox-window')
    const worker = new Workbox('/service-worker.js')
    worker.addEventListener('waiting', () => {
      hasNewer.value = true
      takeNewer = () => {
        worker.addEventListener('controlling', () => location.reload())
        worker.messageSkipWaiting()
      }
    })
    await worker.register()
  }

  /** Sees to it that a rig can be opened without a network from now on. */
  const keepRig = async (rigId: string): Promise<void> => {
    if (!isPossible || keeps.value.has(rigId)) return
    const { active } = await navigator.serviceWorker.ready
    if (!active) return
    const isAll = await new Promise<boolean>((resolve) => {
      const { port1, port2 } = new MessageChannel()
      port1.onmessage = ({ data }) => resolve(data === true)
      setTimeout(() => resolve(false), PATIENCE_MS)
      active.postMessage({ type: 'KEEP', paths: neededBy(rigId) }, [port2])
    })
    if (isAll) keeps.value = new Set([...keeps.value, rigId])
  }

  return { isReached, keeps, hasNewer, isPossible, start, keepRig, takeNewer: () => takeNewer?.() }
})
