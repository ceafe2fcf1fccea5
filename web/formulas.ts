import type { FigureId } from '@zucchini/core/assess'
import type { FactName } from '@zucchini/core/facts'
import text from '../docs/formulas.md?raw'

/** A link to another page of the documents: here its words are enough. */
const LINK = /\[([^\]]+)\]\([^)]+\)/g

/** The paragraphs of the formulas that ship with the program, by their titles. */
const paragraphs: ReadonlyMap<string, string> = new Map(
  text.split(/\n{2,}/).flatMap((paragraph) => {
    const [, title, said] = /^\*\*(.+?)\.?\*\* ([\s\S]+)$/.exec(paragraph.trim()) ?? []
    return title !== undefined && said !== undefined ? [[title, said.replaceAll(LINK, '$1')] as const] : []
  }),
)

/** Under which titles the formula of a figure stands; a list that is only read off has none. */
const titlesOf: Readonly<Partial<Record<FactName, readonly string[]>>> = {
  leads: ['The way of a lead'],
  demands: ['Choosing leads'],
  recordings: ['Recording'],
  mass: ['Mass', 'Centre of mass', 'Source and error'],
  leadWeights: ['Mass'],
  worn: ['Off the rig'],
  ground: ['What bears the rig'],
  loads: ['Load of a joint', 'Twist of a single screw', 'Sag of rods'],
  hangs: ['Hang'],
  hang: ['Hang'],
  stand: ['Standing', 'Coming to rest'],
  hands: ['Two hands'],
  palms: ['Two hands'],
  onPlate: ['Plate'],
  gimbal: ['Plate'],
  shoulder: ['Shoulder'],
  tip: ['Tipping'],
  steadiness: ['Steadiness', 'Inertia'],
  clashes: ['Clash'],
  size: ['Height'],
  invasions: ['Rooms'],
  gloved: ['Rooms'],
  closeFits: ['Rooms'],
  screens: ['Seen or hidden'],
  ownScreen: ['Seen or hidden'],
  leadIntrusions: ['Rooms', 'Plugs'],
  plugs: ['Plugs'],
  sight: ['What the lens sees'],
  inShot: ['In the picture'],
  jams: ['Locked'],
  network: ['Who feeds whom', 'What a battery gives'],
  spares: ['What a battery gives'],
  bays: ['Charging'],
  runDown: ['What goes dark when'],
  day: ['The day', 'Charging'],
  front: ['What the lens sees'],
  deliveries: ['Field of view'],
  picture: ['Field of view'],
  clean: ['Vignetting'],
  lensKit: ['Adapters of lenses', 'Step rings'],
  light: ['Exposure', 'The light of the day', 'Which filters hold it'],
  economy: ['A filter for every lens'],
  supports: ['Support and focus'],
  drives: ['Support and focus'],
  cost: ['Money', "A part's price"],
  bill: ['The bill'],
  chance: ['Chance of staying within'],
}

const figureTitlesOf: Readonly<Record<FigureId, readonly string[]>> = {
  'in-hand': ['Mass', 'Source and error'],
  'to-buy': ['Money', "A part's price"],
  runs: ['What goes dark when', 'What a battery gives'],
  hangs: ['Hang', 'Source and error'],
  tall: ['Height'],
  'set-up': ['Set-up time'],
  held: ['Hold time'],
}

/** A formula with its title. */
export interface Formula {
  readonly title: string
  readonly text: string
}

/** Formulas by their titles. @throws {RangeError} for a title nobody wrote */
export const formulasNamed = (titles: readonly string[]): readonly Formula[] =>
  titles.map((title) => {
    const said = paragraphs.get(title)
    if (said === undefined) throw new RangeError(`The formulas have no "${title}".`)
    return { title, text: said }
  })

/** The formulas of a figure, as they are written down, with where they come from. */
export const formulasOf = (name: FactName): readonly Formula[] => formulasNamed(titlesOf[name] ?? [])
export const formulasOfBar = (id: FigureId): readonly Formula[] => formulasNamed(figureTitlesOf[id])
