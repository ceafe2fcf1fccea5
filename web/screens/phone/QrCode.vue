<script setup lang="ts">
import qr from 'qrcode'
import { computed } from 'vue'

// A text as a code for a phone's camera, drawn dark on white whatever the theme is.
const props = defineProps<{ text: string; label: string }>()
/** Quiet cells round it, as readers want them (ISO/IEC 18004). */
const QUIET = 4
const code = computed(() => {
  const { modules } = qr.create(props.text, { errorCorrectionLevel: 'M' })
  const { size } = modules
  const cells = Array.from({ length: size * size }, (_, i) => i).filter((i) =>
    modules.get(Math.floor(i / size), i % size),
  )
  return {
    size: size + 2 * QUIET,
    path: cells.map((i) => `M${QUIET + (i % size)} ${QUIET + Math.floor(i / size)}h1v1h-1z`).join(''),
  }
})
</script>

<template>
  <svg :viewBox="`0 0 ${code.size} ${code.size}`" class="size-52 rounded-lg" role="img" :aria-label="label" data-qr>
    <rect :width="code.size" :height="code.size" fill="#ffffff" />
    <path :d="code.path" fill="#20261f" shape-rendering="crispEdges" />
  </svg>
</template>
