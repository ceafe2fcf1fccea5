import { type PlacedPart, travelOf } from '@zucchini/core/assembly'
import { onKeyStroke } from '@vueuse/core'
import { viewIds } from '@zucchini/core/drawing'
import { useBench } from '../../stores/bench.ts'
import { useRig } from '../../stores/rig.ts'
import { takeOff } from './take-off.ts'

/** By how much a key makes the drawing larger. */
const ZOOM_STEP = 1.25

const inField = (event: KeyboardEvent): boolean => {
  const target = event.target as HTMLElement | null
  return (
    target !== null &&
    (target.isContentEditable || /^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName)) &&
    (target as HTMLInputElement).type !== 'checkbox' &&
    (target as HTMLInputElement).type !== 'range'
  )
}

/** Moves on through the turns a joint allows, by quarter or half. */
const nextTurn = (piece: PlacedPart): number => {
  const step = piece.mate?.ok ? Math.max(90, piece.mate.value.turnStepDeg) : 90
  const next = (piece.joint?.turnDeg ?? 0) + step
  return next > 180 ? next - 360 : next
}

interface Actions {
  readonly find: () => void
  readonly help: () => void
  readonly focusFits: () => void
}

/** The keys of the bench; none acts while one types in a field or a dialogue is open. */
export const useBenchKeys = ({ find, help, focusFits }: Actions): void => {
  const store = useRig()
  const bench = useBench()
  const change = (piece: PlacedPart, to: { slideMm?: number; turnDeg?: number }, note: string) =>
    store.setup &&
    store.apply(
      [{ do: 'set', setup: store.setup.id, instance: piece.instance.id, ...to }],
      `${note} ${piece.part.name}`,
    )
  const slide = (by: number) => {
    const { piece } = bench
    const travel = piece && travelOf(piece)
    if (!piece?.joint || !travel) return
    change(
      piece,
      { slideMm: Math.min(travel.maxMm, Math.max(travel.minMm, piece.joint.slideMm + by * travel.stepMm)) },
      'slide',
    )
  }
  const off = () => {
    if (bench.piece?.joint && takeOff(store, bench.piece)) bench.dropAll()
  }
  const cureWorst = () => {
    const remedy = bench.firstWay
    if (remedy) store.apply(remedy.commands, 'first cure of the worst finding')
  }
  const plain: Record<string, (event: KeyboardEvent) => void> = {
    o: () => bench.stepPoint(1),
    O: () => bench.stepPoint(-1),
    p: () => bench.stepPiece(1),
    P: () => bench.stepPiece(-1),
    '/': find,
    '?': help,
    f: focusFits,
    '+': () => bench.zoom(ZOOM_STEP),
    '=': () => bench.zoom(ZOOM_STEP),
    '-': () => bench.zoom(1 / ZOOM_STEP),
    '0': () => bench.zoom(0),
    r: () => (bench.showRooms = !bench.showRooms),
    l: () => (bench.showLeads = !bench.showLeads),
    h: () => (bench.hanging = !bench.hanging),
    c: cureWorst,
    ',': () => slide(-1),
    '.': () => slide(1),
    t: () => bench.piece?.joint && change(bench.piece, { turnDeg: nextTurn(bench.piece) }, 'turn'),
    Delete: off,
    Backspace: off,
    Escape: () => bench.dropAll(),
  }
  plain['5'] = () => bench.setView('turntable')
  viewIds.forEach((id, i) => (plain[String(i + 1)] = () => bench.setView(id)))
  onKeyStroke(true, (event) => {
    if (document.querySelector('[role="dialog"]')) return
    if ((event.ctrlKey || event.metaKey) && !event.altKey) {
      const key = event.key.toLowerCase()
      if (inField(event) || (key !== 'z' && key !== 'y')) return
      event.preventDefault()
      if (key === 'y' || event.shiftKey) void store.redo()
      else void store.undo()
      return
    }
    if (event.altKey || (inField(event) && event.key !== 'Escape')) return
    const act = plain[event.key]
    if (!act) return
    event.preventDefault()
    act(event)
  })
}
