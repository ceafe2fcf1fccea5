import { type Effect, type FigureId, ghostsOf } from '@zucchini/core/assess'
import type { Command, PlacedPart } from '@zucchini/core/assembly'
import type { Station } from '@zucchini/core/catalogue'
import type { Remedy } from '@zucchini/core/checks'
import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'
import { type ViewId, viewIds } from '@zucchini/core/drawing'
import { type Lens, movedBy, wholeSheet, zoomedAt } from '../drawing/lens.ts'
import { useRig } from './rig.ts'

/** What is being looked at on the bench: the view, and the one open point or piece in hand. */
export const useBench = defineStore('bench', () => {
  const rigStore = useRig()
  const view = ref<ViewId>('side')
  const pointKey = ref('')
  const pieceId = ref('')
  const station = ref<Station>()
  const showRooms = ref(false)
  const showLeads = ref(true)
  const hanging = ref(false)
  const turning = ref(false)
  const wanted = ref('')
  /** The way out that stands first: of the gravest card that has one, tried and free of harm. */
  const firstWay = shallowRef<Remedy>()
  /** The figure that is asked about. */
  const figure = ref<FigureId>()

  const openPoints = computed(() => rigStore.assessment?.points.filter((point) => point.open) ?? [])
  const point = computed(() =>
    openPoints.value.find((candidate) => `${candidate.piece.instance.id}/${candidate.mount.id}` === pointKey.value),
  )
  const piece = computed(() => rigStore.assessment?.assembly.byInstance.get(pieceId.value))

  const pickPoint = (key: string) => {
    figure.value = undefined
    pointKey.value = key
    pieceId.value = ''
  }
  const pickPiece = (id: string) => {
    figure.value = undefined
    pieceId.value = id
    pointKey.value = ''
  }
  const dropAll = () => {
    figure.value = undefined
    pointKey.value = ''
    pieceId.value = ''
    station.value = undefined
    wanted.value = ''
  }
  /** The next open point or piece in the order of the assembly, round and round. */
  const stepPoint = (by: number) => {
    const keys = openPoints.value.map(({ piece, mount }) => `${piece.instance.id}/${mount.id}`)
    if (keys.length === 0) return
    const now = keys.indexOf(pointKey.value)
    pickPoint(keys[(now < 0 ? (by > 0 ? 0 : keys.length - 1) : now + by + keys.length) % keys.length] ?? '')
  }
  const stepPiece = (by: number) => {
    const ids = rigStore.assessment?.assembly.placed.map(({ instance }) => instance.id) ?? []
    const now = ids.indexOf(pieceId.value)
    pickPiece(ids[(now < 0 ? (by > 0 ? 0 : ids.length - 1) : now + by + ids.length) % ids.length] ?? '')
  }
  /** How each view of each set-up is looked at; it is as one left it when one comes back. */
  const lenses = ref<Readonly<Record<string, Lens>>>({})
  const lensKey = computed(() => `${rigStore.rig?.id ?? ''} ${rigStore.setup?.id ?? ''} ${view.value}`)
  const lens = computed({
    get: () => lenses.value[lensKey.value] ?? wholeSheet,
    set: (next: Lens) => (lenses.value = { ...lenses.value, [lensKey.value]: next }),
  })
  const zoom = (factor: number) => (lens.value = zoomedAt(lens.value, factor))
  const move = (u: number, v: number) => (lens.value = movedBy(lens.value, u, v))
  /** What would stand where if what is pointed at were done; drawn in dashes beside the rig as it is. */
  const ghosts = shallowRef<readonly PlacedPart[]>([])
  /** And what the scales would show. */
  const foreseen = shallowRef<Effect>()
  const foresee = (commands: readonly Command[], effect?: Effect) => {
    ghosts.value = rigStore.assessment ? ghostsOf(rigStore.assessment, commands) : []
    foreseen.value = effect
  }
  const forget = () => {
    if (ghosts.value.length > 0) ghosts.value = []
    foreseen.value = undefined
  }
  const setView = (name: string) => {
    turning.value = name === 'turntable'
    if (!turning.value) view.value = viewIds.find((id) => id === name) ?? 'side'
  }
  return {
    figure,
    view,
    pointKey,
    pieceId,
    station,
    showRooms,
    showLeads,
    hanging,
    turning,
    wanted,
    firstWay,
    openPoints,
    point,
    piece,
    pickPoint,
    pickPiece,
    dropAll,
    stepPoint,
    stepPiece,
    setView,
    ghosts,
    foreseen,
    foresee,
    forget,
    lens,
    zoom,
    move,
  }
})
