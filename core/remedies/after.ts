import { type Command, edit, placeSetup } from '../assembly/index.ts'
import { type Facts, factsAfter as factsNext } from '../facts/index.ts'

/** Facts of the set-up after some edits; undefined when they can't be done. */
export const figuresAfter = (facts: Facts, commands: readonly Command[]): Facts | undefined => {
  const edited = edit(facts.assembly.rig, commands, facts.context.catalogue)
  const setup = edited.ok ? edited.value.setups.find(({ id }) => id === facts.assembly.setup.id) : undefined
  return edited.ok && setup
    ? factsNext(facts, placeSetup(edited.value, setup, facts.context.catalogue), facts.context, true)
    : undefined
}
