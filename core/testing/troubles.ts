import type { Rig } from '../assembly/index.ts'
import { type Finding, troubleOf } from '../checks/index.ts'

/** A finding's name, with each lead called by the sockets it joins: another lead between them has the same troubles. */
export const troubleBySockets = ({ setups }: Rig, id: string, one: Finding): string => {
  const links = setups.find((setup) => setup.id === id)?.links ?? []
  const called = (name: string) => {
    const link = links.find(({ cable }) => cable === name)
    return link
      ? [link.from, link.to]
          .map(({ instance, socket }) => `${instance}/${socket}`)
          .sort()
          .join('-')
      : name
  }
  return troubleOf({ ...one, key: one.key.split(' ').map(called).join(' '), parts: one.parts.map(called) })
}
