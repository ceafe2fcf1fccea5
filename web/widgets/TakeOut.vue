<script setup lang="ts">
import { Menu, MenuButton, MenuItem, MenuItems } from '@headlessui/vue'
import { Download } from '@lucide/vue'
import { ref } from 'vue'

// What can be taken out of a page as a file; what goes wrong while it is made is said.
defineProps<{ items: readonly { readonly title: string; readonly act: () => Promise<void> | void }[] }>()
const trouble = ref('')
const isMaking = ref(false)
const take = async (act: () => Promise<void> | void) => {
  trouble.value = ''
  isMaking.value = true
  try {
    await act()
  } catch (error) {
    trouble.value = error instanceof Error ? error.message : 'It could not be made.'
  } finally {
    isMaking.value = false
  }
}
</script>

<template>
  <Menu as="div" class="relative inline-block print:hidden">
    <MenuButton class="btn" :disabled="isMaking">
      <Download class="size-4" aria-hidden="true" /> {{ isMaking ? 'making it ...' : 'Take out' }}
    </MenuButton>
    <MenuItems
      class="absolute left-0 z-20 mt-1 w-60 rounded-lg border border-line bg-card p-1 text-[13px] shadow-lg focus:outline-none"
    >
      <MenuItem v-for="item in items" :key="item.title" v-slot="{ active }">
        <button
          class="block w-full rounded-md px-2.5 py-2 text-left"
          :class="{ 'bg-leaf-tint': active }"
          @click="take(item.act)"
        >
          {{ item.title }}
        </button>
      </MenuItem>
    </MenuItems>
    <p v-if="trouble" class="text-brick" role="alert">{{ trouble }}</p>
  </Menu>
</template>
