import { common } from '#words/common'
import { router as texts } from '#words/app'
import type { Component } from 'vue'
import {
  createRouter,
  createWebHistory,
  type RouteLocation,
  type RouteMeta,
  type RouteRecordRaw,
} from 'vue-router'

/** Every place but the list of formulas waits for what the maker knows, which brings the catalogue with it. */
const place = (page: () => Promise<{ default: Component }>) => async () => {
  const [{ default: it }] = await Promise.all([
    page(),
    import('../stores/knowledge').then((m) => m.readKnowledge()),
  ])
  return it
}

/** A leaf in the room of a formula. */
const leaf = (
  path: string,
  name: string,
  component: () => Promise<{ default: Component }>,
  meta: RouteMeta,
): RouteRecordRaw => ({ path, name, component, meta })

/** Everything of one thing that has an id stands under its address. */
const room = (path: string, children: RouteRecordRaw[]): RouteRecordRaw => ({ path, children })
const within = (path: string, name: string, page: () => Promise<{ default: Component }>): RouteRecordRaw => ({
  path,
  name,
  component: place(page),
  props: true,
})

const MOVED = { '/shelf': '/ingredients', '/keeping': '/stability' }

export const router = createRouter({
  history: createWebHistory(),
  scrollBehavior: (_to, _from, saved) => saved ?? { top: 0 },
  routes: [
    { path: '/', redirect: '/formulas' },
    { path: '/formulas', name: 'formulas', component: () => import('../features/formulas/FormulasPage.vue') },
    {
      path: '/formulas/:id',
      component: place(() => import('../features/formula/FormulaRoom.vue')),
      props: true,
      children: [
        leaf('', 'formula', () => import('../features/formula/FormulaPage.vue'), { leaf: 'sheet' }),
        leaf('emulsion', 'emulsion', () => import('../features/formula/emulsion/EmulsionPage.vue'), {
          leaf: 'emulsion',
          title: common.emulsion,
        }),
        leaf('balance', 'balance', () => import('../features/formula/balance/BalanceBody.vue'), {
          leaf: 'balance',
          title: common.rebalance,
        }),
        leaf('method', 'method', () => import('../features/formula/method/MethodBody.vue'), {
          leaf: 'method',
          title: common.method,
        }),
        leaf('ph', 'ph', () => import('../features/formula/ph/PhPage.vue'), { leaf: 'ph', title: 'pH' }),
        leaf('label', 'formula-label', () => import('../features/formula/label/LabelBody.vue'), {
          leaf: 'label',
          title: common.label,
        }),
        leaf('cost', 'cost', () => import('../features/formula/cost/CostBody.vue'), {
          leaf: 'cost',
          title: common.cost,
        }),
        leaf('versions', 'versions', () => import('../features/formula/versions/VersionsPage.vue'), {
          leaf: 'versions',
          title: common.versions,
        }),
        leaf('history', 'history', () => import('../features/formula/versions/HistoryPage.vue'), {
          title: texts.history,
        }),
        leaf('stickers', 'stickers', () => import('../features/formula/label/StickersPage.vue'), {
          title: texts.stickers,
        }),
        leaf('product-sheet', 'product-sheet', () => import('../features/formula/label/ProductSheet.vue'), {
          title: texts.productSheet,
        }),
        leaf('print', 'print', () => import('../features/print/PrintPage.vue'), {}),
      ],
    },
    { path: '/bench', name: 'bench', component: place(() => import('../features/bench/BenchPage.vue')) },
    {
      path: '/bench/start',
      name: 'bench-start',
      component: place(() => import('../features/bench/StartPage.vue')),
    },
    room('/bench/:id', [
      within('', 'batch', () => import('../features/bench/run/RunPage.vue')),
      within('record', 'record', () => import('../features/bench/record/RecordPage.vue')),
    ]),
    {
      path: '/stability',
      name: 'keeping',
      component: place(() => import('../features/stability/StabilityPage.vue')),
    },
    {
      path: '/stability/look',
      name: 'look-all',
      component: place(() => import('../features/stability/ObservationPage.vue')),
    },
    room('/stability/:id', [
      within('', 'life', () => import('../features/stability/StabilityPage.vue')),
      within('look', 'look', () => import('../features/stability/ObservationPage.vue')),
      within('report', 'life-report', () => import('../features/stability/ReportPage.vue')),
    ]),
    { path: '/help', redirect: '/help/glossary' },
    {
      path: '/help/glossary',
      name: 'glossary',
      component: () => import('../features/help/GlossaryPage.vue'),
    },
    { path: '/trials', name: 'trials', component: place(() => import('../features/trials/TrialsPage.vue')) },
    {
      path: '/trials/new',
      name: 'trial-new',
      component: place(() => import('../features/trials/SetUpPage.vue')),
    },
    room('/trials/:id', [
      within('', 'trial', () => import('../features/trials/TrialPage.vue')),
      within('judge', 'judge', () => import('../features/trials/JudgePage.vue')),
      within('paper', 'trial-paper', () => import('../features/trials/PaperPage.vue')),
    ]),
    { path: '/start', redirect: '/start/brief' },
    {
      path: '/start/brief',
      name: 'brief',
      component: place(() => import('../features/start/BriefPage.vue')),
    },
    {
      path: '/start/recipe',
      name: 'recipe',
      component: place(() => import('../features/start/RecipePage.vue')),
    },
    {
      path: '/start/label',
      name: 'label',
      component: place(() => import('../features/start/LabelPage.vue')),
    },
    {
      path: '/ingredients',
      name: 'shelf',
      component: place(() => import('../features/ingredients/IngredientsPage.vue')),
    },
    {
      path: '/ingredients/containers',
      name: 'containers',
      component: place(() => import('../features/ingredients/ContainersPage.vue')),
    },
    within('/ingredients/lots/:id', 'lot', () => import('../features/ingredients/LotTracePage.vue')),
    within('/ingredients/:id', 'material', () => import('../features/ingredients/MaterialPage.vue')),
    // Addresses of earlier versions lead to the new ones.
    ...Object.entries(MOVED).map(([from, to]) => ({
      path: `${from}/:rest(.*)*`,
      redirect: (old: RouteLocation) => ({
        path: old.path.replace(from, to),
        query: old.query,
        hash: old.hash,
      }),
    })),
    { path: '/bin', name: 'bin', component: () => import('../features/bin/BinPage.vue') },
    { path: '/:rest(.*)*', name: 'nowhere', component: () => import('./NowherePage.vue') },
  ],
})
