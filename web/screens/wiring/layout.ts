import ELK, { type ElkExtendedEdge, type ElkNode } from 'elkjs/lib/elk-api.js'
import workerUrl from 'elkjs/lib/elk-worker.min.js?url'
import { DOCK, type Edge, type Graph, type Node, SEAT_Y } from './wiring-graph.ts'

export interface LaidEdge {
  readonly edge: Edge
  readonly points: readonly (readonly [number, number])[]
  readonly label: { readonly x: number; readonly y: number } | undefined
}
export interface Laid {
  readonly width: number
  readonly height: number
  readonly nodes: readonly { readonly node: Node; readonly x: number; readonly y: number }[]
  readonly edges: readonly LaidEdge[]
}

let elk: InstanceType<typeof ELK> | undefined
const LETTER = 6
export const LABEL_LINE = 15
/** How wide and high the words on a lead are, px. */
export const labelSize = (label: readonly string[]) => ({
  width: Math.max(0, ...label.map((line) => line.length)) * LETTER + 10,
  height: label.length * LABEL_LINE + 5,
})

const options = {
  'elk.algorithm': 'layered',
  'elk.direction': 'RIGHT',
  'elk.edgeRouting': 'ORTHOGONAL',
  'elk.layered.spacing.nodeNodeBetweenLayers': '22',
  'elk.spacing.nodeNode': '26',
  'elk.spacing.edgeEdge': '12',
  'elk.layered.spacing.edgeNodeBetweenLayers': '14',
  'elk.spacing.edgeNode': '16',
  'elk.spacing.edgeLabel': '2',
  'elk.layered.nodePlacement.strategy': 'NETWORK_SIMPLEX',
  'elk.layered.considerModelOrder.strategy': 'NODES_AND_EDGES',
}

/** A battery’s contacts, and the seat of whatever may hold one: no sockets, so they are not drawn as such. */
const seatPorts = ({ id, width, docked }: Node) =>
  (['contacts', 'seat'] as const).map((name) => ({
    id: `${id}//${name}`,
    width: 0,
    height: 0,
    x: name === 'seat' ? 0 : width,
    y: docked.length * DOCK + SEAT_Y,
    layoutOptions: { 'elk.port.side': name === 'seat' ? 'WEST' : 'EAST' },
  }))

const nodeOf = (node: Node): ElkNode => ({
  id: node.id,
  width: node.width,
  height: node.height,
  layoutOptions: { 'elk.portConstraints': 'FIXED_POS' },
  ports: [
    ...seatPorts(node),
    ...node.ports.map((port) => ({
      id: port.id,
      width: 0,
      height: 0,
      x: port.side === 'in' ? 0 : node.width,
      y: port.y,
      layoutOptions: { 'elk.port.side': port.side === 'in' ? 'WEST' : 'EAST' },
    })),
  ],
})

const edgeOf = (edge: Edge): ElkExtendedEdge => ({
  id: edge.id,
  sources: [edge.from.port ?? edge.from.node],
  targets: [edge.to.port ?? edge.to.node],
  labels:
    edge.label.length > 0
      ? [
          {
            id: `${edge.id}-label`,
            text: edge.label.join(' '),
            ...labelSize(edge.label),
            layoutOptions: { 'elk.edgeLabels.inline': 'true' },
          },
        ]
      : [],
})

/** Lays a wiring out from sources to devices, leads at right angles, in a worker. */
export const layOut = async (graph: Graph): Promise<Laid> => {
  elk ??= new ELK({ workerUrl, workerFactory: (url?: string) => new Worker(url ?? workerUrl) })
  const root: ElkNode = {
    id: 'wiring',
    layoutOptions: options,
    children: graph.nodes.map(nodeOf),
    edges: graph.edges.map(edgeOf),
  }
  const laid: ElkNode = await elk.layout(root)
  const places = new Map((laid.children ?? []).map((child) => [child.id, child]))
  return {
    width: laid.width ?? 0,
    height: laid.height ?? 0,
    nodes: graph.nodes.map((node) => ({ node, x: places.get(node.id)?.x ?? 0, y: places.get(node.id)?.y ?? 0 })),
    edges: (laid.edges ?? []).flatMap((drawn): LaidEdge[] => {
      const edge = graph.edges.find(({ id }) => id === drawn.id)
      const [section] = drawn.sections ?? []
      if (!edge || !section) return []
      const [label] = drawn.labels ?? []
      return [
        {
          edge,
          points: [section.startPoint, ...(section.bendPoints ?? []), section.endPoint].map(
            ({ x, y }) => [x, y] as const,
          ),
          label: label && { x: label.x ?? 0, y: label.y ?? 0 },
        },
      ]
    }),
  }
}
