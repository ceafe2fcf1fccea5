<script setup lang="ts">
import { Moon, Ruler, Sun } from '@lucide/vue'
import { RouterLink } from 'vue-router'
import { useSettings } from '../stores/settings.ts'
import { screensFrom } from '../screens/list.ts'

/** slim: on a phone only what belongs to the page stands here; theme and units are set on the shelf. */
defineProps<{ slim?: boolean }>()
const settings = useSettings()
/** Made once: a link that is given a new place looks it up anew. */
const places = screensFrom('top bar').map(({ name, note, icon, title }) => ({ name, note, icon, title, to: { name } }))
</script>

<template>
  <header
    class="flex min-h-12 shrink-0 flex-wrap items-center gap-x-3 gap-y-1 border-b border-line px-4 max-[640px]:py-1.5"
  >
    <RouterLink to="/" class="flex items-center gap-2 text-[16px] font-bold" aria-label="Zucchini, to the shelf">
      <svg viewBox="0 0 24 24" class="size-5 text-leaf" aria-hidden="true">
        <path
          d="M3.5 20.5C4 13 8 7 20 4c.8 8-3 14.5-10.5 14.5-2.2 0-3.6-.6-4.4-1.5"
          fill="var(--leaf-tint)"
          stroke="currentColor"
          stroke-width="1.7"
          stroke-linejoin="round"
        />
        <path
          d="M3.5 20.5C6 15.5 9.5 12 15 9.5"
          fill="none"
          stroke="currentColor"
          stroke-width="1.7"
          stroke-linecap="round"
        />
      </svg>
      <span class="max-[640px]:hidden">Zucchini</span>
    </RouterLink>
    <slot />
    <div class="ml-auto flex items-center gap-1.5">
      <slot name="end" />
      <RouterLink
        v-for="place in places"
        :key="place.name"
        :to="place.to"
        class="btn px-1.5"
        :class="{ 'max-[640px]:hidden': slim }"
        :title="`${place.title}: ${place.note}`"
        :aria-label="place.title"
      >
        <component :is="place.icon" class="size-4" aria-hidden="true" />
      </RouterLink>
      <button
        class="btn px-1.5"
        :class="{ 'max-[640px]:hidden': slim }"
        :title="settings.units === 'metric' ? 'Show ounces and inches' : 'Show grams and millimetres'"
        @click="settings.turnUnits()"
      >
        <Ruler class="size-4" aria-hidden="true" /><span class="tight">{{
          settings.units === 'metric' ? 'mm' : 'in'
        }}</span>
      </button>
      <button
        class="btn px-1.5"
        :class="{ 'max-[640px]:hidden': slim }"
        :title="settings.theme === 'dark' ? 'Light paper' : 'Dark slate'"
        :aria-label="settings.theme === 'dark' ? 'Light theme' : 'Dark theme'"
        @click="settings.turnTheme()"
      >
        <component :is="settings.theme === 'dark' ? Sun : Moon" class="size-4" aria-hidden="true" />
      </button>
    </div>
  </header>
</template>
