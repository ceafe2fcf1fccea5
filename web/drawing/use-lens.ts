import { type Ref, ref } from 'vue'
import { type Lens, movedBy, zoomedAt } from './lens.ts'

const WHEEL_STEP = 1.0015
/** A press that moves by less is a press, px. */
const STILL_PX = 5

/**
 * Wheel, drag and pinch on a sheet. A drag that moved the sheet is no press: the click that follows it is held back.
 * @param sheet the element that is pressed on
 */
export const useLens = (sheet: Ref<HTMLElement | null>, now: () => Lens, set: (lens: Lens) => void) => {
  const pointers = new Map<number, readonly [number, number]>()
  const dragging = ref(false)
  let from: readonly [number, number] | undefined
  const size = () => sheet.value?.getBoundingClientRect() ?? { left: 0, top: 0, width: 1, height: 1 }
  const part = (x: number, y: number): readonly [number, number] => {
    const { left, top, width, height } = size()
    return [(x - left) / width, (y - top) / height]
  }

  const wheel = (event: WheelEvent) => {
    event.preventDefault()
    set(zoomedAt(now(), WHEEL_STEP ** -event.deltaY, ...part(event.clientX, event.clientY)))
  }
  const down = (event: PointerEvent) => {
    pointers.set(event.pointerId, [event.clientX, event.clientY])
    from = [event.clientX, event.clientY]
    dragging.value = false
  }
  const move = (event: PointerEvent) => {
    // A button that was let go beside the sheet is up, though nobody said so here.
    if (event.pointerType === 'mouse' && event.buttons === 0) pointers.delete(event.pointerId)
    const before = pointers.get(event.pointerId)
    if (!before) return
    const here = [event.clientX, event.clientY] as const
    const other = [...pointers].find(([id]) => id !== event.pointerId)?.[1]
    pointers.set(event.pointerId, here)
    if (other) {
      const apart = (p: readonly [number, number]) => Math.hypot(p[0] - other[0], p[1] - other[1])
      dragging.value = true
      set(
        zoomedAt(
          now(),
          apart(here) / Math.max(1, apart(before)),
          ...part((here[0] + other[0]) / 2, (here[1] + other[1]) / 2),
        ),
      )
      return
    }
    if (now().zoom === 1) return
    if (from && Math.hypot(here[0] - from[0], here[1] - from[1]) > STILL_PX) dragging.value = true
    if (!dragging.value) return
    const { width, height } = size()
    set(movedBy(now(), (here[0] - before[0]) / width, (here[1] - before[1]) / height))
  }
  const up = (event: PointerEvent) => void pointers.delete(event.pointerId)
  /** Holds back the click that ends a drag. */
  const click = (event: MouseEvent) => {
    if (!dragging.value) return
    dragging.value = false
    event.stopPropagation()
    event.preventDefault()
  }
  return {
    dragging,
    handlers: { wheel, pointerdown: down, pointermove: move, pointerup: up, pointercancel: up },
    click,
  }
}
