<script setup lang="ts">
import type { Catalogue } from '@zucchini/core/catalogue'
import type { LightPlan } from '@zucchini/core/optics'
import { useElementSize } from '@vueuse/core'
import { computed, useTemplateRef } from 'vue'
import { dayChart } from './day-chart.ts'
import { choiceName, clock, ev } from './light-words.ts'

const props = defineProps<{ plan: LightPlan; catalogue: Catalogue }>()
const sheet = useTemplateRef<HTMLElement>('sheet')
const { width, height } = useElementSize(sheet, { width: 560, height: 180 })

const GUTTER = { left: 44, right: 10, top: 8, bottom: 20 }
const BAR = 22
const HOUR = 60

const chart = computed(() => dayChart(props.plan))
const drawn = computed(() => {
  const now = chart.value
  if (!now) return undefined
  const barsWide = now.holders.length * BAR + 12
  const [x0, x1] = [GUTTER.left + barsWide, width.value - GUTTER.right]
  const [y0, y1] = [height.value - GUTTER.bottom, GUTTER.top]
  const y = (value: number) => y0 + ((value - now.lowEv) / (now.highEv - now.lowEv)) * (y1 - y0)
  const x = (minute: number) => x0 + ((minute - now.fromMin) / Math.max(1, now.toMin - now.fromMin)) * (x1 - x0)
  const box = (from: number, to: number) => ({ y: y(to), height: Math.max(3, y(from) - y(to)) })
  const evs = Array.from({ length: now.highEv - now.lowEv + 1 }, (_, i) => now.lowEv + i).filter(
    (value) => value % 2 === 0,
  )
  const firstHour = Math.ceil(now.fromMin / HOUR) * HOUR
  return {
    x0,
    x1,
    base: y(now.baseEv),
    baseEv: now.baseEv,
    lines: evs.map((value) => ({ value, y: y(value) })),
    hours: Array.from(
      { length: Math.max(0, Math.floor((now.toMin - firstHour) / HOUR) + 1) },
      (_, i) => firstHour + i * HOUR,
    ).map((minute) => ({ minute, x: x(minute) })),
    holders: now.holders.map((holder, i) => ({
      ...holder,
      x: GUTTER.left + i * BAR + 4,
      ...box(holder.fromEv, holder.toEv),
    })),
    blocks: now.blocks.map((block) => {
      const [left, right] = [x(block.fromMin), x(block.toMin)]
      return { ...block, x: left, width: Math.max(4, right - left), ...box(block.fromEv, block.toEv) }
    }),
  }
})
const tone = {
  held: 'var(--leaf)',
  two: 'var(--leaf)',
  dark: 'var(--slate)',
  bright: 'var(--brick)',
  pitch: 'var(--brick)',
} as const
const word = { held: '', two: '', dark: 'ISO up', bright: 'too bright', pitch: 'too dark' } as const
</script>

<template>
  <div class="flex min-h-0 flex-1 flex-col">
    <div ref="sheet" class="relative min-h-0 flex-1">
      <svg
        v-if="drawn"
        class="absolute inset-0 size-full"
        role="img"
        aria-label="Scene light over the day against what each filter holds; the same figures stand in the table beside it"
      >
        <defs>
          <pattern id="clipped" width="5" height="5" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
            <path d="M0 0V5" stroke="var(--brick)" stroke-width="2.4" />
          </pattern>
        </defs>
        <g class="tight" font-size="11" fill="var(--soft)">
          <g v-for="line in drawn.lines" :key="line.value">
            <path :d="`M${GUTTER.left} ${line.y}H${drawn.x1}`" stroke="var(--line)" stroke-width="0.7" />
            <text :x="GUTTER.left - 6" :y="line.y + 4" text-anchor="end">EV {{ line.value }}</text>
          </g>
          <text v-for="hour in drawn.hours" :key="hour.minute" :x="hour.x" :y="height - 5" text-anchor="middle">
            {{ clock(hour.minute) }}
          </text>
        </g>
        <g v-for="holder in drawn.holders" :key="holder.letter" :data-holder="holder.letter">
          <rect
            :x="holder.x"
            :y="holder.y"
            :width="BAR - 8"
            :height="holder.height"
            rx="3"
            fill="var(--leaf-tint)"
            stroke="var(--leaf)"
          />
          <text
            :x="holder.x + (BAR - 8) / 2"
            :y="holder.y + holder.height / 2 + 4"
            text-anchor="middle"
            font-size="11"
            font-weight="600"
            fill="var(--leaf)"
          >
            {{ holder.letter }}
          </text>
        </g>
        <path
          :d="`M${GUTTER.left} ${drawn.base}H${drawn.x1}`"
          stroke="var(--ink)"
          stroke-width="1"
          stroke-dasharray="5 4"
        />
        <text :x="drawn.x1" :y="drawn.base - 4" text-anchor="end" font-size="11" fill="var(--ink)">
          right without a filter, {{ ev(drawn.baseEv) }}
        </text>
        <g
          v-for="block in drawn.blocks"
          :key="block.phase.light.phase.name + block.fromMin"
          :data-block="block.phase.light.phase.name"
          :data-state="block.state"
        >
          <rect
            :x="block.x"
            :y="block.y"
            :width="block.width"
            :height="block.height"
            rx="2"
            :fill="block.state === 'bright' || block.state === 'pitch' ? 'url(#clipped)' : tone[block.state]"
            :stroke="tone[block.state]"
          />
          <text
            :x="Math.min(block.x + block.width / 2, drawn.x1 - 46)"
            :y="block.y > 30 ? block.y - 5 : block.y + block.height + 13"
            text-anchor="middle"
            font-size="11.5"
            font-weight="600"
            :fill="tone[block.state]"
            paint-order="stroke"
            stroke="var(--card)"
            stroke-width="3"
          >
            {{ block.letters || word[block.state] }}
          </text>
        </g>
      </svg>
      <p v-else class="label">No part of the day is filmed yet.</p>
    </div>
    <ul v-if="drawn" class="label tight flex flex-wrap gap-x-4 pb-1.5">
      <li v-for="holder in drawn.holders" :key="holder.letter">
        <strong class="text-leaf">{{ holder.letter }}</strong> {{ choiceName(holder.choice, catalogue, true) }}
      </li>
    </ul>
  </div>
</template>
