import { onScopeDispose, type ShallowRef, shallowRef, watch } from 'vue'

/** A page that is not shown paints nothing: then it is brought up so long after, ms. */
const UNSEEN_MS = 150
/** So long the page may be busy at a stretch with what follows an edit, ms: a key press waits no longer. */
const STRETCH_MS = 4

/**
 * What changes with every edit, a frame later: the drawing is painted as it now is before anything heavier is asked of it.
 * Of something else than before, as `isSame` tells, nothing old is shown meanwhile.
 * @param steps what has to be worked out for it, in small steps: the page is left free between them
 */
export const useAfterPaint = <T extends object>(
  now: () => T | undefined,
  isSame: (one: T, other: T) => boolean,
  steps: (next: T) => Iterator<unknown> = () => [][Symbol.iterator](),
): Readonly<ShallowRef<T | undefined>> => {
  const late: ShallowRef<T | undefined> = shallowRef(now())
  let frame = 0
  let timer: ReturnType<typeof setTimeout> | undefined
  const stop = () => {
    cancelAnimationFrame(frame)
    clearTimeout(timer)
    timer = undefined
  }
  const bringUp = (next = now()) => {
    stop()
    late.value = next
    if (now() !== next) soon()
  }
  const workOn = (next: T, work: Iterator<unknown>) => {
    const since = performance.now()
    while (performance.now() - since < STRETCH_MS) if (work.next().done) return bringUp(next)
    timer = setTimeout(() => workOn(next, work))
  }
  const begin = () => {
    stop()
    const next = now()
    if (!next) return bringUp()
    workOn(next, steps(next))
  }
  const soon = () => {
    timer = setTimeout(begin, UNSEEN_MS)
    // The callback runs before the frame is painted; a task after it runs once it is.
    frame = requestAnimationFrame(() => {
      clearTimeout(timer)
      timer = setTimeout(begin)
    })
  }
  watch(now, (next) => {
    if (!next || !late.value || !isSame(late.value, next)) return bringUp()
    // What is being worked out is shown before the next is begun: a slide that goes on is told on its way.
    if (timer === undefined) soon()
  })
  onScopeDispose(stop)
  return late
}

/**
 * The same one task later: what shows it is brought up after what shows it at once, and a key press finds its turn between
 * the two. Of something else than before nothing old is shown meanwhile.
 */
export const useTaskLater = <T extends object>(
  now: () => T | undefined,
  isSame: (one: T, other: T) => boolean,
): Readonly<ShallowRef<T | undefined>> => {
  const late: ShallowRef<T | undefined> = shallowRef(now())
  let timer: ReturnType<typeof setTimeout> | undefined
  const stop = () => clearTimeout(timer)
  watch(now, (next) => {
    stop()
    if (next && late.value && isSame(late.value, next)) timer = setTimeout(() => (late.value = next))
    else late.value = next
  })
  onScopeDispose(stop)
  return late
}
