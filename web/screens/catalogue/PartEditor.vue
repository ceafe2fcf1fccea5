<script setup lang="ts">
import {
  capabilities,
  type Capability,
  capabilityIds,
  isUnknown,
  type Mount,
  nowKnown,
  nowUnknown,
  type Part,
  type Role,
  roles,
  type Solid,
  stations,
} from '@zucchini/core/catalogue'
import { useElementSize } from '@vueuse/core'
import { Plus } from '@lucide/vue'
import { computed, onMounted, ref, shallowRef, useTemplateRef, watch } from 'vue'
import { RouterLink, useRoute, useRouter } from 'vue-router'
import { api, ApiRefusal } from '../../api.ts'
import { useContext } from '../../stores/context.ts'
import TopBar from '../../widgets/TopBar.vue'
import ElectricsSection from './ElectricsSection.vue'
import OpticsSection from './OpticsSection.vue'
import OrderSection from './OrderSection.vue'
import { asRole, checkDraft, emptyPart, middleTyped, newBar, newMount, newRoom, newSolid } from './part-draft.ts'
import FigureFields from './FigureFields.vue'
import { idFrom } from './part-list.ts'
import MountRow from './MountRow.vue'
import NumberField from './NumberField.vue'
import PartDrawing from './PartDrawing.vue'
import RoomRow from './RoomRow.vue'
import SolidRow from './SolidRow.vue'
import VecField from './VecField.vue'

const route = useRoute()
const router = useRouter()
const context = useContext()
const draft = shallowRef<Part>(emptyPart())
const centreByHand = ref(false)
const tag = ref<string | null>(null)
const picked = ref('')
const rooms = ref(true)
const trouble = ref('')
const tried = ref(false)
const taken = ref(false)
/** Nothing can be typed before it is known what is being changed. */
const ready = ref(false)
const sheet = useTemplateRef<HTMLElement>('sheet')
const { width } = useElementSize(sheet, { width: 520, height: 600 })

const editing = computed(() =>
  route.name === 'edit-part' && typeof route.params['part'] === 'string' ? route.params['part'] : '',
)
const keepKey = computed(() => `zucchini:part:${editing.value || 'new'}`)

const start = async () => {
  try {
    await context.load()
    const from = editing.value || (typeof route.query['from'] === 'string' ? route.query['from'] : '')
    const model = context.catalogue?.parts.get(from)
    if (editing.value && !model) trouble.value = 'The catalogue has no such part.'
    if (model) {
      draft.value = editing.value ? model : { ...model, id: '', name: `${model.name}, copy`.slice(0, 80) }
      centreByHand.value = true
    }
    if (editing.value) tag.value = (await api.partTag(editing.value)).tag
    const kept = model && !editing.value ? null : localStorage.getItem(keepKey.value)
    if (kept) {
      draft.value = JSON.parse(kept) as Part
      centreByHand.value = true
      taken.value = true
    }
    ready.value = true
  } catch (error) {
    trouble.value = error instanceof Error ? error.message : 'The catalogue could not be read.'
  }
}
onMounted(start)

const id = computed(() => editing.value || idFrom(draft.value.name, context.catalogue))
const whole = computed((): Part => ({
  ...draft.value,
  id: id.value,
  centre: centreByHand.value ? draft.value.centre : middleTyped(draft.value.solids),
}))
const checked = computed(() => checkDraft(whole.value))
/** The last state that could be drawn stays on the sheet while a number is being typed. */
const drawn = shallowRef<Part>()
watch(
  checked,
  ({ part, issues }) => {
    if (part) drawn.value = part
    else if (issues.every(({ path }) => !/^(solids|centre|mounts\.\d+\.(at|standard))/.test(path)))
      drawn.value = { ...whole.value, id: id.value || 'part' }
  },
  { immediate: true },
)
/** An empty field is a mass nobody knows; nought is none. */
const changeMass = (typed: string) => {
  const empty = typed.trim() === ''
  const next = { ...draft.value, massG: empty ? 0 : Number(typed) }
  change(empty ? nowUnknown(next, 'massG') : nowKnown(next, 'massG'))
}
const change = (more: Partial<Part>) => {
  // A whole part takes the draft's place, so that what no longer belongs to it goes.
  draft.value = 'solids' in more && 'mounts' in more ? (more as Part) : { ...draft.value, ...more }
  taken.value = false
  try {
    localStorage.setItem(keepKey.value, JSON.stringify(draft.value))
  } catch {
    // No room to keep the draft in: it is still on the page.
  }
}
const replace = <T,>(list: readonly T[], at: number, by: T): T[] => list.map((old, i) => (i === at ? by : old))
const drop = <T,>(list: readonly T[], at: number): T[] => list.filter((_, i) => i !== at)
const solids = (list: Solid[]) => change({ solids: list })
const mounts = (list: Mount[]) => change({ mounts: list })
const freeMount = () => {
  const known = new Set(draft.value.mounts.map((mount) => mount.id))
  let n = draft.value.mounts.length + 1
  while (known.has(`mount-${n}`)) n++
  return newMount(`mount-${n}`)
}
const price = (key: keyof Part['price'], amount: number) =>
  change({ price: { ...draft.value.price, [key]: Math.round(amount * 100) } })
const gives = (gift: Capability, on: boolean) =>
  change({ provides: on ? [...draft.value.provides, gift] : draft.value.provides.filter((own) => own !== gift) })
const forget = () => localStorage.removeItem(keepKey.value)
const startOver = async () => {
  forget()
  taken.value = false
  draft.value = emptyPart()
  centreByHand.value = false
  await start()
}
const store = async () => {
  tried.value = true
  const { part } = checked.value
  if (!part) return
  try {
    await api.savePart(part, tag.value)
    forget()
    await context.reload()
    await router.push({ name: 'part', params: { part: part.id } })
  } catch (error) {
    const issues =
      error instanceof ApiRefusal
        ? (error.more['issues'] as { path: string; message: string }[] | undefined)
        : undefined
    trouble.value = [
      error instanceof Error ? error.message : 'It could not be stored.',
      ...(issues ?? []).map(({ path, message }) => `${path}: ${message}`),
    ].join(' ')
  }
}
const value = (event: Event) => (event.target as HTMLInputElement | HTMLSelectElement | HTMLTextAreaElement).value
const roleGroups = stations.map((station) => ({
  station,
  roles: (Object.keys(roles) as Role[]).filter((role) => roles[role].station === station),
}))
</script>

<template>
  <div class="flex h-full min-h-0 flex-col">
    <TopBar>
      <nav class="flex items-baseline gap-1.5" aria-label="Where you are">
        <RouterLink to="/" class="text-soft hover:text-ink">Shelf</RouterLink><span class="text-soft">/</span>
        <RouterLink :to="{ name: 'catalogue' }" class="text-soft hover:text-ink">Catalogue</RouterLink>
        <span class="text-soft">/ {{ editing ? 'edit' : 'new part' }}</span>
      </nav>
      <template #end>
        <RouterLink class="btn" :to="editing ? { name: 'part', params: { part: editing } } : { name: 'catalogue' }"
          >Leave it</RouterLink
        >
        <button class="btn btn-do" :disabled="!ready" @click="store">Store the part</button>
      </template>
    </TopBar>
    <p v-if="trouble" class="border-b border-brick bg-blossom-tint px-4 py-1.5" role="alert">{{ trouble }}</p>
    <p v-if="taken" class="border-b border-line bg-blossom-tint px-4 py-1.5" role="status">
      Taken up where you left it. <button class="btn ml-2 py-0" @click="startOver">Start over</button>
    </p>
    <main class="flex min-h-0 flex-1">
      <h1 class="sr-only">{{ editing ? `Edit ${draft.name}` : 'A new part' }}</h1>
      <p v-if="!ready" class="flex-1 px-5 py-4 text-soft" role="status">Reading the part …</p>
      <form v-else class="min-w-0 flex-1 overflow-y-auto px-5 py-4" @submit.prevent="store">
        <section class="grid grid-cols-[minmax(0,2fr)_minmax(0,1fr)_minmax(0,1fr)] gap-x-4 gap-y-2.5">
          <label class="block"
            ><span class="label">name</span
            ><input class="field w-full" maxlength="80" :value="draft.name" @input="change({ name: value($event) })"
          /></label>
          <label class="block"
            ><span class="label">maker</span
            ><input class="field w-full" maxlength="40" :value="draft.maker" @input="change({ maker: value($event) })"
          /></label>
          <label class="block"
            ><span class="label">what it is</span
            ><select class="field w-full" :value="draft.role" @change="change(asRole(draft, value($event) as Role))">
              <optgroup v-for="group in roleGroups" :key="group.station" :label="group.station">
                <option v-for="role in group.roles" :key="role" :value="role">{{ roles[role].title }}</option>
              </optgroup>
            </select></label
          >
          <div class="col-span-3 flex flex-wrap items-end gap-x-5 gap-y-2">
            <label class="block"
              ><span class="label block">mass, g</span
              ><input
                class="field fig w-24 py-0.5"
                type="number"
                step="any"
                min="0"
                aria-label="Mass (g)"
                placeholder="unknown"
                :value.prop="isUnknown(draft, 'massG') ? '' : draft.massG"
                @input="changeMass(($event.target as HTMLInputElement).value)"
            /></label>
            <label v-for="key in ['low', 'usual', 'high'] as const" :key="key" class="block"
              ><span class="label block">{{ key }} price, EUR</span
              ><NumberField
                wide
                :value="draft.price[key] / 100"
                :name="`${key} price (${context.money?.home ?? 'EUR'})`"
                @change="price(key, $event)"
            /></label>
            <span class="block"
              ><label class="label flex items-center gap-1.5"
                ><input v-model="centreByHand" type="checkbox" class="accent-leaf" /> centre of mass by hand</label
              ><VecField
                v-if="centreByHand"
                :value="draft.centre"
                name="Centre of mass"
                @change="change({ centre: $event })"
            /></span>
            <FigureFields :figure="draft.figure" @change="change({ figure: $event })" />
          </div>
        </section>
        <section class="mt-4" aria-label="Solids">
          <h2 class="flex items-center gap-2 border-b border-line pb-1 font-semibold">
            Solids <span class="label font-normal">mm from the part’s own zero: right, up, towards you</span>
            <button type="button" class="btn ml-auto py-0" @click="solids([...draft.solids, newSolid()])">
              <Plus class="size-3.5" aria-hidden="true" /> box
            </button>
            <button type="button" class="btn py-0" @click="solids([...draft.solids, newBar()])">
              <Plus class="size-3.5" aria-hidden="true" /> round bar
            </button>
          </h2>
          <SolidRow
            v-for="(solid, i) in draft.solids"
            :key="i"
            :solid="solid"
            :n="i + 1"
            @change="solids(replace(draft.solids, i, $event))"
            @remove="solids(drop(draft.solids, i))"
          />
        </section>
        <section class="mt-4" aria-label="Mounts">
          <h2 class="flex items-center gap-2 border-b border-line pb-1 font-semibold">
            Mounts <span class="label font-normal">where it sits, and what can sit on it</span>
            <button type="button" class="btn ml-auto py-0" @click="mounts([...draft.mounts, freeMount()])">
              <Plus class="size-3.5" aria-hidden="true" /> mount
            </button>
          </h2>
          <MountRow
            v-for="(mount, i) in draft.mounts"
            :key="i"
            :mount="mount"
            :n="i + 1"
            :picked="picked === mount.id"
            @change="mounts(replace(draft.mounts, i, $event))"
            @remove="mounts(drop(draft.mounts, i))"
            @pick="picked = mount.id"
          />
        </section>
        <section class="mt-4" aria-label="Rooms">
          <h2 class="flex items-center gap-2 border-b border-line pb-1 font-semibold">
            Rooms <span class="label font-normal">what has to stay free for it to work</span>
            <button type="button" class="btn ml-auto py-0" @click="change({ rooms: [...draft.rooms, newRoom()] })">
              <Plus class="size-3.5" aria-hidden="true" /> room
            </button>
          </h2>
          <RoomRow
            v-for="(room, i) in draft.rooms"
            :key="i"
            :room="room"
            :n="i + 1"
            @change="change({ rooms: replace(draft.rooms, i, $event) })"
            @remove="change({ rooms: drop(draft.rooms, i) })"
          />
        </section>
        <section class="mt-4" aria-label="Grips">
          <h2 class="flex items-center gap-2 border-b border-line pb-1 font-semibold">
            Grips <span class="label font-normal">where a hand takes hold: the middle of the palm</span>
            <button
              type="button"
              class="btn ml-auto py-0"
              @click="change({ grips: [...draft.grips, { kind: 'top', at: [0, 40, 0] }] })"
            >
              <Plus class="size-3.5" aria-hidden="true" /> grip
            </button>
          </h2>
          <div v-for="(grip, i) in draft.grips" :key="i" class="flex items-center gap-2.5 border-b border-line py-2">
            <select
              class="field py-0.5"
              :value="grip.kind"
              :aria-label="`Grip ${i + 1}, kind`"
              @change="change({ grips: replace(draft.grips, i, { ...grip, kind: value($event) as typeof grip.kind }) })"
            >
              <option value="top">from above</option>
              <option value="side">beside</option>
              <option value="shoulder">on the shoulder</option>
              <option value="chest">on the chest</option>
            </select>
            <VecField
              :value="grip.at"
              :name="`Grip ${i + 1}`"
              @change="change({ grips: replace(draft.grips, i, { ...grip, at: $event }) })"
            />
            <button
              type="button"
              class="btn ml-auto px-1.5 py-0.5"
              :aria-label="`Remove grip ${i + 1}`"
              @click="change({ grips: drop(draft.grips, i) })"
            >
              ×
            </button>
          </div>
        </section>
        <OpticsSection :part="draft" @change="change" />
        <ElectricsSection :part="draft" @change="change" />
        <OrderSection :part="draft" @change="change" />
        <section class="mt-4 grid grid-cols-[2fr_1fr] gap-5">
          <fieldset>
            <legend class="border-b border-line pb-1 font-semibold">What it gives</legend>
            <div class="mt-1.5 grid grid-cols-2 gap-x-4 gap-y-1">
              <label v-for="gift in capabilityIds" :key="gift" class="flex items-center gap-2"
                ><input
                  type="checkbox"
                  class="accent-leaf"
                  :checked="draft.provides.includes(gift)"
                  @change="gives(gift, ($event.target as HTMLInputElement).checked)"
                />
                {{ capabilities[gift].title }}</label
              >
            </div>
          </fieldset>
          <label class="block"
            ><span class="label">notes</span
            ><textarea
              class="field h-28 w-full"
              maxlength="400"
              :value="draft.notes ?? ''"
              @input="change({ notes: value($event) })"
            />
          </label>
        </section>
      </form>
      <aside
        ref="sheet"
        class="flex w-[452px] shrink-0 flex-col gap-2 overflow-y-auto border-l border-line bg-card px-4 py-3"
        aria-label="As it will be"
      >
        <label class="label flex cursor-pointer items-center gap-1.5"
          ><input v-model="rooms" type="checkbox" class="accent-leaf" /> rooms</label
        >
        <template v-if="drawn">
          <PartDrawing
            v-for="view in ['side', 'front', 'top'] as const"
            :key="view"
            class="rounded-lg border border-line"
            :part="drawn"
            :view="view"
            :width="Math.max(200, Math.floor(width) - 2)"
            :height="190"
            :rooms="rooms"
            :picked="picked"
            @pick="picked = $event"
          />
        </template>
        <section aria-label="What is still wrong" aria-live="polite">
          <h2 class="border-b border-line pb-1 font-semibold">
            {{ checked.issues.length === 0 ? 'Ready to store' : 'Still to mend' }}
          </h2>
          <ul>
            <li
              v-for="issue in checked.issues.slice(0, 12)"
              :key="issue.path + issue.words"
              class="border-b border-line py-1"
              :class="tried ? 'text-brick' : ''"
              :data-issue="issue.path"
            >
              <strong>{{ issue.where }}</strong> {{ issue.words }}
            </li>
          </ul>
          <p class="label mt-1">
            Its short name will be <code>{{ id }}</code>.
          </p>
        </section>
      </aside>
    </main>
  </div>
</template>
