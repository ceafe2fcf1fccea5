<script setup lang="ts">
import type { Assessment } from '@zucchini/core/assess'
import { coverage } from '@zucchini/core/optics'
import { computed } from 'vue'
import { RouterLink } from 'vue-router'

const props = defineProps<{ assessment: Assessment }>()
const kit = computed(() => props.assessment.facts.lensKit)
const rig = computed(() => props.assessment.assembly.rig)
const mounted = computed(() => props.assessment.facts.front?.lens.part.id)
const round = (value: number) => Math.round(value)
const span = (from: number, to: number) =>
  round(from) === round(to) ? String(round(from)) : `${round(from)}–${round(to)}`
const fields = computed(() =>
  coverage(
    rig.value.brief.fieldsMm,
    kit.value.filter(({ way }) => way !== 'none').map(({ part, fromMm, toMm }) => ({ id: part.id, fromMm, toMm })),
  ),
)
</script>

<template>
  <section v-ask="['fact lensKit', assessment]" aria-label="Lens kit">
    <h2 class="flex items-baseline border-b border-line pb-1 font-semibold">
      Lens kit
      <RouterLink
        class="label tight ml-auto font-normal underline decoration-line underline-offset-3 hover:text-ink"
        :to="{ name: 'brief', params: { id: rig.id } }"
        >choose in the brief</RouterLink
      >
    </h2>
    <ul>
      <li
        v-for="fit in kit"
        :key="fit.part.id"
        class="border-b border-line py-1.5 leading-snug"
        :data-lens="fit.part.id"
      >
        <p class="flex items-baseline gap-2">
          <span class="min-w-0 truncate" :class="{ 'font-semibold': fit.part.id === mounted }" :title="fit.part.name">{{
            fit.part.name
          }}</span>
          <span class="fig ml-auto shrink-0">{{ round(fit.share) }} %</span>
        </p>
        <p class="label tight">
          shows {{ span(fit.fromMm, fit.toMm) }} mm, {{ span(fit.narrowDeg, fit.wideDeg) }}°<template
            v-if="fit.crop > 1"
            >, cropped {{ Math.round(fit.crop * 100) / 100 }} ×{{ fit.cropMode ? '' : ' afterwards' }}</template
          >
        </p>
        <p class="label tight">
          {{ fit.focus === 'auto' ? 'autofocus' : 'focus by hand' }} ·
          {{ fit.threadMm ? `${fit.threadMm} mm thread` : 'no thread'
          }}<template v-if="fit.frontMm"> · {{ fit.frontMm }} mm front</template
          ><template v-if="fit.glass.turnsFront"> · front turns</template>
        </p>
        <p
          v-if="fit.way !== 'direct'"
          class="label tight"
          :class="{ 'text-amber!': fit.way === 'none' || !fit.contacts }"
        >
          {{
            fit.way === 'none' || !fit.adapter
              ? 'does not go on this camera'
              : `with ${fit.adapter.name}${fit.contacts ? '' : ': iris and focus by hand'}`
          }}
        </p>
      </li>
      <li v-if="kit.length === 0" class="py-2 text-soft">
        No lens yet. Choose those that come along in the brief, or put one on at the bench.
      </li>
    </ul>
    <p v-if="fields.length" class="label mt-1.5">
      Asked for:
      <span
        v-for="field in fields"
        :key="field.fieldMm"
        class="mr-2 whitespace-nowrap"
        :class="field.by.length ? '' : 'text-amber'"
        >{{ round(field.fieldMm) }} mm {{ field.by.length ? '✓' : 'open' }}</span
      >
    </p>
  </section>
</template>
