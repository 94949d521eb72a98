<script setup lang="ts">
import { common } from '#words/common'
import { rail as texts } from '#words/app'
import Menu from 'primevue/menu'
import { onMounted, shallowRef, useTemplateRef } from 'vue'
import { notify } from '../components/notify'
import type { useStability } from '../stores/stability'
import { useBin } from '../stores/bin'
import { useSafety } from '../stores/safety'
import { isDark, setTheme } from '../browser/dark'
import { whenIdle } from '../browser/idle'
import { useToast } from 'primevue/usetoast'
import { useRoute } from 'vue-router'

const safety = useSafety()
const bin = useBin()
const route = useRoute()
const toast = useToast()

const PLACES = [
  { to: '/formulas', within: ['/formulas', '/start'], icon: 'pi pi-file-edit', label: texts.formulas },
  { to: '/ingredients', within: ['/ingredients'], icon: 'pi pi-box', label: common.ingredients },
  { to: '/bench', within: ['/bench'], icon: 'pi pi-stopwatch', label: texts.bench },
  { to: '/stability', within: ['/stability'], icon: 'pi pi-calendar-clock', label: common.stability },
  { to: '/trials', within: ['/trials'], icon: 'pi pi-chart-bar', label: texts.trials },
]

/** What is due is counted when nothing more urgent is to be done: the first view does not wait for it. */
const keeping = shallowRef<ReturnType<typeof useStability> | null>(null)
onMounted(() => {
  const count = async () => {
    const store = (await import('../stores/stability')).useStability()
    await store.load()
    keeping.value = store
    const { tellOfLooks } = await import('../stores/notify-due')
    await tellOfLooks(store.due.length)
  }
  whenIdle(() => void count())
})

async function backup(pictures: boolean) {
  const result = await safety.backUp(pictures)
  if ('error' in result) notify(toast, result.error, undefined, 'error')
  else notify(toast, result.message)
}
const ways = useTemplateRef<InstanceType<typeof Menu>>('ways')
const WAYS = [
  { label: texts.withoutPhotos, icon: 'pi pi-file', command: () => void backup(false) },
  { label: texts.withPhotosAndDocuments, icon: 'pi pi-images', command: () => void backup(true) },
]
</script>

<template>
  <header class="rail">
    <RouterLink to="/formulas" class="brand abreast" :aria-label="texts.ombletAllFormulas">
      <span>{{ texts.omblet }}</span>
      <svg viewBox="0 0 12 14" width="10" height="12" aria-hidden="true">
        <path
          d="M6 0c2.700 3.500 5 5.800 5 8.500a5 5 0 0 1-10 0C1 5.800 3.300 3.500 6 0z"
          fill="var(--cobalt-300)"
        />
      </svg>
    </RouterLink>
    <nav :aria-label="texts.places">
      <RouterLink
        v-for="place in PLACES"
        :key="place.to"
        :to="place.to"
        class="place"
        :class="{ here: place.within.some((path) => route.path.startsWith(path)) }"
      >
        <i :class="place.icon" aria-hidden="true"></i>
        <span>{{ place.label }}</span>
        <span v-if="place.to === '/stability' && keeping?.due.length" class="badge"
          >{{ keeping.due.length }}<span class="hidden-text"> {{ texts.due }}</span></span
        >
      </RouterLink>
    </nav>
    <div class="foot">
      <p class="where">{{ texts.allDataStaysInThis(safety.age.words) }}</p>
      <p v-if="safety.due" class="due">
        <i class="pi pi-clock" aria-hidden="true"></i> {{ texts.aBackupIsDue }}
      </p>
      <p v-if="safety.persisted === false" class="where">{{ texts.theBrowserMayClearIt }}</p>
      <div class="pair">
        <button type="button" class="foot-button bare text-note" @click="backup(false)">
          <i class="pi pi-download" aria-hidden="true"></i><span>{{ texts.backUp }}</span>
        </button>
        <button
          type="button"
          class="foot-button more bare text-note"
          :aria-label="texts.includePhotos"
          aria-haspopup="menu"
          @click="ways?.toggle($event)"
        >
          <i class="pi pi-chevron-up wide-only" aria-hidden="true"></i>
          <i class="pi pi-download narrow-only" aria-hidden="true"></i>
        </button>
        <Menu ref="ways" :model="WAYS" popup />
      </div>
      <RouterLink to="/help/glossary" class="foot-button bare text-note" :aria-label="texts.glossary">
        <i class="pi pi-question-circle" aria-hidden="true"></i><span>{{ texts.glossary }}</span>
      </RouterLink>
      <RouterLink v-if="bin.size > 0" to="/bin" class="foot-button bare text-note">
        <i class="pi pi-trash" aria-hidden="true"></i><span>{{ texts.bin(bin.size) }}</span>
      </RouterLink>
      <button type="button" class="foot-button bare text-note" @click="setTheme(isDark ? 'light' : 'dark')">
        <i :class="isDark ? 'pi pi-sun' : 'pi pi-moon'" aria-hidden="true"></i
        ><span>{{ isDark ? texts.lightTheme : texts.darkTheme }}</span>
      </button>
    </div>
  </header>
</template>

<style scoped>
.rail {
  position: sticky;
  top: 0;
  height: 100dvh;
  display: flex;
  flex-direction: column;
  padding: 1rem 0.625rem;
  background: var(--rail);
  color: var(--rail-ink);
}
.brand {
  gap: 0.25rem;
  padding: 0 0.5rem 0.9rem;
  font-size: var(--text-head-1);
  font-weight: 700;
  color: var(--on-fill);
  text-decoration: none;
}
.brand svg {
  margin-top: 8px;
}
nav {
  display: grid;
  gap: 0.125rem;
}
.place,
.foot-button {
  display: flex;
  align-items: center;
  gap: 0.75rem;
  min-height: 38px;
  padding: 0 0.625rem;
  border-radius: var(--round-m);
  color: var(--rail-ink);
  text-decoration: none;
  font-size: var(--text-less);
}
.place:hover,
.foot-button:hover {
  background: var(--rail-hover);
}
.badge {
  margin-left: auto;
  min-width: 22px;
  padding: 0 0.375rem;
  border-radius: var(--round-xl);
  background: var(--rail-warn);
  color: var(--on-check);
  font-size: var(--text-small);
  font-weight: 700;
  text-align: center;
}
.place.here {
  background: var(--rail-active);
  color: var(--on-fill);
}
.foot {
  margin-top: auto;
  display: grid;
  gap: 0.125rem;
}
.foot p {
  padding: 0 0.625rem 0.5rem;
  font-size: var(--text-small);
  color: var(--rail-muted);
}
.foot .due {
  color: var(--rail-warn);
}
.pair {
  display: flex;
}
.pair > :first-child {
  flex: 1;
}
.more {
  justify-content: center;
  padding: 0 0.75rem;
}
.narrow-only {
  display: none;
}
.rail :focus-visible {
  outline-color: var(--rail-focus);
}
@media (max-width: 860px) {
  .rail {
    position: static;
    height: auto;
    flex-direction: row;
    align-items: center;
    gap: 0.25rem;
    padding: 0.4rem 0.375rem;
  }
  .brand {
    padding: 0;
    font-size: var(--text-head-3);
  }
  nav {
    display: flex;
  }
  .foot {
    margin: 0 0 0 auto;
    display: flex;
  }
  .foot p {
    display: none;
  }
  .foot-button {
    min-width: 40px;
    justify-content: center;
  }
  .foot-button span,
  .pair > :first-child,
  .wide-only {
    display: none;
  }
  .narrow-only {
    display: inline;
  }
}
@media (max-width: 620px) {
  nav {
    position: fixed;
    inset: auto 0 0;
    z-index: 5;
    display: flex;
    gap: 0;
    padding: 2px 2px calc(2px + env(safe-area-inset-bottom));
    background: var(--rail);
  }
  .place {
    position: relative;
    flex: 1;
    flex-direction: column;
    justify-content: center;
    gap: 0;
    min-height: 52px;
    min-width: 0;
    padding: 0;
    font-size: var(--text-tiny);
  }
  .badge {
    position: absolute;
    top: 2px;
    left: calc(50% + 4px);
  }
}
@media print {
  .rail {
    display: none;
  }
}
</style>
