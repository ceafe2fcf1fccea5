import { type Assessment, tryOut } from '@zucchini/core/assess'
import { type Command, edit } from '@zucchini/core/assembly'
import { useRig } from '../../stores/rig.ts'

/** The set-up on the bench as some edits would leave it: its figures can be asked like any other's. */
export const useAsIf = (): ((commands: readonly Command[]) => Assessment | undefined) => {
  const store = useRig()
  return (commands) => {
    const { rig, assessment } = store
    const edited = rig && assessment && edit(rig, commands, assessment.facts.context.catalogue)
    return edited?.ok && assessment ? tryOut(edited.value, assessment) : undefined
  }
}
