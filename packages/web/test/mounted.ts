import { flushPromises, mount } from '@vue/test-utils'
import { createPinia, setActivePinia } from 'pinia'
import PrimeVue from 'primevue/config'
import ToastService from 'primevue/toastservice'
import type { Component } from 'vue'
import { createMemoryHistory, createRouter } from 'vue-router'

const Empty = { template: '<div />' }

/** A page of its own: nothing stored in it yet. */
export const newPage = () => setActivePinia(createPinia())

const newRouter = () =>
  createRouter({ history: createMemoryHistory(), routes: [{ path: '/:rest(.*)*', component: Empty }] })

/** A page as the application mounts it at its address. */
export async function mountedAt(path: string, component: Component, props: Record<string, unknown> = {}) {
  const router = newRouter()
  await router.push(path)
  const page = mounted(component, props, {}, router)
  await flushPromises()
  return page
}
let pages: Awaited<ReturnType<typeof mountedAt>>[] = []
/** The same, left with all others by `leavePages`. */
export async function openAt(...of: Parameters<typeof mountedAt>) {
  const page = await mountedAt(...of)
  pages.push(page)
  return page
}
export function leavePages() {
  pages.forEach((p) => p.unmount())
  pages = []
  document.body.replaceChildren()
}
/** Where the page has gone to. */
export const at = (page: ReturnType<typeof mounted>) => page.vm.$router.currentRoute.value.fullPath

/** A component as the application mounts it, in a page of its own unless one was begun. */
export function mounted(
  component: Component,
  props: Record<string, unknown> = {},
  provide: Record<symbol, unknown> = {},
  router = newRouter(),
) {
  return mount(component, {
    props,
    attachTo: document.body,
    global: { plugins: [router, [PrimeVue, { theme: 'none' }], ToastService], provide },
  })
}
