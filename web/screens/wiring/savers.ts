import { type Command, freshId, type Link, type Rig } from '@zucchini/core/assembly'
import { type Catalogue, cheapestFirst, type ConnectorId, goesIn, type Part } from '@zucchini/core/catalogue'

/** The port savers and couplers that go into a socket, owned ones first, then the cheapest. */
export const saversFor = (
  catalogue: Catalogue | undefined,
  connector: ConnectorId,
  owned: ReadonlyMap<string, number>,
): readonly Part[] =>
  [...(catalogue?.byRole.get('coupler') ?? [])]
    .filter(({ coupler }) => coupler && goesIn(coupler.connector, connector))
    .sort((a, b) => Number(owned.has(b.id)) - Number(owned.has(a.id)) || cheapestFirst(a, b))

/**
 * The edits that put a port saver between a plug and its socket, one of the kit that is on no plug before a new one; or
 * that leave the plug without, for an empty part.
 */
export const saverCommands = (
  rig: Rig,
  setup: string,
  link: Link,
  end: 'from' | 'to',
  partId: string,
): readonly Command[] => {
  const { couplers = {}, ...bare } = link
  const { [end]: _, ...others } = couplers
  const idleId = () => {
    const busy = new Set(
      rig.setups.find(({ id }) => id === setup)?.links.flatMap((one) => Object.values(one.couplers ?? {})) ?? [],
    )
    return rig.kit.find((instance) => instance.partId === partId && !busy.has(instance.id))?.id
  }
  if (!partId)
    return [{ do: 'link', setup, link: Object.keys(others).length > 0 ? { ...bare, couplers: others } : bare }]
  const idle = idleId()
  const id = idle ?? freshId(rig, partId)
  return [
    ...(idle === undefined ? [{ do: 'add', instance: { id, partId, status: 'in' } } as const] : []),
    { do: 'link', setup, link: { ...bare, couplers: { ...others, [end]: id } } },
  ]
}
