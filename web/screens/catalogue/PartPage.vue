<script setup lang="ts">
import { capabilities, connectors, type Part, partnersOf, roles, standardOf } from '@zucchini/core/catalogue'
import { isPriced } from '@zucchini/core/money'
import { useElementSize } from '@vueuse/core'
import { Copy, Pencil, Trash2 } from '@lucide/vue'
import { computed, ref, useTemplateRef, watch } from 'vue'
import { RouterLink, useRouter } from 'vue-router'
import { api } from '../../api.ts'
import { useSettings } from '../../stores/settings.ts'
import { useContext } from '../../stores/context.ts'
import MountGlyph from '../../widgets/MountGlyph.vue'
import { grams, millimetres, money, partGrams, partPrice, voltSpan, watts } from '../../wording.ts'
import PartThumb from '../../drawing/PartThumb.vue'
import { electricFacts } from './electric-facts.ts'
import { opticsFacts } from './optics-facts.ts'
import PartDrawing from './PartDrawing.vue'
import { priceTold } from './price-told.ts'

const props = defineProps<{ part: Part }>()
const context = useContext()
const settings = useSettings()
const router = useRouter()
const rooms = ref(false)
const picked = ref('')
const trouble = ref('')
const sheet = useTemplateRef<HTMLElement>('sheet')
const { width } = useElementSize(sheet, { width: 620, height: 300 })

watch(
  () => props.part.id,
  () => {
    picked.value = ''
    trouble.value = ''
  },
)
const pieces = computed(() => context.owned.get(props.part.id) ?? 0)
const mine = computed(() => context.own.has(props.part.id))
/** What of a standard a mount is, in words: a thread by its millimetres, a slab by what it is beside the usual one. */
const familyWords = (standard: string, family = ''): string => {
  const usual = standard.split('-').at(-1) ?? ''
  // Threads are called by millimetres wherever one is.
  if (/^\d+$/.test(family)) return `${family} mm`
  return family === usual ? '' : family.startsWith(`${usual}-`) ? family.slice(usual.length + 1) : family
}
const mounts = computed(() =>
  props.part.mounts.map((mount) => {
    const standard = standardOf(mount.standard)
    const more = [
      mount.lengthMm === undefined ? '' : `${millimetres(mount.lengthMm, settings.units)} long`,
      mount.travel ? `slides ${millimetres(mount.travel.maxMm - mount.travel.minMm, settings.units)}` : '',
      mount.limitG === undefined ? '' : `takes ${grams(mount.limitG, settings.units)}`,
      familyWords(standard.id, mount.family),
    ].filter(Boolean)
    return {
      mount,
      standard,
      more,
      partners: context.catalogue ? partnersOf(props.part, mount, context.catalogue).length : 0,
    }
  }),
)
const remove = async () => {
  try {
    const { tag } = await api.partTag(props.part.id)
    await api.removePart(props.part.id, tag)
    context.takenOutPart = props.part
    await context.reload()
    await router.push({ name: 'catalogue' })
  } catch (error) {
    trouble.value = error instanceof Error ? error.message : 'It could not be taken out.'
  }
}
const bringBack = async () => {
  try {
    await api.bringPartBack(props.part.id)
    await context.reload()
  } catch (error) {
    trouble.value = error instanceof Error ? error.message : 'It could not be brought back.'
  }
}
const home = computed(() => context.money?.home ?? 'EUR')
const gone = computed(() => context.catalogue?.gone.get(props.part.id))
const electrics = computed(() => electricFacts(props.part))
const glass = computed(() => opticsFacts(props.part, settings.units))
</script>

<template>
  <article class="flex flex-col gap-4 p-5" :aria-label="part.name">
    <header class="flex flex-wrap items-start gap-x-3 gap-y-2">
      <PartThumb :part="part" :width="132" :height="96" fine class="-my-1 shrink-0" />
      <div class="min-w-0">
        <h2 class="text-lg leading-tight font-semibold">{{ part.name }}</h2>
        <p class="label">
          {{ roles[part.role].title }}{{ part.maker ? `, ${part.maker}` : '' }}<span v-if="mine">, entered by you</span>
        </p>
      </div>
      <div class="ml-auto flex gap-1.5">
        <button class="btn" @click="context.setOwned(part.id, pieces > 0 ? 0 : 1)">
          {{ pieces > 0 ? `${pieces} in the locker` : 'I own this' }}
        </button>
        <RouterLink class="btn" :to="{ name: 'new-part', query: { from: part.id } }"
          ><Copy class="size-4" aria-hidden="true" /> Copy as a start</RouterLink
        >
        <RouterLink v-if="mine" class="btn" :to="{ name: 'edit-part', params: { part: part.id } }"
          ><Pencil class="size-4" aria-hidden="true" /> Edit</RouterLink
        >
        <button
          v-if="mine"
          class="btn px-1.5"
          aria-label="Take this part out of the catalogue"
          title="Take out"
          @click="remove"
        >
          <Trash2 class="size-4" />
        </button>
      </div>
    </header>
    <p v-if="gone === 'taken-out'" class="flex items-center gap-3 rounded-lg bg-blossom-tint px-3 py-2">
      This part was taken out of the catalogue. Rigs that use it keep what was last known of it.
      <button class="btn ml-auto py-0.5" @click="bringBack">Bring it back</button>
    </p>
    <p v-if="trouble" class="rounded-lg border border-brick px-3 py-2" role="alert">{{ trouble }}</p>
    <dl class="flex flex-wrap gap-x-6 gap-y-1.5">
      <div>
        <dt class="label">mass</dt>
        <dd class="fig text-[16px]" data-given>{{ partGrams(part, settings.units) }}</dd>
      </div>
      <div v-ask="['price', { tell: () => priceTold(part, context.prices?.get(part.id), home) }]">
        <dt class="label">price</dt>
        <dd class="fig text-[16px]">
          {{ partPrice(part, home) }}
          <span v-if="isPriced(part)" class="label tight font-normal"
            >{{ money(part.price.low, home) }} to {{ money(part.price.high, home) }}</span
          >
        </dd>
      </div>
      <div v-if="part.provides.length">
        <dt class="label">gives</dt>
        <dd class="text-[14px]">{{ part.provides.map((gift) => capabilities[gift].title).join(', ') }}</dd>
      </div>
      <div v-for="(value, name) in part.facts" :key="name">
        <dt class="label">{{ name }}</dt>
        <dd class="text-[14px]">{{ value === true ? 'yes' : value === false ? 'no' : value }}</dd>
      </div>
    </dl>
    <p v-if="part.notes" class="text-soft">{{ part.notes }}</p>
    <section ref="sheet" class="rounded-xl border border-line bg-card" aria-label="Drawn to scale">
      <label v-if="part.rooms.length" class="label flex cursor-pointer items-center justify-end gap-1.5 px-3 pt-2"
        ><input v-model="rooms" type="checkbox" class="accent-leaf" /> rooms that stay free</label
      >
      <div class="flex flex-wrap">
        <PartDrawing
          v-for="view in ['side', 'front', 'top'] as const"
          :key="view"
          :part="part"
          :view="view"
          :width="Math.floor(width / 3) - 2"
          :height="250"
          :rooms="rooms"
          :picked="picked"
          @pick="picked = $event"
        />
      </div>
    </section>
    <section v-if="mounts.length" aria-label="Mounts">
      <h3 class="border-b border-line pb-1 font-semibold">Mounts</h3>
      <ul>
        <li v-for="{ mount, standard, more, partners } in mounts" :key="mount.id" class="border-b border-line">
          <button
            class="flex w-full items-center gap-3 py-1.5 text-left"
            :class="{ 'bg-blossom-tint': picked === mount.id }"
            :aria-pressed="picked === mount.id"
            @click="picked = picked === mount.id ? '' : mount.id"
          >
            <svg viewBox="-9 -9 18 18" class="size-5 shrink-0 text-leaf" aria-hidden="true">
              <MountGlyph :glyph="standard.glyph" />
            </svg>
            <span class="min-w-0"
              >{{ mount.label ?? mount.id
              }}<span class="label block"
                >{{ standard.ends[mount.side] }}{{ more.length ? `; ${more.join(', ')}` : '' }}</span
              ></span
            >
            <span class="label ml-auto shrink-0"
              >{{ partners }} part{{ partners === 1 ? '' : 's' }}
              {{ mount.side === 'holds' ? 'go on it' : 'take it' }}</span
            >
          </button>
        </li>
      </ul>
    </section>
    <section v-if="glass.length" aria-label="Light and glass">
      <h3 class="border-b border-line pb-1 font-semibold">Light and glass</h3>
      <dl class="grid grid-cols-2 gap-x-5">
        <div v-for="[title, text] in glass" :key="title" class="flex gap-3 border-b border-line py-1">
          <dt class="text-soft">{{ title }}</dt>
          <dd class="fig ml-auto text-right" data-given>{{ text }}</dd>
        </div>
      </dl>
    </section>
    <section v-if="electrics.length" aria-label="Power and signals">
      <h3 class="border-b border-line pb-1 font-semibold">{{ part.cable ? 'Lead' : 'Power and media' }}</h3>
      <dl class="grid grid-cols-2 gap-x-5">
        <div v-for="[title, text] in electrics" :key="title" class="flex gap-3 border-b border-line py-1">
          <dt class="text-soft">{{ title }}</dt>
          <dd class="fig ml-auto text-right" data-given>{{ text }}</dd>
        </div>
      </dl>
    </section>
    <section
      v-if="part.rooms.length || part.sockets?.length"
      class="grid grid-cols-2 gap-5"
      aria-label="Rooms and sockets"
    >
      <div v-if="part.rooms.length">
        <h3 class="border-b border-line pb-1 font-semibold">Rooms</h3>
        <p v-for="(room, i) in part.rooms" :key="i" class="border-b border-line py-1">
          <span class="label">{{ room.kind }}:</span> without it {{ room.lost }}
        </p>
      </div>
      <div v-if="part.sockets?.length">
        <h3 class="border-b border-line pb-1 font-semibold">Sockets</h3>
        <p v-for="socket in part.sockets" :key="socket.id" class="border-b border-line py-1">
          {{ socket.label ?? connectors[socket.connector].title }}
          <span class="label"
            >{{
              socket.label?.includes(connectors[socket.connector].title)
                ? ''
                : `${connectors[socket.connector].title}, `
            }}{{ socket.direction === 'both' ? 'in and out' : socket.direction
            }}{{ socket.volts ? `, ${voltSpan(socket.volts)}` : ''
            }}{{ socket.watts ? `, ${watts(socket.watts)}` : '' }}</span
          >
        </p>
      </div>
    </section>
  </article>
</template>
