import { connectors } from '../catalogue/index.ts'
import { writeCsv } from '../formats/index.ts'
import type { Assessment } from './evaluate.ts'

const whole = (value: number): number | string => (Number.isFinite(value) ? Math.round(value) : '')
const tenths = (value: number): number => Math.round(value * 10) / 10

/** The leads of a set-up as CSV: ends, lengths and what each passes. */
export const leadsCsv = ({ facts }: Assessment): string =>
  writeCsv(
    [
      'lead',
      'from',
      'from socket',
      'to',
      'to socket',
      'carries',
      'needed (mm)',
      'reaches (mm)',
      'over (mm)',
      'mass (g)',
      'held by',
    ],
    facts.leads.map(({ part, from, to, cable, needMm, reachMm, spareMm, held }) => [
      part.name,
      from.piece.part.name,
      from.socket.label ?? connectors[from.socket.connector].title,
      to.piece.part.name,
      to.socket.label ?? connectors[to.socket.connector].title,
      cable.carries.join(' '),
      whole(needMm),
      whole(reachMm),
      whole(spareMm),
      part.massG,
      held.map(({ piece }) => piece.part.name).join('; '),
    ]),
  )

/**
 * What draws and what gives in a set-up as CSV: watts, volts, hours, and when each is dark or empty with everything on.
 */
export const powerCsv = ({ facts }: Assessment): string =>
  writeCsv(
    [
      'piece',
      'is',
      'recording (W)',
      'waiting (W)',
      'holds (Wh)',
      'usable now (Wh)',
      'lowest (V)',
      'highest (V)',
      'ends after (min)',
    ],
    [
      ...facts.network.cells.map((cell) => [
        cell.name,
        'battery',
        '',
        '',
        tenths(cell.capacityWh),
        tenths(cell.usableWh),
        cell.volts.min,
        cell.volts.max,
        whole(facts.runDown.cellMin.get(cell.id) ?? Infinity),
      ]),
      ...facts.network.nodes.map((node) => [
        node.name,
        node.drawW > 0 ? 'draws' : 'passes on',
        tenths(node.drawW),
        tenths(node.standbyW),
        '',
        '',
        '',
        '',
        whole(facts.runDown.nodeMin.get(node.id) ?? Infinity),
      ]),
    ],
  )
