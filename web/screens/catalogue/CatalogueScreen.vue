<script setup lang="ts">
import { offeredParts, roles, type Role, standards, stations } from '@zucchini/core/catalogue'
import { Plus, X } from '@lucide/vue'
import { computed, onMounted, reactive, ref } from 'vue'
import { RouterLink, useRoute } from 'vue-router'
import { api } from '../../api.ts'
import { useContext } from '../../stores/context.ts'
import TopBar from '../../widgets/TopBar.vue'
import { listParts, noFilter, type PartFilter, type PartOrder } from './part-list.ts'
import PartList from './PartList.vue'
import PartPage from './PartPage.vue'

const route = useRoute()
const context = useContext()
const trouble = ref('')
const filter = reactive<{ -readonly [K in keyof PartFilter]: PartFilter[K] }>({ ...noFilter })
const order = ref<PartOrder>('name')

onMounted(async () => {
  try {
    await context.load()
  } catch (error) {
    trouble.value = error instanceof Error ? error.message : 'The catalogue could not be read.'
  }
})
const list = computed(() =>
  context.catalogue ? listParts(offeredParts(context.catalogue), filter, order.value, context.owned, context.own) : [],
)
const part = computed(() => {
  const wanted = route.params['part']
  return (typeof wanted === 'string' && context.catalogue?.parts.get(wanted)) || (wanted ? undefined : list.value[0])
})
const bringBack = async () => {
  if (!context.takenOutPart) return
  try {
    await api.bringPartBack(context.takenOutPart.id)
    context.takenOutPart = undefined
    await context.reload()
  } catch (error) {
    trouble.value = error instanceof Error ? error.message : 'It could not be brought back.'
  }
}
const roleGroups = stations.map((station) => ({
  station,
  roles: (Object.keys(roles) as Role[]).filter((role) => roles[role].station === station),
}))
const euros = computed({
  get: () => filter.mostMinor / 100 || '',
  set: (value) => (filter.mostMinor = Math.round(Number(value) * 100) || 0),
})
const most = computed({ get: () => filter.mostG || '', set: (value) => (filter.mostG = Number(value) || 0) })
const filtered = computed(() => JSON.stringify(filter) !== JSON.stringify(noFilter))
</script>

<template>
  <div class="flex h-full min-h-0 flex-col">
    <TopBar>
      <nav class="flex items-baseline gap-1.5" aria-label="Where you are">
        <RouterLink to="/" class="text-soft hover:text-ink">Shelf</RouterLink><span class="text-soft">/ Catalogue</span>
      </nav>
      <template #end
        ><RouterLink class="btn btn-do" :to="{ name: 'new-part' }"
          ><Plus class="size-4" aria-hidden="true" /> New part</RouterLink
        ></template
      >
    </TopBar>
    <p
      v-if="context.takenOutPart"
      class="flex items-center gap-3 border-b border-line bg-leaf-tint px-4 py-1.5"
      role="status"
    >
      <span
        >{{ context.takenOutPart.name }} is out of the catalogue. Old revisions that use it keep what was known of
        it.</span
      >
      <button class="btn py-0" @click="bringBack">Bring it back</button>
      <button class="btn ml-auto px-1 py-0" aria-label="Put this line away" @click="context.takenOutPart = undefined">
        <X class="size-3.5" />
      </button>
    </p>
    <p v-if="trouble" class="p-8" role="alert">{{ trouble }}</p>
    <main class="flex min-h-0 flex-1">
      <h1 class="sr-only">Catalogue</h1>
      <form
        class="flex w-[208px] shrink-0 flex-col gap-3 overflow-y-auto border-r border-line px-4 py-4"
        aria-label="Narrow down"
        @submit.prevent
      >
        <label class="block"
          ><span class="label">find</span
          ><input v-model="filter.text" type="search" class="field w-full" placeholder="name, maker, use"
        /></label>
        <label class="block"
          ><span class="label">what it is</span
          ><select v-model="filter.role" class="field w-full">
            <option value="">anything</option>
            <optgroup v-for="group in roleGroups" :key="group.station" :label="group.station">
              <option v-for="role in group.roles" :key="role" :value="role">{{ roles[role].title }}</option>
            </optgroup>
          </select></label
        >
        <label class="block"
          ><span class="label">with a mount of</span
          ><select v-model="filter.standard" class="field w-full">
            <option value="">any standard</option>
            <option v-for="standard in standards" :key="standard.id" :value="standard.id">{{ standard.title }}</option>
          </select></label
        >
        <div class="grid grid-cols-2 gap-2">
          <label class="block"
            ><span class="label">up to g</span
            ><input v-model="most" type="number" min="0" step="50" class="field w-full" placeholder="any"
          /></label>
          <label class="block"
            ><span class="label">up to EUR</span
            ><input v-model="euros" type="number" min="0" step="10" class="field w-full" placeholder="any"
          /></label>
        </div>
        <fieldset class="flex flex-col gap-1">
          <legend class="label">whose</legend>
          <label
            v-for="[value, words] in [
              ['', 'all'],
              ['owned', 'in my locker'],
              ['own', 'entered by me'],
            ] as const"
            :key="value"
            class="flex items-center gap-2"
            ><input v-model="filter.only" type="radio" :value="value" class="accent-leaf" /> {{ words }}</label
          >
        </fieldset>
        <button v-if="filtered" type="button" class="btn justify-center" @click="Object.assign(filter, noFilter)">
          Show all again
        </button>
      </form>
      <section class="flex w-[408px] shrink-0 flex-col border-r border-line" aria-label="Parts">
        <div class="flex items-center gap-1 border-b border-line px-3 py-1.5">
          <span class="label mr-auto" aria-live="polite" data-testid="part-count"
            >{{ list.length }} of {{ context.catalogue?.parts.size ?? 0 }} parts</span
          >
          <span class="label">by</span>
          <button
            v-for="key in ['name', 'mass', 'price'] as const"
            :key="key"
            class="rounded-md px-2 py-0.5"
            :class="order === key ? 'bg-leaf-tint font-semibold' : 'text-soft hover:text-ink'"
            :aria-pressed="order === key"
            @click="order = key"
          >
            {{ key }}
          </button>
        </div>
        <PartList :parts="list" :picked="part?.id" />
      </section>
      <div class="min-w-0 flex-1 overflow-y-auto bg-card">
        <PartPage v-if="part" :part="part" />
        <p v-else-if="context.catalogue && route.params['part']" class="p-8 text-soft">
          The catalogue has no such part. It may have been taken out.
        </p>
      </div>
    </main>
  </div>
</template>
