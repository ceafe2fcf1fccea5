import {
  Backpack,
  Cable,
  Coins,
  Gauge,
  Hammer,
  Layers,
  Library,
  NotebookPen,
  Scale,
  ScrollText,
  SlidersHorizontal,
  Smartphone,
  Sun,
  Warehouse,
} from '@lucide/vue'
import type { Component } from 'vue'
import type { RouteRecordRaw } from 'vue-router'

/** One screen: its address, its name and where one gets to it from. */
export interface Screen {
  readonly name: string
  readonly path: string
  readonly title: string
  /** What it is for, in one line; it stands in the search. */
  readonly note: string
  readonly icon?: Component
  /** Where a way to it stands besides the search. */
  readonly from?: 'bench rail' | 'top bar' | 'shelf'
  readonly load: () => Promise<Component>
}

/**
 * Every screen, in the order in which they stand wherever they stand. Router, the rail of the bench, the shelf's places,
 * the search and the browser tests are made from this list; to add a screen is to add its folder and a line here.
 */
export const screens: readonly Screen[] = [
  {
    name: 'shelf',
    path: '/',
    title: 'Shelf',
    note: 'All rigs',
    load: () => import('./shelf/ShelfScreen.vue'),
  },
  {
    name: 'brief',
    path: '/rigs/:id/brief',
    title: 'Brief',
    note: 'What is shot, where, how long, and what it may weigh and cost',
    icon: NotebookPen,
    load: () => import('./brief/BriefScreen.vue'),
  },
  {
    name: 'bench',
    path: '/rigs/:id',
    title: 'Bench',
    note: 'The rig, its drawing, its scales and what is wrong with it',
    load: () => import('./bench/BenchScreen.vue'),
  },
  {
    name: 'light',
    path: '/rigs/:id/light',
    title: 'Light',
    note: 'Lenses, filters, what the lens sees, and the light of the day',
    icon: Sun,
    from: 'bench rail',
    load: () => import('./light/LightScreen.vue'),
  },
  {
    name: 'wiring',
    path: '/rigs/:id/wiring',
    title: 'Wiring',
    note: 'What feeds what, through which lead, and for how long',
    icon: Cable,
    from: 'bench rail',
    load: () => import('./wiring/WiringScreen.vue'),
  },
  {
    name: 'balance',
    path: '/rigs/:id/balance',
    title: 'Balance',
    note: 'How it hangs, and what levels it',
    icon: Scale,
    from: 'bench rail',
    load: () => import('./balance/BalanceScreen.vue'),
  },
  {
    name: 'money',
    path: '/rigs/:id/money',
    title: 'Money',
    note: 'What is still to buy, by tiers, at which prices, and when',
    icon: Coins,
    from: 'bench rail',
    load: () => import('./money/MoneyScreen.vue'),
  },
  {
    name: 'setups',
    path: '/rigs/:id/set-ups',
    title: 'Set-ups',
    note: 'All set-ups side by side',
    icon: Layers,
    from: 'bench rail',
    load: () => import('./setups/SetupsScreen.vue'),
  },
  {
    name: 'build',
    path: '/rigs/:id/build',
    title: 'Build',
    note: 'Put together step by step: order, points, settings, tools, and what to try at the end',
    icon: Hammer,
    from: 'bench rail',
    load: () => import('./build/BuildScreen.vue'),
  },
  {
    name: 'pack',
    path: '/rigs/:id/pack',
    title: 'Pack',
    note: 'What goes into the bag for the day, where it lies now, what is still to charge',
    icon: Backpack,
    from: 'bench rail',
    load: () => import('./pack/PackScreen.vue'),
  },
  {
    name: 'log',
    path: '/rigs/:id/log',
    title: 'Log',
    note: 'A day told in a minute, what the days taught, and the next mark',
    icon: ScrollText,
    from: 'bench rail',
    load: () => import('./log/LogScreen.vue'),
  },
  {
    name: 'beside',
    path: '/rigs/:id/beside/:other',
    title: 'Side by side',
    note: 'Two marks, or any two rigs, laid beside each other',
    load: () => import('./beside/BesideScreen.vue'),
  },
  {
    name: 'rehearsal',
    path: '/rigs/:id/rehearsal',
    title: 'Rehearsal',
    note: 'The shoot day played on simulated batteries',
    icon: Gauge,
    load: () => import('./rehearsal/RehearsalScreen.vue'),
  },
  {
    name: 'locker',
    path: '/locker',
    title: 'Locker',
    note: 'What is owned, where it lies and what it weighs',
    icon: Warehouse,
    from: 'shelf',
    load: () => import('./locker/LockerScreen.vue'),
  },
  {
    name: 'catalogue',
    path: '/catalogue',
    title: 'Catalogue',
    note: 'All known parts',
    icon: Library,
    from: 'shelf',
    load: () => import('./catalogue/CatalogueScreen.vue'),
  },
  {
    name: 'new-part',
    path: '/catalogue/new',
    title: 'A new part',
    note: 'A part of one’s own, drawn while it is typed',
    load: () => import('./catalogue/PartEditor.vue'),
  },
  {
    name: 'part',
    path: '/catalogue/:part',
    title: 'Catalogue',
    note: 'One part',
    load: () => import('./catalogue/CatalogueScreen.vue'),
  },
  {
    name: 'edit-part',
    path: '/catalogue/:part/edit',
    title: 'Edit a part',
    note: 'A part of one’s own, changed',
    load: () => import('./catalogue/PartEditor.vue'),
  },
  {
    name: 'phone',
    path: '/phone',
    title: 'Phone',
    note: 'The pages of the field on a phone, with and without a network',
    icon: Smartphone,
    from: 'shelf',
    load: () => import('./phone/PhoneScreen.vue'),
  },
  {
    name: 'work',
    path: '/how-i-work',
    title: 'How I work',
    note: 'Limits, seconds, strength',
    icon: SlidersHorizontal,
    from: 'top bar',
    load: () => import('./work/WorkScreen.vue'),
  },
  {
    name: 'nowhere',
    path: '/:rest(.*)*',
    title: 'Nothing here',
    note: 'An address that leads nowhere',
    load: () => import('./NowhereScreen.vue'),
  },
]

/** The screens one gets to from one place. */
export const screensFrom = (place: Screen['from']): readonly Screen[] => screens.filter(({ from }) => from === place)

/** The screens that a rig has, and those that need nothing: where the search can lead from a rig. */
export const reachable: readonly Screen[] = screens.filter(({ path }) =>
  [...path.matchAll(/:(\w+)/g)].every(([, place]) => place === 'id'),
)

export const routes: readonly RouteRecordRaw[] = screens.map(({ name, path, title, load }) => ({
  name,
  path,
  component: load,
  meta: { title },
}))
