import type { Rig } from '../assembly/index.ts'
import { type Finding, troubleOf } from '../checks/index.ts'

const linksOf = ({ setups }: Rig, id: string) => setups.find((setup) => setup.id === id)?.links ?? []

/**
 * A finding's name, to be held to those of the same rig before or after an edit: a lead that is plugged in only here is
 * called by the sockets it joins, for another between them has the same troubles.
 */
export const troubleBySockets = (rig: Rig, id: string, one: Finding, other: Rig): string => {
  const there = new Set(linksOf(other, id).map(({ cable }) => cable))
  const called = (name: string) => {
    const link = there.has(name) ? undefined : linksOf(rig, id).find(({ cable }) => cable === name)
    return link
      ? [link.from, link.to]
          .map(({ instance, socket }) => `${instance}/${socket}`)
          .sort()
          .join('-')
      : name
  }
  return troubleOf({ ...one, key: one.key.split(' ').map(called).join(' '), parts: one.parts.map(called) })
}
