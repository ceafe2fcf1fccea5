import { defineStore } from 'pinia'
import { ref, shallowRef } from 'vue'
import { ApiRefusal } from '../api.ts'

/** Something that went wrong without anybody having planned words for it. */
export interface Trouble {
  readonly words: string
  /** For whoever mends the program. */
  readonly detail: string
}

const MOST_NOTES = 3

/** Words for an error nobody caught. */
export const troubleOf = (error: unknown): Trouble => {
  if (error instanceof ApiRefusal) return { words: error.message, detail: error.code }
  const detail = error instanceof Error ? (error.stack ?? error.message) : String(error)
  if (error instanceof TypeError && /fetch|network|load failed/i.test(error.message))
    return { words: 'The program does not answer. Is it still running? Start it again and try once more.', detail }
  if (error instanceof Error && /dynamically imported module|Importing a module/i.test(error.message))
    return { words: 'A part of the program could not be loaded. Reload the page.', detail }
  return { words: error instanceof Error ? error.message : String(error), detail }
}

/**
 * What could not be done and was caught nowhere else. The page goes on; what broke a whole screen is shown in its
 * place.
 */
export const useTroubles = defineStore('troubles', () => {
  const notes = shallowRef<readonly (Trouble & { readonly id: number })[]>([])
  const count = ref(0)
  const note = (error: unknown) => {
    const trouble = troubleOf(error)
    if (notes.value.some(({ words }) => words === trouble.words)) return
    count.value++
    notes.value = [...notes.value, { ...trouble, id: count.value }].slice(-MOST_NOTES)
  }
  const drop = (id: number) => (notes.value = notes.value.filter((one) => one.id !== id))
  return { notes, note, drop }
})
