<script setup lang="ts">
import { app as texts } from '#words/app'
import Toast from 'primevue/toast'
import { onMounted, watch } from 'vue'
import { useLibrary } from '../stores/library'
import { useSafety } from '../stores/safety'
import Rail from './Rail.vue'
import StorageNotice from './StorageNotice.vue'

const library = useLibrary()
const safety = useSafety()
onMounted(async () => {
  await library.start()
  await safety.load()
})
watch(
  () => library.records.some((r) => !r.demo),
  (own) => own && library.ready && void safety.askToPersist(),
)
</script>

<template>
  <a class="skip" href="#main">{{ texts.skipToContent }}</a>
  <div class="shell">
    <Rail />
    <div class="stage">
      <StorageNotice />
      <main id="main" tabindex="-1">
        <RouterView v-if="library.ready" />
        <div v-else-if="safety.waiting" class="opening stacked" role="alert">
          <h1>{{ texts.ombletIsOpenInAnother }}</h1>
          <p>
            {{ texts.anOlderVersionOfOmblet }}
          </p>
        </div>
        <p v-else class="opening muted stacked">{{ texts.openingYourFormulas }}</p>
      </main>
    </div>
  </div>
  <Toast position="bottom-right">
    <template #message="{ message }">
      <div class="toast abreast">
        <span>{{ message.summary }}</span>
        <button v-if="message.detail?.label" type="button" @click="message.detail.run()">
          {{ message.detail.label }}
        </button>
      </div>
    </template>
  </Toast>
</template>

<style scoped>
.skip {
  position: absolute;
  left: -999px;
  top: 0;
  z-index: 10;
  padding: 0.5rem 1rem;
  background: var(--paper);
}
.skip:focus {
  left: 0;
}
.shell {
  display: grid;
  grid-template-columns: 176px minmax(0, 1fr);
  min-height: 100dvh;
}
.stage {
  min-width: 0;
  display: flex;
  flex-direction: column;
}
main {
  flex: 1;
  min-width: 0;
  outline: none;
}
.opening {
  padding: 2rem;
  animation: late 0.2s 0.3s both;
}
@keyframes late {
  from {
    opacity: 0;
  }
}
.toast {
  gap: 1rem;
  flex: 1;
  overflow-wrap: anywhere;
}
.toast button {
  min-height: 28px;
  border: 1px solid currentcolor;
  border-radius: var(--round-m);
  padding: 0 0.75rem;
  background: transparent;
  font-weight: 600;
  cursor: pointer;
  white-space: nowrap;
}
@media (max-width: 860px) {
  .shell {
    grid-template-columns: minmax(0, 1fr);
    grid-template-rows: auto 1fr;
  }
}
@media (max-width: 620px) {
  /* the places lie at the bottom */
  main {
    padding-bottom: var(--menu-height);
  }
}
@media print {
  main {
    padding: 0;
  }
  .shell {
    display: block;
  }
}
</style>
