import type { Operator } from '@zucchini/core/balance'
import { armOf, drawsIn, ownedOf, weighedOn } from '@zucchini/core/assess'
import { type Catalogue, catalogueOf, type Part, withPlaceholders } from '@zucchini/core/catalogue'
import type { Limits, Context } from '@zucchini/core/context'
import { defineStore } from 'pinia'
import { computed, ref, shallowRef, watch } from 'vue'
import { asKnown, type PriceView } from '@zucchini/core/money'
import { measuredMasses } from '@zucchini/core/locker'
import { api, ApiRefusal, type OperatorAnswer, type PriceOverview, type SavedPiece } from '../api.ts'
import type { Terms } from '../workers/bench.worker.ts'
import { tellBench } from '../workers/client.ts'
import { useField } from './field.ts'

/** The catalogue and the locker, as every screen needs them. */
export const useContext = defineStore('context', () => {
  const field = useField()
  const catalogue = shallowRef<Catalogue>()
  const owned = shallowRef<ReadonlyMap<string, number>>(new Map())
  let loading: Promise<void> | undefined
  const own = shallowRef<ReadonlySet<string>>(new Set())
  const operator = shallowRef<Operator>()
  const limits = shallowRef<Limits>({})
  const calibrated = ref(false)
  /** The parts as their makers state them; the catalogue has weighed masses and seen prices in their place. */
  let stated: readonly Part[] = []
  /** Parts that left the catalogue and stay known to the rigs that use them; and stand-ins for those nobody knows. */
  let takenOut: readonly Part[] = []
  let placeholders: readonly Part[] = []
  /** The part of one's own that was taken out last: it can be brought back. */
  const takenOutPart = shallowRef<Part>()
  const pieces = shallowRef<readonly SavedPiece[]>([])
  const today = ref('')
  const money = shallowRef<PriceOverview>()
  const prices = computed<ReadonlyMap<string, PriceView>>(
    () => new Map(money.value?.views.map((view) => [view.partId, view])),
  )
  const weighed = computed(() => weighedOn(pieces.value.map(({ piece }) => piece)))
  const measured = computed(() => measuredMasses(pieces.value.map(({ piece }) => piece)))
  /** The arm that is reckoned with; `operator` is the one that was set. */
  const arm = computed(() => armOf(operator.value, calibrated.value, field.learnt))
  const terms = computed<Terms>(() => ({
    weighed: new Map(weighed.value),
    typed: new Set(own.value),
    limits: limits.value,
    ...(money.value ? { rules: money.value.rules, home: money.value.home, rates: money.value.rates } : {}),
    ...(arm.value ? { operator: arm.value } : {}),
    ...(field.lessons.length > 0 ? { learnt: field.learnt } : {}),
  }))
  const whole = computed<Context | undefined>(
    () =>
      catalogue.value && {
        catalogue: catalogue.value,
        owned: owned.value,
        prices: prices.value,
        ...terms.value,
      },
  )

  const tellWorker = (parts?: readonly Part[], gone?: readonly Part[]) =>
    tellBench(parts, [...owned.value], [...prices.value], terms.value, gone, placeholders)

  /** Puts what was weighed and what was seen in shops into the catalogue. */
  const know = () => {
    const parts = asKnown(stated, prices.value, measured.value, drawsIn(field.learnt))
    const gone = asKnown(takenOut, prices.value, measured.value, drawsIn(field.learnt))
    catalogue.value = withPlaceholders(catalogueOf(parts, gone), placeholders)
    tellWorker(parts, gone)
  }
  /** Lets blocks stand for parts nobody knows, as the open rig needs them; none takes them away again. */
  const standIn = async (blocks: readonly Part[]): Promise<void> => {
    if (blocks.length === 0 && placeholders.length === 0) return
    placeholders = blocks
    know()
  }
  // What the field teaches counts at once, here and in the worker.
  watch(
    () => field.lessons,
    () => {
      if (catalogue.value) know()
    },
  )
  const adoptPrices = async (overview: PriceOverview): Promise<void> => {
    money.value = overview
    know()
  }
  /** The locker as it is now: one piece changed, or read anew. */
  const adoptPieces = async (list: readonly SavedPiece[]): Promise<void> => {
    pieces.value = list
    owned.value = ownedOf(list.map(({ piece }) => piece))
    know()
  }
  const readPieces = async (): Promise<void> => {
    const { today: day, pieces: list } = await api.pieces()
    today.value = day
    await adoptPieces(list)
  }

  const adoptArm = ({ calibrated: known, strengthNm, armMassG, limits: own }: OperatorAnswer) => {
    limits.value = own
    operator.value = { strengthNm, armMassG }
    calibrated.value = known
  }

  /** Keeps what a timed hold showed; nothing goes back to the average adult. */
  const setOperator = async (arm: Operator | undefined): Promise<void> => {
    adoptArm(arm ? await api.setOperator(arm) : await api.forgetOperator())
    tellWorker()
  }

  /** Sets one of the operator's limits; null goes back to the usual one. */
  const setLimit = async (check: string, option: string, value: number | null): Promise<void> => {
    adoptArm(await api.setLimit(check, option, value))
    tellWorker()
  }

  const fetchAll = async () => {
    const [{ parts, own: mine, gone }, { today: day, pieces: list }, known, overview] = await Promise.all([
      api.catalogue(),
      api.pieces(),
      api.operator(),
      api.prices(),
      // Without what the field taught all else is known still.
      field.load().catch(() => undefined),
    ])
    adoptArm(known)
    own.value = new Set(mine)
    stated = parts
    takenOut = gone
    today.value = day
    pieces.value = list
    owned.value = ownedOf(list.map(({ piece }) => piece))
    money.value = overview
    know()
  }

  /** Reads catalogue and locker once; a failed reading is tried again at the next call. */
  const load = (): Promise<void> => {
    loading ??= fetchAll().catch((error: unknown) => {
      loading = undefined
      throw error
    })
    return loading
  }

  /** Sets how many pieces of a part are owned. When the locker changed elsewhere, shows what is there now. */
  const setOwned = async (part: string, pieces: number): Promise<void> => {
    const was = owned.value.get(part) ?? 0
    let now = pieces
    try {
      await api.setOwned(part, was, pieces)
    } catch (error) {
      if (!(error instanceof ApiRefusal) || error.code !== 'locker-changed') throw error
      now = Number(error.more['pieces'] ?? 0)
    }
    owned.value = new Map([...owned.value].filter(([id]) => id !== part).concat(now > 0 ? [[part, now]] : []))
    await readPieces()
  }

  /** Reads everything again, after parts came in from elsewhere. */
  const reload = (): Promise<void> => {
    loading = undefined
    return load()
  }

  return {
    catalogue,
    owned,
    own,
    pieces,
    takenOutPart,
    today,
    money,
    prices,
    measured,
    terms,
    whole,
    operator,
    arm,
    limits,
    setLimit,
    calibrated,
    load,
    reload,
    setOwned,
    setOperator,
    adoptPrices,
    adoptPieces,
    readPieces,
    standIn,
  }
})
