import type { Assessment, FigureId } from '@zucchini/core/assess'
import type { FactName } from '@zucchini/core/facts'
import { defineStore } from 'pinia'
import { ref, shallowRef } from 'vue'
import type { Told } from './told.ts'

/** A figure that can be asked about: one of the bench's bars, or any figure of a set-up by its name. */
export type FigureRef = FigureId | `fact ${FactName}`

/** Which figure is asked about, and of which set-up as it is now. */
export const useAsk = defineStore('ask', () => {
  const figure = ref<FigureRef>()
  const assessment = shallowRef<Assessment>()
  const told = shallowRef<Told>()
  const trail = ref<readonly FigureRef[]>([])
  const open = (asked: FigureRef, of: Assessment) => {
    assessment.value = of
    told.value = undefined
    trail.value = []
    figure.value = asked
  }
  /** A figure of no set-up, with all there is to say of it. */
  const tell = (said: Told) => {
    figure.value = undefined
    told.value = said
  }
  /** Goes on to a figure that the one on show is made of; `back` leads the same way. */
  const deeper = (asked: FigureRef) => {
    if (figure.value) trail.value = [...trail.value, figure.value]
    figure.value = asked
  }
  const back = () => {
    figure.value = trail.value.at(-1) ?? figure.value
    trail.value = trail.value.slice(0, -1)
  }
  const close = () => {
    figure.value = undefined
    told.value = undefined
  }
  return { figure, assessment, told, trail, open, tell, deeper, back, close }
})
