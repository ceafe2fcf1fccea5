<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { computed, useTemplateRef } from 'vue'
import { LABEL_LINE, type Laid, labelSize } from './layout.ts'
import { DOCK, HEAD, type LineKind, SEAT_Y } from './wiring-graph.ts'

const props = defineProps<{ laid: Laid; cable: string; port: string }>()
const emit = defineEmits<{ cable: [id: string]; port: [id: string]; nothing: [] }>()

const sheet = useTemplateRef<HTMLElement>('sheet')
const { width, height } = useElementSize(sheet, { width: 900, height: 480 })
const PAD = 18
const MOST_SCALE = 1
/** Zoomed to fit, but not blown up. */
const box = computed(() => {
  const [w, h] = [props.laid.width + 2 * PAD, props.laid.height + 2 * PAD]
  const scale = Math.min(MOST_SCALE, width.value / w, height.value / h)
  const [vw, vh] = [width.value / scale, height.value / scale]
  return `${-PAD - (vw - w) / 2} ${-PAD - (vh - h) / 2} ${vw} ${vh}`
})
const path = (points: readonly (readonly [number, number])[]) => `M${points.map(([x, y]) => `${x} ${y}`).join('L')}`

/** Told apart by the line itself, not by colour alone: heavy, double, dashed, dotted. */
const strokes: Readonly<Record<LineKind, readonly { tone: string; width: number; dash?: string }[]>> = {
  power: [{ tone: 'var(--leaf)', width: 3.2 }],
  picture: [
    { tone: 'var(--slate)', width: 4.6 },
    { tone: 'var(--paper)', width: 1.8 },
  ],
  sound: [{ tone: 'var(--slate)', width: 2, dash: '8 4' }],
  control: [{ tone: 'var(--soft)', width: 2, dash: '2 4' }],
  seat: [{ tone: 'var(--leaf)', width: 6, dash: '2 2' }],
}
const legend = [
  ['power', 'power'],
  ['seat', 'battery in its seat'],
  ['picture', 'picture'],
  ['sound', 'sound'],
  ['control', 'data, timecode, trigger'],
] as const satisfies readonly (readonly [LineKind, string])[]
const used = computed(() => legend.filter(([kind]) => props.laid.edges.some(({ edge }) => edge.kind === kind)))
/** A label has the whole width when nothing stands across from it. */
const most = (node: Laid['nodes'][number]['node'], side: string) =>
  node.ports.some((port) => port.side !== side) ? 13 : 25
const top = (node: Laid['nodes'][number]['node']) => node.docked.length * DOCK
</script>

<template>
  <div ref="sheet" class="relative min-h-0 flex-1">
    <svg
      :viewBox="box"
      :width="width"
      :height="height"
      class="absolute inset-0 select-none"
      role="group"
      aria-label="The wiring, from sources to devices"
      @click="emit('nothing')"
    >
      <g
        v-for="{ edge, points, label } in laid.edges"
        :key="edge.id"
        :role="edge.cable ? 'button' : undefined"
        :tabindex="edge.cable ? 0 : undefined"
        :aria-description="edge.cable ? edge.title : undefined"
        :aria-pressed="edge.cable ? edge.cable === cable : undefined"
        :data-cable="edge.cable"
        class="edge"
        :class="{ 'cursor-pointer': edge.cable }"
        @click.stop="edge.cable && emit('cable', edge.cable)"
        @keydown.enter.prevent="edge.cable && emit('cable', edge.cable)"
        @keydown.space.prevent="edge.cable && emit('cable', edge.cable)"
      >
        <path :d="path(points)" fill="none" stroke="transparent" stroke-width="14" />
        <path
          v-if="edge.cable && edge.cable === cable"
          :d="path(points)"
          fill="none"
          stroke="var(--blossom)"
          stroke-width="9"
          opacity="0.55"
        />
        <path
          v-for="(stroke, i) in strokes[edge.kind]"
          :key="i"
          :d="path(points)"
          fill="none"
          :stroke="stroke.tone"
          :stroke-width="stroke.width"
          :stroke-dasharray="stroke.dash"
          stroke-linejoin="round"
        />
        <g v-if="label" :transform="`translate(${label.x} ${label.y})`">
          <rect
            class="plate"
            v-bind="labelSize(edge.label)"
            rx="4"
            fill="var(--paper)"
            :stroke="edge.worst === 'stop' ? 'var(--brick)' : edge.worst === 'risk' ? 'var(--amber)' : 'transparent'"
          />
          <text
            v-for="(line, i) in edge.label"
            :key="line"
            x="5"
            :y="LABEL_LINE * (i + 1) - 2"
            font-size="12.5"
            :fill="i === 0 ? 'var(--ink)' : 'var(--soft)'"
            :font-weight="i === 0 ? 600 : 400"
            class="tight"
          >
            {{ line }}
          </text>
          <rect
            v-if="edge.worst === 'stop'"
            x="-7"
            y="-5"
            width="10"
            height="10"
            fill="var(--brick)"
            stroke="var(--paper)"
          />
          <path v-else-if="edge.worst === 'risk'" d="M-2 -6 4 5H-8Z" fill="var(--amber)" stroke="var(--paper)" />
          <circle v-else-if="edge.worst === 'hint'" cx="-2" cy="0" r="4.5" fill="var(--slate)" stroke="var(--paper)" />
        </g>
      </g>
      <g
        v-for="{ node, x, y } in laid.nodes"
        :key="node.id"
        :transform="`translate(${x} ${y})`"
        :data-node="node.instance"
      >
        <rect
          :width="node.width"
          :height="node.height"
          :rx="node.kind === 'battery' ? 12 : 5"
          :fill="node.kind === 'camera' ? 'var(--leaf-tint)' : 'var(--card)'"
          :stroke="node.tone === 'over' ? 'var(--brick)' : 'var(--ink)'"
          :stroke-width="node.kind === 'camera' || node.tone === 'over' ? 1.8 : 1.1"
        />
        <g
          v-for="(battery, i) in node.docked"
          :key="battery.instance"
          :transform="`translate(0 ${i * DOCK})`"
          :data-docked="battery.instance"
        >
          <rect
            x="6"
            y="6"
            :width="node.width - 18"
            :height="DOCK - 8"
            rx="9"
            fill="var(--d-plain)"
            stroke="var(--ink)"
            stroke-width="1.1"
          />
          <rect :x="node.width - 12" y="14" width="5" height="18" rx="1.5" fill="var(--ink)" />
          <text x="14" y="20" font-size="12.5" font-weight="600" class="tight" fill="var(--ink)">
            {{ battery.name }}
          </text>
          <text x="14" y="34" font-size="11.5" class="tight" fill="var(--soft)">{{ battery.facts }}</text>
        </g>
        <rect
          v-if="node.kind === 'battery'"
          :x="node.width"
          :y="SEAT_Y - 9"
          width="6"
          height="18"
          rx="1.5"
          fill="var(--ink)"
        />
        <text
          v-for="(line, i) in node.name"
          :key="line"
          x="10"
          :y="top(node) + (node.name.length === 1 ? 24 : 18 + i * 15)"
          font-size="14"
          font-weight="600"
          class="tight"
          fill="var(--ink)"
        >
          {{ line }}
        </text>
        <text
          x="10"
          :y="top(node) + HEAD - 9"
          font-size="13"
          class="tight"
          :fill="node.tone === 'over' ? 'var(--brick)' : 'var(--soft)'"
          :font-weight="node.tone === 'over' ? 600 : 400"
        >
          {{ node.facts }}
        </text>
        <g
          v-for="spot in node.ports"
          :key="spot.id"
          :role="spot.taken ? undefined : 'button'"
          :tabindex="spot.taken ? undefined : 0"
          :aria-description="spot.taken ? undefined : `free socket of ${node.name.join(' ')}, ${spot.label}`"
          :data-port="spot.id"
          class="port"
          :class="{ 'cursor-pointer': !spot.taken }"
          @click.stop="!spot.taken && emit('port', spot.id)"
          @keydown.enter.prevent="!spot.taken && emit('port', spot.id)"
          @keydown.space.prevent="!spot.taken && emit('port', spot.id)"
        >
          <rect
            :x="spot.side === 'in' ? -9 : node.width / 2"
            :y="spot.y - 12"
            :width="node.width / 2 + 9"
            height="24"
            fill="transparent"
          />
          <circle
            :cx="spot.side === 'in' ? 0 : node.width"
            :cy="spot.y"
            r="4.6"
            :fill="spot.id === port ? 'var(--blossom)' : spot.taken ? 'var(--ink)' : 'var(--card)'"
            :stroke="spot.taken ? 'var(--ink)' : 'var(--leaf)'"
            stroke-width="1.6"
          />
          <text
            :x="spot.side === 'in' ? 9 : node.width - 9"
            :y="spot.y + 4.5"
            :text-anchor="spot.side === 'in' ? 'start' : 'end'"
            font-size="12.5"
            class="tight"
            :fill="spot.taken ? 'var(--ink)' : 'var(--soft)'"
          >
            {{
              spot.label.length > most(node, spot.side)
                ? `${spot.label.slice(0, most(node, spot.side) - 1)}…`
                : spot.label
            }}
          </text>
        </g>
      </g>
    </svg>
    <ul class="absolute bottom-1.5 left-3 flex flex-wrap gap-x-4 gap-y-0.5" aria-label="What the lines mean">
      <li v-for="[kind, word] in used" :key="kind" class="label tight flex items-center gap-1.5">
        <svg width="30" height="8" aria-hidden="true">
          <path
            v-for="(stroke, i) in strokes[kind]"
            :key="i"
            d="M1 4H29"
            :stroke="stroke.tone"
            :stroke-width="stroke.width"
            :stroke-dasharray="stroke.dash"
          />
        </svg>
        {{ word }}
      </li>
      <li class="label tight flex items-center gap-1.5">
        <svg width="10" height="10" aria-hidden="true">
          <circle cx="5" cy="5" r="3.8" fill="var(--card)" stroke="var(--leaf)" stroke-width="1.6" />
        </svg>
        free socket
      </li>
    </ul>
  </div>
</template>

<style scoped>
.edge,
.port {
  outline: none;
}
.edge:focus-visible .plate,
.edge:hover .plate {
  stroke: var(--leaf);
  stroke-width: 1.6;
}
.port:focus-visible circle,
.port[role='button']:hover circle {
  fill: var(--leaf-tint);
  stroke-width: 2.6;
}
</style>
