<script setup lang="ts">
import { Menu, MenuButton, MenuItem, MenuItems } from '@headlessui/vue'
import { Download } from '@lucide/vue'
import { ref } from 'vue'

/** A file that is made here, or one that the server gives. */
export interface Taken {
  readonly title: string
  readonly act?: () => Promise<void> | void
  readonly href?: string
}

// What can be taken out of a page as a file; what goes wrong while it is made is said.
withDefaults(defineProps<{ items: readonly Taken[]; small?: boolean; hint?: string }>(), { hint: undefined })
const trouble = ref('')
const isMaking = ref(false)
const take = async ({ act }: Taken) => {
  trouble.value = ''
  isMaking.value = true
  try {
    await act?.()
  } catch (error) {
    trouble.value = error instanceof Error ? error.message : 'It could not be made.'
  } finally {
    isMaking.value = false
  }
}
</script>

<template>
  <Menu as="div" class="relative inline-block print:hidden">
    <MenuButton
      :class="small ? 'flex items-center gap-1 rounded-md px-1.5 py-0.5 hover:text-ink' : 'btn'"
      :disabled="isMaking"
      :title="hint"
    >
      <Download class="size-4" :class="{ 'animate-pulse': isMaking }" aria-hidden="true" />
      <span :class="{ 'sr-only': small }">{{ isMaking ? 'making it ...' : 'Take out' }}</span>
    </MenuButton>
    <MenuItems
      class="absolute z-20 mt-1 w-60 rounded-lg border border-line bg-card p-1 text-[13px] text-ink shadow-lg focus:outline-none"
      :class="small ? 'right-0' : 'left-0'"
    >
      <MenuItem v-for="item in items" :key="item.title" v-slot="{ active }">
        <component
          :is="item.href ? 'a' : 'button'"
          class="block w-full rounded-md px-2.5 text-left"
          :class="[small ? 'py-1.5' : 'py-2', { 'bg-leaf-tint': active }]"
          :href="item.href"
          @click="take(item)"
        >
          {{ item.title }}
        </component>
      </MenuItem>
    </MenuItems>
    <p
      v-if="trouble"
      class="text-brick"
      :class="{ 'absolute right-0 z-20 mt-1 w-60 rounded-lg border border-brick bg-card p-2': small }"
      role="alert"
    >
      {{ trouble }}
    </p>
  </Menu>
</template>
