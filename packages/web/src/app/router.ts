import type { Component } from 'vue'
import { createRouter, createWebHistory, type RouteMeta, type RouteRecordRaw } from 'vue-router'

/** Every place but the list of formulas waits for what the maker knows, which brings the catalogue with it. */
const place = (page: () => Promise<{ default: Component }>) => async () => {
  const [{ default: it }] = await Promise.all([page(), import('../stores/knowledge').then((m) => m.readKnowledge())])
  return it
} // prettier-ignore

/** A leaf in the room of a formula. */
const leaf = (path: string, name: string, component: () => Promise<{ default: Component }>, meta: RouteMeta): RouteRecordRaw => ({ path, name, component, meta }) // prettier-ignore

/** A place of something that has an id. */
const leafOf = (path: string, name: string, page: () => Promise<{ default: Component }>): RouteRecordRaw => ({ path, name, component: place(page), props: true }) // prettier-ignore

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
        leaf('emulsion', 'emulsion', () => import('../features/formula/emulsion/EmulsionPage.vue'), { leaf: 'emulsion', title: 'Emulsion' }),
        leaf('balance', 'balance', () => import('../features/formula/balance/BalanceBody.vue'), { leaf: 'balance', title: 'Balance' }),
        leaf('method', 'method', () => import('../features/formula/method/MethodBody.vue'), { leaf: 'method', title: 'Method' }),
        leaf('ph', 'ph', () => import('../features/formula/ph/PhPage.vue'), { leaf: 'ph', title: 'pH' }),
        leaf('label', 'formula-label', () => import('../features/formula/label/LabelBody.vue'), { leaf: 'label', title: 'Label' }),
        leaf('cost', 'cost', () => import('../features/formula/cost/CostBody.vue'), { leaf: 'cost', title: 'Cost' }),
        leaf('versions', 'versions', () => import('../features/formula/versions/VersionsPage.vue'), { leaf: 'versions', title: 'Versions' }),
        leaf('history', 'history', () => import('../features/formula/versions/HistoryPage.vue'), { title: 'History' }),
        leaf('stickers', 'stickers', () => import('../features/formula/label/StickersPage.vue'), { title: 'Stickers' }),
        leaf('product-sheet', 'product-sheet', () => import('../features/formula/label/ProductSheet.vue'), { title: 'Product sheet' }),
        leaf('print', 'print', () => import('../features/print/PrintPage.vue'), {}),
      ], // prettier-ignore
    },
    { path: '/bench', name: 'bench', component: place(() => import('../features/bench/BenchPage.vue')) },
    {
      path: '/bench/start',
      name: 'bench-start',
      component: place(() => import('../features/bench/StartPage.vue')),
    },
    leafOf('/bench/:id', 'batch', () => import('../features/bench/run/RunPage.vue')),
    leafOf('/bench/:id/record', 'record', () => import('../features/bench/record/RecordPage.vue')),
    {
      path: '/keeping',
      name: 'keeping',
      component: place(() => import('../features/keeping/KeepingPage.vue')),
    },
    {
      path: '/keeping/look',
      name: 'look-all',
      component: place(() => import('../features/keeping/LookPage.vue')),
    },
    leafOf('/keeping/:id', 'life', () => import('../features/keeping/KeepingPage.vue')),
    leafOf('/keeping/:id/look', 'look', () => import('../features/keeping/LookPage.vue')),
    leafOf('/keeping/:id/report', 'life-report', () => import('../features/keeping/ReportPage.vue')),
    { path: '/trials', name: 'trials', component: place(() => import('../features/trials/TrialsPage.vue')) },
    {
      path: '/trials/new',
      name: 'trial-new',
      component: place(() => import('../features/trials/SetUpPage.vue')),
    },
    leafOf('/trials/:id', 'trial', () => import('../features/trials/TrialPage.vue')),
    leafOf('/trials/:id/judge', 'judge', () => import('../features/trials/JudgePage.vue')),
    leafOf('/trials/:id/paper', 'trial-paper', () => import('../features/trials/PaperPage.vue')),
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
    { path: '/shelf', name: 'shelf', component: place(() => import('../features/shelf/ShelfPage.vue')) },
    {
      path: '/shelf/containers',
      name: 'containers',
      component: place(() => import('../features/shelf/ContainersPage.vue')),
    },
    leafOf('/shelf/lots/:id', 'lot', () => import('../features/shelf/WentPage.vue')),
    leafOf('/shelf/:id', 'material', () => import('../features/shelf/MaterialPage.vue')),
    { path: '/bin', name: 'bin', component: () => import('../features/bin/BinPage.vue') },
    { path: '/:rest(.*)*', name: 'nowhere', component: () => import('./NowherePage.vue') },
  ],
})
