import type { Operator } from '@zucchini/core/balance'
import { type Catalogue, catalogueOf, type Part } from '@zucchini/core/catalogue'
import type { Shelf } from '@zucchini/core/checks'
import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'
import { api, ApiRefusal, type OperatorAnswer } from '../api.ts'
import { benchWorker } from '../workers/client.ts'

/** The catalogue and the locker, as every screen needs them. */
export const useShelf = defineStore('shelf', () => {
  const catalogue = shallowRef<Catalogue>()
  const owned = shallowRef<ReadonlyMap<string, number>>(new Map())
  let loading: Promise<void> | undefined
  const own = shallowRef<ReadonlySet<string>>(new Set())
  const operator = shallowRef<Operator>()
  const calibrated = ref(false)
  const shelf = computed<Shelf | undefined>(
    () => catalogue.value && { catalogue: catalogue.value, owned: owned.value, ...(operator.value ? { operator: operator.value } : {}) },
  )

  const tellWorker = async (parts?: readonly Part[]) => benchWorker().setShelf(parts, [...owned.value], operator.value)

  const adoptArm = ({ calibrated: known, strengthNm, armMassG }: OperatorAnswer) => {
    operator.value = { strengthNm, armMassG }
    calibrated.value = known
  }

  /** Keeps what a timed hold showed; nothing goes back to the average adult. */
  const setOperator = async (arm: Operator | undefined): Promise<void> => {
    adoptArm(arm ? await api.setOperator(arm) : await api.forgetOperator())
    await tellWorker()
  }

  const fetchAll = async () => {
    const [{ parts, own: mine }, { pieces }, arm] = await Promise.all([api.catalogue(), api.locker(), api.operator()])
    adoptArm(arm)
    own.value = new Set(mine)
    owned.value = new Map(Object.entries(pieces))
    catalogue.value = catalogueOf(parts)
    await tellWorker(parts)
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
    await tellWorker()
  }

  /** Reads everything again, after parts came in from elsewhere. */
  const reload = (): Promise<void> => {
    loading = undefined
    return load()
  }

  return { catalogue, owned, own, shelf, operator, calibrated, load, reload, setOwned, setOperator }
})
