import { createRouter, createWebHistory } from 'vue-router'

export const router = createRouter({
  history: createWebHistory(),
  scrollBehavior: (_to, _from, saved) => saved ?? { top: 0 },
  routes: [
    { path: '/', redirect: '/formulas' },
    { path: '/formulas', name: 'formulas', component: () => import('../features/formulas/FormulasPage.vue') },
    {
      path: '/formulas/:id',
      name: 'formula',
      component: () => import('../features/formula/FormulaPage.vue'),
      props: true,
    },
    {
      path: '/formulas/:id/emulsion',
      name: 'emulsion',
      component: () => import('../features/formula/emulsion/EmulsionPage.vue'),
      props: true,
    },
    {
      path: '/formulas/:id/balance',
      name: 'balance',
      component: () => import('../features/formula/balance/BalancePage.vue'),
      props: true,
    },
    {
      path: '/formulas/:id/method',
      name: 'method',
      component: () => import('../features/formula/method/MethodPage.vue'),
      props: true,
    },
    {
      path: '/formulas/:id/ph',
      name: 'ph',
      component: () => import('../features/formula/ph/PhPage.vue'),
      props: true,
    },
    {
      path: '/formulas/:id/versions',
      name: 'versions',
      component: () => import('../features/formula/VersionsPage.vue'),
      props: true,
    },
    {
      path: '/formulas/:id/print',
      name: 'print',
      component: () => import('../features/print/PrintPage.vue'),
      props: true,
    },
    { path: '/bench', name: 'bench', component: () => import('../features/bench/BenchPage.vue') },
    {
      path: '/bench/start',
      name: 'bench-start',
      component: () => import('../features/bench/StartPage.vue'),
    },
    {
      path: '/bench/:id',
      name: 'batch',
      component: () => import('../features/bench/run/RunPage.vue'),
      props: true,
    },
    {
      path: '/bench/:id/record',
      name: 'record',
      component: () => import('../features/bench/record/RecordPage.vue'),
      props: true,
    },
    { path: '/start', redirect: '/start/brief' },
    { path: '/start/brief', name: 'brief', component: () => import('../features/start/BriefPage.vue') },
    { path: '/start/recipe', name: 'recipe', component: () => import('../features/start/RecipePage.vue') },
    { path: '/start/label', name: 'label', component: () => import('../features/start/LabelPage.vue') },
    { path: '/shelf', name: 'shelf', component: () => import('../features/shelf/ShelfPage.vue') },
    {
      path: '/shelf/:id',
      name: 'material',
      component: () => import('../features/shelf/MaterialPage.vue'),
      props: true,
    },
    { path: '/bin', name: 'bin', component: () => import('../features/bin/BinPage.vue') },
    { path: '/:rest(.*)*', name: 'nowhere', component: () => import('./NowherePage.vue') },
  ],
})
