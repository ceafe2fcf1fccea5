import { onScopeDispose, type ShallowRef, shallowRef, watch } from 'vue'

/** A page that is not shown paints nothing: then it is brought up so long after, ms. */
const UNSEEN_MS = 150

/**
 * What changes with every edit, a frame later: the drawing is painted as it now is before anything heavier is asked of it.
 * Of something else than before, as `isSame` tells, nothing old is shown meanwhile.
 */
export const useAfterPaint = <T extends object>(
  now: () => T | undefined,
  isSame: (one: T, other: T) => boolean,
): Readonly<ShallowRef<T | undefined>> => {
  const late: ShallowRef<T | undefined> = shallowRef(now())
  let frame = 0
  let timer: ReturnType<typeof setTimeout> | undefined
  const stop = () => {
    cancelAnimationFrame(frame)
    clearTimeout(timer)
    timer = undefined
  }
  const bringUp = () => {
    stop()
    late.value = now()
  }
  watch(now, (next) => {
    if (!next || !late.value || !isSame(late.value, next)) return bringUp()
    if (timer !== undefined) return
    timer = setTimeout(bringUp, UNSEEN_MS)
    // The callback runs before the frame is painted; a task after it runs once it is.
    frame = requestAnimationFrame(() => {
      clearTimeout(timer)
      timer = setTimeout(bringUp)
    })
  })
  onScopeDispose(stop)
  return late
}
