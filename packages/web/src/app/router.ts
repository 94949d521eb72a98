import type { Component } from 'vue'
import { createRouter, createWebHistory, type RouteMeta, type RouteRecordRaw } from 'vue-router'

/** Every place but the list of formulas waits for what the maker knows, which brings the catalogue with it. */
const place = (page: () => Promise<{ default: Component }>) => async () => {
  const [{ default: it }] = await Promise.all([page(), import('../stores/knowledge').then((m) => m.readKnowledge())])
  return it
} // prettier-ignore

/** A leaf in the room of a formula. */
const leaf = (path: string, name: string, component: () => Promise<{ default: Component }>, meta: RouteMeta): RouteRecordRaw => ({ path, name, component, meta }) // prettier-ignore

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
        leaf('versions', 'versions', () => import('../features/formula/VersionsPage.vue'), { leaf: 'versions', title: 'Versions' }),
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
    {
      path: '/bench/:id',
      name: 'batch',
      component: place(() => import('../features/bench/run/RunPage.vue')),
      props: true,
    },
    {
      path: '/bench/:id/record',
      name: 'record',
      component: place(() => import('../features/bench/record/RecordPage.vue')),
      props: true,
    },
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
    {
      path: '/keeping/:id',
      name: 'life',
      component: place(() => import('../features/keeping/KeepingPage.vue')),
      props: true,
    },
    {
      path: '/keeping/:id/look',
      name: 'look',
      component: place(() => import('../features/keeping/LookPage.vue')),
      props: true,
    },
    {
      path: '/keeping/:id/report',
      name: 'life-report',
      component: place(() => import('../features/keeping/ReportPage.vue')),
      props: true,
    },
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
    {
      path: '/shelf/lots/:id',
      name: 'lot',
      component: place(() => import('../features/shelf/WentPage.vue')),
      props: true,
    },
    {
      path: '/shelf/:id',
      name: 'material',
      component: place(() => import('../features/shelf/MaterialPage.vue')),
      props: true,
    },
    { path: '/bin', name: 'bin', component: () => import('../features/bin/BinPage.vue') },
    { path: '/:rest(.*)*', name: 'nowhere', component: () => import('./NowherePage.vue') },
  ],
})
