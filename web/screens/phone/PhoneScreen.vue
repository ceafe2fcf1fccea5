<script setup lang="ts">
import { computed, onMounted, ref, shallowRef } from 'vue'
import { api, ApiRefusal, type PairingAnswer, type PhoneState } from '../../api.ts'
import TopBar from '../../widgets/TopBar.vue'
import QrCode from './QrCode.vue'

// How a phone gets in: it comes to trust this machine once, then a code that is good once lets it in.
const state = shallowRef<PhoneState>()
const pairing = shallowRef<PairingAnswer>()
const trouble = ref('')
const at = ref(0)
const guarded = async (act: () => Promise<void>) => {
  trouble.value = ''
  try {
    await act()
  } catch (error) {
    trouble.value = error instanceof ApiRefusal ? error.message : 'The program does not answer.'
  }
}
const look = () => guarded(async () => void (state.value = await api.phone()))
onMounted(look)
const pair = () => guarded(async () => void (pairing.value = await api.newPairing()))
const forget = async () => {
  await guarded(async () => void (await api.forgetPhones()))
  pairing.value = undefined
  await look()
}
const hostOf = (text: string): string => new URL(text).hostname
const guide = computed(() => state.value?.guides[at.value])
const address = computed(() => pairing.value?.addresses[at.value])
const until = computed(() =>
  pairing.value
    ? new Date(pairing.value.until).toLocaleTimeString('en', { hour: '2-digit', minute: '2-digit', hour12: false })
    : '',
)
</script>

<template>
  <TopBar><span class="font-semibold">Phone</span></TopBar>
  <main class="mx-auto w-full max-w-4xl overflow-y-auto px-6 py-6">
    <h1 class="text-xl font-semibold">On the phone</h1>
    <p class="mt-0.5 max-w-[70ch] text-soft">
      Build, Pack and Log fit one hand. Opened once on the phone, a rig needs no network any more; what is ticked and
      told there is sent when there is one.
    </p>
    <p v-if="trouble" class="mt-3 text-brick" role="alert">{{ trouble }}</p>
    <template v-if="state && !state.on">
      <div class="mt-5 rounded-xl border border-line bg-card px-5 py-4" data-phones-off>
        <h2 class="text-[15px] font-semibold">Phones are not let in now</h2>
        <p class="mt-1">Stop the program and start it with</p>
        <pre class="mt-2 rounded-md bg-track px-3 py-2 font-mono text-[13px]">npm start -- --phone</pre>
        <p class="label mt-2">
          It then listens on this network too, over https, and lets in only phones that were paired here.
        </p>
      </div>
      <p class="mt-5">
        Without all that: on the Log page of a rig, <strong>Take the sheets along</strong> makes one file with the
        steps, the bag and the log. Any phone opens it, with no network and no program; what is told there is read back
        as a file.
      </p>
    </template>
    <template v-else-if="state">
      <label v-if="state.guides.length > 1" class="mt-4 flex items-center gap-2"
        ><span class="label">This machine has several addresses; the phone reaches</span>
        <select v-model.number="at" class="field py-1">
          <option v-for="(one, i) in state.guides" :key="one" :value="i">{{ hostOf(one) }}</option>
        </select></label
      >
      <div class="mt-5 grid gap-6 min-[720px]:grid-cols-2">
        <section class="rounded-xl border border-line bg-card px-5 py-4" aria-label="Trust">
          <h2 class="text-[15px] font-semibold">1. Once: the phone comes to know this machine</h2>
          <p class="label mt-1">Scan this with the phone’s camera and do what the page says.</p>
          <QrCode v-if="guide" class="mt-3" :text="guide" label="Code of the page that says how" />
          <p class="mt-2 break-all">{{ guide }}</p>
        </section>
        <section class="rounded-xl border border-line bg-card px-5 py-4" aria-label="Pair">
          <h2 class="text-[15px] font-semibold">2. Let it in</h2>
          <p class="label mt-1">A code is good for one phone and ten minutes. It holds no passphrase.</p>
          <template v-if="address">
            <QrCode class="mt-3" :text="address" label="Code that lets one phone in" />
            <p class="mt-2">Good until {{ until }}. <button class="btn ml-2 py-0.5" @click="pair">A new one</button></p>
          </template>
          <button v-else class="btn btn-do mt-3" data-pair @click="pair">Make a code</button>
        </section>
      </div>
      <p class="mt-5 flex flex-wrap items-center gap-3">
        <span>{{
          state.paired === 0
            ? 'No phone is paired.'
            : state.paired === 1
              ? 'One phone is paired.'
              : `${state.paired} phones are paired.`
        }}</span>
        <button v-if="state.paired > 0" class="btn py-0.5" @click="forget">Let none of them in any more</button>
        <button class="btn py-0.5" @click="look">Look again</button>
      </p>
    </template>
    <p v-else-if="!trouble" class="label mt-5" role="status">reading ...</p>
  </main>
</template>
