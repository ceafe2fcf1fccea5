<script setup lang="ts">
import { type Assessment, cardsIn } from '@zucchini/core/assess'
import { roomPoses } from '@zucchini/core/clearance'
import type { Point2 } from '@zucchini/core/kernel'
import { useElementSize } from '@vueuse/core'
import { computed, defineAsyncComponent, ref, useTemplateRef } from 'vue'
import { useRouter } from 'vue-router'
import { extentOfLeads, leadLines } from '../../drawing/lead-lines.ts'
import { dimensionPath, figureSpot, freeSpot, overall, plumbOf } from '../../drawing/dimensions.ts'
import { throughLens } from '../../drawing/lens.ts'
import { useLens } from '../../drawing/use-lens.ts'
import { legendOf } from '../../drawing/legend.ts'
import { pointMarks } from '../../drawing/marks.ts'
import {
  type Extent,
  extentOfRig,
  fitTo,
  flat,
  onSheet,
  roundedPath,
  silhouette,
  slidStrokesOf,
  type ViewId,
  views,
  withRoomFor,
} from '@zucchini/core/drawing'
import CentreMark from '../../drawing/CentreMark.vue'
import RigSketch from '../../drawing/RigSketch.vue'
import LeadStrokes from '../../drawing/LeadStrokes.vue'
import RigStrokes from '../../drawing/RigStrokes.vue'
import { useBench } from '../../stores/bench.ts'
import { useSettings } from '../../stores/settings.ts'
import ViewPicker from '../../widgets/ViewPicker.vue'
import ExportMenu from './ExportMenu.vue'
import FindingSigns from '../../drawing/FindingSigns.vue'
import OpenPoints from './OpenPoints.vue'
import { millimetres } from '../../wording.ts'

const TurnTable = defineAsyncComponent(() => import('../../turntable/TurnTable.vue'))

/** `judged`: the state whose findings are shown; an edit's come a frame after its drawing. */
const props = defineProps<{ assessment: Assessment; judged?: Assessment | undefined }>()
const said = computed(() => props.judged ?? props.assessment)
const bench = useBench()
const settings = useSettings()
const sheet = useTemplateRef<HTMLElement>('sheet')
const { width, height } = useElementSize(sheet, { width: 780, height: 500 })

/** Without WebGL the elevations stay, and the button says why it is grey. */
const unable = ref(false)
const giveUp = () => {
  unable.value = true
  bench.setView(bench.view)
}

const NARROW_PX = 620
/** The findings' numbers stand so far off the rig, in a column so wide. px */
const LEGEND_PX = 34
const LEGEND_WIDE_PX = 92
const INSET = { width: 132, height: 190 }
const companion = computed<ViewId>(() => (bench.view === 'side' ? 'front' : 'side'))
/** On a phone the switches stand in a row of their own. */
const narrow = computed(() => width.value < NARROW_PX)
const extent = computed(() => extentOfRig(bench.view, props.assessment.assembly))
const badged = computed(
  () => !bench.hanging && said.value.findings.some(({ at, level }) => at !== undefined && level !== 'hint'),
)
const margins = computed(() => ({
  left: 66,
  right: (narrow.value ? 30 : INSET.width + 26) + (badged.value ? LEGEND_WIDE_PX - (narrow.value ? 0 : 40) : 0),
  top: narrow.value ? 92 : 46,
  bottom: 50,
}))
/** Where a lead hangs beyond the sheet, or a way out would put something there, the sheet makes room for it. */
const EDGES = { left: 8, right: 8, top: 46, bottom: 8 } as const
const wholeFit = computed(() => {
  const fitted = (to: Extent) => fitTo(to, width.value, height.value, margins.value)
  if (bench.hanging) return fitted(extent.value)
  const ghost =
    bench.ghosts.length > 0 && extentOfRig(bench.view, { ...props.assessment.assembly, placed: bench.ghosts })
  const more = [
    bench.showLeads ? extentOfLeads(bench.view, props.assessment.facts.leads) : undefined,
    ghost && Number.isFinite(ghost.left) ? ghost : undefined,
  ]
  const whole = more.reduce<Extent>(
    (so, one) => withRoomFor(so, one, fitted(so), width.value, height.value, EDGES),
    extent.value,
  )
  return fitted(whole)
})
const fit = computed(() => throughLens(wholeFit.value, bench.lens, width.value, height.value))
const { dragging, handlers, click } = useLens(
  sheet,
  () => bench.lens,
  (lens) => (bench.lens = lens),
)
const strokes = computed(() => slidStrokesOf(bench.view, props.assessment.assembly, fit.value))
const ghosts = computed(() =>
  bench.hanging
    ? []
    : slidStrokesOf(bench.view, { ...props.assessment.assembly, placed: bench.ghosts }, fit.value, false),
)
const points = computed(() =>
  bench.hanging
    ? []
    : pointMarks(bench.view, props.assessment.points, fit.value, props.assessment.assembly, bench.point),
)
const dimensions = computed(() => (bench.hanging ? [] : overall(extent.value, fit.value)))
const plumb = computed(() => plumbOf(bench.view, props.assessment, extent.value, fit.value))
const centre = computed(() => onSheet(fit.value, flat(bench.view, props.assessment.mass.centre)))
const axis = computed(() => onSheet(fit.value, flat(bench.view, [0, 0, 0])))
/** Where marks lie that no figure may cover. */
const placesTaken = computed(() => [
  ...points.value.map(({ x, y }) => [x, y] as const),
  ...(plumb.value ? [plumb.value.grip, [plumb.value.foot[0], plumb.value.foot[1] + 8] as const] : []),
])
/** How far palm and centre stand apart is told below them, or where there is room. */
const offSpot = computed(() => {
  if (!plumb.value) return [0, 0] as const
  const { grip, centre: heavy } = plumb.value
  const x = (grip[0] + heavy[0]) / 2
  const spots = [
    [x, heavy[1] + 22],
    [x, heavy[1] - 16],
    [Math.max(grip[0], heavy[0]) + 38, heavy[1] + 4],
    [Math.min(grip[0], heavy[0]) - 38, heavy[1] + 4],
  ] as const
  return freeSpot(spots, placesTaken.value)
})
const ratio = computed(() => (96 / 25.4 / fit.value.scale).toFixed(1))

const tone: Record<string, string> = { stop: 'var(--brick)', risk: 'var(--ink)', hint: 'var(--ink)' }
const marked = computed(() => {
  const found = new Map<string, string>()
  for (const finding of said.value.findings)
    if (finding.level === 'stop' && finding.parts[0] && !found.has(finding.parts[0]))
      found.set(finding.parts[0], tone[finding.level] ?? '')
  return found
})

/** What is wrong where, in numbers: in a column beside the rig, so that no sign lies on what it means. */
const signs = computed(() => {
  if (bench.hanging) return []
  const spots = cardsIn(said.value).flatMap(({ root: { finding } }, i) => {
    if (!finding.at || finding.level === 'hint') return []
    const [x, y] = onSheet(fit.value, flat(bench.view, finding.at))
    return [{ n: i + 1, level: finding.level, x, y }]
  })
  const [right] = onSheet(fit.value, [extent.value.right, 0])
  const left = Math.min(right + LEGEND_PX, width.value - LEGEND_WIDE_PX)
  const clearOfInset = narrow.value || left + LEGEND_WIDE_PX < width.value - INSET.width - 20
  return legendOf(spots, left, narrow.value ? 100 : 60, height.value - (clearOfInset ? 46 : INSET.height + 60))
})

/**
 * How far the drawing turns about the palm to hang as the rig would: the nose's tilt from the side, the roll from front
 * and rear.
 */
const hangStyle = computed(() => {
  const { hang } = props.assessment
  if (!bench.hanging || !hang || bench.view === 'top') return {}
  const [x, y] = onSheet(fit.value, flat(bench.view, hang.grip))
  const turn = { side: hang.tiltDeg, rear: hang.rollDeg, front: -hang.rollDeg }[bench.view]
  return { transform: `rotate(${turn}deg)`, transformOrigin: `${x}px ${y}px` }
})

const leaders = computed(() =>
  points.value
    .filter(({ from, x, y }) => from[0] !== x || from[1] !== y)
    .map(({ from, x, y }) => `M${from[0]} ${from[1]}L${x} ${y}`)
    .join(''),
)

const rooms = computed(() => {
  if (!bench.showRooms) return []
  const { assembly } = props.assessment
  const invaded = new Set(
    props.assessment.facts.invasions.map(({ piece, room }) => `${piece.instance.id} ${room.kind}`),
  )
  return assembly.placed.flatMap((piece) =>
    piece.part.rooms.map((room, i) => ({
      key: `${piece.instance.id}${i}`,
      tone: invaded.has(`${piece.instance.id} ${room.kind}`) ? 'var(--brick)' : 'var(--amber)',
      d: roomPoses(piece, room)
        .map(({ shape }) =>
          roundedPath(
            silhouette(bench.view, shape).map((p): Point2 => onSheet(fit.value, p)),
            2,
          ),
        )
        .join(''),
    })),
  )
})

const leads = computed(() =>
  bench.showLeads ? leadLines(bench.view, props.assessment.facts.leads, fit.value, props.assessment.mass.centre) : [],
)
const router = useRouter()
const toWiring = (cable: string) => {
  const { rig, setup } = props.assessment.assembly
  void router.push({ name: 'wiring', params: { id: rig.id }, query: { setup: setup.id, lead: cable } })
}
</script>

<template>
  <section class="relative flex min-h-0 flex-col" aria-label="The rig, drawn to scale">
    <ViewPicker
      class="absolute top-2.5 left-4 z-10"
      :view="bench.turning ? undefined : bench.view"
      @pick="bench.setView"
    >
      <button
        class="rounded-md px-2.5 py-1 font-medium"
        :class="bench.turning ? 'bg-ink text-paper' : 'text-soft hover:text-ink disabled:opacity-50'"
        :aria-pressed="bench.turning"
        :disabled="unable"
        :title="unable ? 'This browser can not draw in space' : 'Turn it round (5)'"
        @click="bench.setView('turntable')"
      >
        Turntable
      </button>
    </ViewPicker>
    <div
      class="tight absolute top-3.5 right-4 z-10 flex items-center gap-3 text-[12.5px] text-soft max-[1120px]:top-12 max-[1120px]:right-auto max-[1120px]:left-4"
    >
      <button
        v-if="!bench.turning && bench.lens.zoom > 1"
        class="underline decoration-dotted underline-offset-2"
        title="The whole rig again (0)"
        @click="bench.zoom(0)"
      >
        whole rig
      </button>
      <span v-if="!bench.turning" data-testid="ratio">1 : {{ ratio }}</span>
      <label v-if="assessment.hang && !bench.turning" class="flex cursor-pointer items-center gap-1.5"
        ><input v-model="bench.hanging" type="checkbox" class="accent-leaf" /> as it hangs</label
      >
      <label v-if="assessment.facts.leads.length" class="flex cursor-pointer items-center gap-1.5"
        ><input v-model="bench.showLeads" type="checkbox" class="accent-leaf" /> leads</label
      >
      <label class="flex cursor-pointer items-center gap-1.5"
        ><input v-model="bench.showRooms" type="checkbox" class="accent-leaf" /> rooms</label
      >
      <ExportMenu :assessment="assessment" />
    </div>
    <TurnTable v-if="bench.turning && !unable" :assessment="assessment" @unable="giveUp" />
    <div
      v-show="!bench.turning"
      ref="sheet"
      class="min-h-0 flex-1 overflow-hidden"
      :class="{ 'cursor-grabbing': dragging, 'touch-pan-y': bench.lens.zoom === 1, 'touch-none': bench.lens.zoom > 1 }"
      v-on="handlers"
      @click.capture="click"
    >
      <svg
        :viewBox="`0 0 ${width} ${height}`"
        :width="width"
        :height="height"
        class="block select-none"
        @click="bench.dropAll()"
      >
        <title>{{ views[bench.view].title }} elevation of the rig</title>
        <path
          v-if="bench.view !== 'front' && bench.view !== 'rear'"
          :d="`M46 ${axis[1]}H${width - 24}`"
          stroke="var(--soft)"
          stroke-width="0.7"
          stroke-dasharray="14 3 2 3"
          opacity="0.7"
        />
        <LeadStrokes :leads="leads.filter(({ behind }) => behind)" :hang="hangStyle" @pick="toWiring" />
        <g class="hang" :style="hangStyle">
          <RigStrokes
            :strokes="strokes"
            hatch-id="bench-hatch"
            :picked="bench.pieceId"
            :marked="marked"
            @pick="bench.pickPiece"
          />
        </g>
        <LeadStrokes :leads="leads.filter(({ behind }) => !behind)" :hang="hangStyle" @pick="toWiring" />
        <RigStrokes
          v-if="ghosts.length"
          :strokes="ghosts"
          hatch-id="bench-ghosts"
          state="ghost"
          pointer-events="none"
          data-testid="ghosts"
        />
        <LeadStrokes hidden :leads="leads.filter(({ behind }) => behind)" :hang="hangStyle" @pick="toWiring" />
        <g v-for="room in rooms" :key="room.key" class="hang" :style="hangStyle" pointer-events="none">
          <path
            :d="room.d"
            :fill="room.tone"
            fill-opacity="0.05"
            :stroke="room.tone"
            stroke-width="1"
            stroke-dasharray="4 3"
          />
        </g>
        <g stroke="var(--soft)" fill="none" stroke-width="0.9">
          <path v-for="(d, i) in dimensions" :key="i" :d="dimensionPath(d)" />
        </g>
        <g
          v-for="(d, i) in dimensions"
          :key="`t${i}`"
          v-ask="['fact size', assessment]"
          class="fig"
          pointer-events="bounding-box"
          font-size="12.5"
          text-anchor="middle"
        >
          <text
            :x="figureSpot(d, placesTaken)[0]"
            :y="figureSpot(d, placesTaken)[1] + 4"
            fill="var(--ink)"
            stroke="var(--paper)"
            stroke-width="5"
            paint-order="stroke"
          >
            {{ millimetres(Math.round(d.lengthMm), settings.units) }}
          </text>
        </g>
        <g v-if="plumb" pointer-events="none">
          <path
            :d="`M${plumb.grip[0]} ${plumb.grip[1]}V${plumb.foot[1]}`"
            stroke="var(--leaf)"
            stroke-width="1.4"
            stroke-dasharray="6 3.5"
          />
          <circle :cx="plumb.grip[0]" :cy="plumb.grip[1]" r="4" fill="var(--leaf)" stroke="var(--paper)" />
          <path :d="`M${plumb.foot[0]} ${plumb.foot[1] + 9}l-5 -10h10z`" fill="var(--leaf)" />
          <template v-if="Math.abs(plumb.offMm) >= 1 && !bench.hanging">
            <path
              :d="`M${plumb.grip[0]} ${plumb.centre[1]}H${plumb.centre[0]}`"
              stroke="var(--amber)"
              stroke-width="2"
            />
            <text
              :x="offSpot[0]"
              :y="offSpot[1]"
              font-size="12.5"
              text-anchor="middle"
              class="fig"
              fill="var(--amber)"
              stroke="var(--card)"
              stroke-width="4"
              paint-order="stroke"
            >
              {{ millimetres(Math.round(Math.abs(plumb.offMm)), settings.units) }}
            </text>
          </template>
        </g>
        <g class="hang" :style="hangStyle" pointer-events="none">
          <CentreMark :at="centre" />
        </g>
        <path :d="leaders" stroke="var(--leaf)" stroke-width="0.8" pointer-events="none" />
        <OpenPoints :marks="points" />
        <FindingSigns :signs="signs" />
      </svg>
    </div>
    <button
      v-if="!narrow && !bench.turning"
      class="absolute right-3 bottom-3 rounded-md border border-transparent p-1 hover:border-line"
      :title="`To the ${views[companion].title.toLowerCase()} elevation`"
      @click="bench.setView(companion)"
    >
      <RigSketch
        :assembly="assessment.assembly"
        :view="companion"
        :width="INSET.width"
        :height="INSET.height"
        :pad="6"
      />
      <span class="label tight block text-center">{{ views[companion].title }}</span>
    </button>
  </section>
</template>

<style scoped>
.hang {
  transition: transform 0.35s ease-in-out;
}
@media (prefers-reduced-motion: reduce) {
  .hang {
    transition: none;
  }
}
</style>
