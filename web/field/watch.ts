import { ref, watch } from 'vue'
import { useContext } from '../stores/context.ts'
import { useField } from '../stores/field.ts'
import { useRig } from '../stores/rig.ts'

/** Shorter is a slip of the thumb, longer a break; s. */
const LAP = { least: 1, most: 900 } as const

/**
 * A watch over steps: while it runs, what a step took is told of its kind of joint, and seconds are reckoned with the
 * middle of all of them from then on.
 * @param step what is being done now, with the kind its seconds are known by
 */
export const useLapWatch = (step: () => { readonly timed?: string } | undefined) => {
  const store = useRig()
  const field = useField()
  const context = useContext()
  const runs = ref(false)
  const told = ref('')
  const begun = ref(0)
  watch([step, runs], () => (begun.value = Date.now()))

  /** The step is done: tells how long it took, where the watch runs and that says something. */
  const lap = async ({ timed }: { readonly timed?: string }): Promise<void> => {
    const seconds = Math.round((Date.now() - begun.value) / 1000)
    told.value = ''
    if (!runs.value || !timed || !store.told || seconds < LAP.least || seconds > LAP.most) return
    await field.tell(store.told, store.told.revision, { kind: 'lap', joint: timed, seconds, day: context.today })
    const { value, times } = field.learnt.seconds.get(timed) ?? { value: seconds, times: 1 }
    told.value = `${seconds} s by the watch; your middle is ${Math.round(value)} s of ${times}.`
  }
  return { runs, told, lap }
}
