import type { Component } from 'vue'
import { createRouter, createWebHistory } from 'vue-router'

/** Every place but the list of formulas waits for what the maker knows, which brings the catalogue with it. */
const place = (page: () => Promise<{ default: Component }>) => async () => {
  const [{ default: it }] = await Promise.all([page(), import('../stores/knowledge').then((m) => m.readKnowledge())])
  return it
} // prettier-ignore

export const router = createRouter({
  history: createWebHistory(),
  scrollBehavior: (_to, _from, saved) => saved ?? { top: 0 },
  routes: [
    { path: '/', redirect: '/formulas' },
    { path: '/formulas', name: 'formulas', component: () => import('../features/formulas/FormulasPage.vue') },
    {
      path: '/formulas/:id',
      name: 'formula',
      component: place(() => import('../features/formula/FormulaPage.vue')),
      props: true,
    },
    {
      path: '/formulas/:id/emulsion',
      name: 'emulsion',
      component: place(() => import('../features/formula/emulsion/EmulsionPage.vue')),
      props: true,
    },
    {
      path: '/formulas/:id/balance',
      name: 'balance',
      component: place(() => import('../features/formula/balance/BalancePage.vue')),
      props: true,
    },
    {
      path: '/formulas/:id/method',
      name: 'method',
      component: place(() => import('../features/formula/method/MethodPage.vue')),
      props: true,
    },
    {
      path: '/formulas/:id/ph',
      name: 'ph',
      component: place(() => import('../features/formula/ph/PhPage.vue')),
      props: true,
    },
    {
      path: '/formulas/:id/versions',
      name: 'versions',
      component: place(() => import('../features/formula/VersionsPage.vue')),
      props: true,
    },
    {
      path: '/formulas/:id/print',
      name: 'print',
      component: place(() => import('../features/print/PrintPage.vue')),
      props: true,
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
      path: '/shelf/:id',
      name: 'material',
      component: place(() => import('../features/shelf/MaterialPage.vue')),
      props: true,
    },
    { path: '/bin', name: 'bin', component: () => import('../features/bin/BinPage.vue') },
    { path: '/:rest(.*)*', name: 'nowhere', component: () => import('./NowherePage.vue') },
  ],
})
