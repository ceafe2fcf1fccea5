import { type Ref, ref, watch } from 'vue'
import { type LocationQuery, useRoute } from 'vue-router'
import { useRig } from '../stores/rig.ts'

const firstOf = (query: LocationQuery, name: string): string | undefined => {
  const value = query[name]
  return typeof value === 'string' ? value : undefined
}

/**
 * Opens the rig the address names, and the set-up it asks for by `?setup=`, again whenever the address names another
 * rig.
 *
 * @param opened - Called when a rig stands open, with a reader of the address's other questions.
 * @returns Why the rig could not be opened, in words to show; empty while there is no trouble.
 */
export const useRigOfRoute = (
  opened?: (asked: (name: string) => string | undefined) => void,
): Readonly<Ref<string>> => {
  const route = useRoute()
  const store = useRig()
  const trouble = ref('')
  watch(
    () => route.params['id'],
    async (id) => {
      if (typeof id !== 'string') return
      try {
        trouble.value = ''
        await store.open(id)
        const setup = firstOf(route.query, 'setup')
        if (setup !== undefined) store.setupId = setup
        opened?.((name) => firstOf(route.query, name))
      } catch (error) {
        trouble.value = error instanceof Error ? error.message : 'The rig could not be opened.'
      }
    },
    { immediate: true },
  )
  return trouble
}
