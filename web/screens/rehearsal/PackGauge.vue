<script setup lang="ts">
import { computed } from 'vue'
import type { RehearsalFrame } from '../../api.ts'
import { shortName, volts, watts } from '../../wording.ts'

const props = defineProps<{ pack: RehearsalFrame['packs'][number]; forgotten: boolean }>()
const emit = defineEmits<{ forget: [] }>()

const LOW = 15
const tone = computed(() =>
  props.pack.percent === 0 ? 'var(--brick)' : props.pack.percent <= LOW ? 'var(--amber)' : 'var(--leaf)',
)
const where = computed(() => {
  if (props.forgotten) return 'left at home'
  if (props.pack.seat !== null) return 'in use'
  return props.pack.watts < 0 ? 'charging' : props.pack.percent < 100 ? 'in the bag, used' : 'in the bag'
})
/** No meter is on a pack that fits nothing of this set-up. */
const reading = computed(() => (props.pack.volts === null ? '' : volts(Math.round(props.pack.volts * 10) / 10)))
</script>

<template>
  <article
    class="rounded-lg border border-line bg-card px-2.5 py-2"
    :class="{ 'opacity-55': forgotten }"
    :data-pack="pack.id"
    :aria-label="pack.name"
  >
    <p class="tight truncate font-semibold" :title="pack.name">{{ shortName(pack.name) }}</p>
    <div class="mt-1 flex items-center gap-2">
      <svg viewBox="0 0 92 22" class="h-5 w-[84px] shrink-0" aria-hidden="true">
        <rect x="1" y="1" width="84" height="20" rx="4" fill="none" stroke="var(--ink)" stroke-width="1.4" />
        <rect x="86" y="7" width="4" height="8" rx="1" fill="var(--ink)" />
        <rect x="4" y="4" :width="(78 * pack.percent) / 100" height="14" rx="2" :fill="tone" />
      </svg>
      <span class="fig" :style="{ color: pack.percent <= LOW ? tone : 'inherit' }">{{ pack.percent }} %</span>
    </div>
    <p class="tight mt-1 flex items-baseline text-[12px] text-soft">
      <span>{{ where }}</span><span v-if="!forgotten" class="ml-auto"
        >{{ reading }}<template v-if="pack.watts !== 0"> · {{ watts(Math.abs(pack.watts)) }}</template></span
      >
    </p>
    <button
      class="mt-0.5 text-[12px] text-soft underline decoration-line underline-offset-3 hover:text-ink"
      :aria-pressed="forgotten"
      @click="emit('forget')"
    >
      {{ forgotten ? 'found it' : 'forget' }}
    </button>
  </article>
</template>
