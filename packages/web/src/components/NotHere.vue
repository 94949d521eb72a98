<script setup lang="ts">
import { notHere as texts } from '#words/components'
/** Says that something is not there, or that the store would not tell. */
defineProps<{ what: string; why: string; to: string; toLabel: string }>()
</script>

<template>
  <div class="not-here stacked">
    <template v-if="why">
      <h1>{{ texts.thisCannotBeOpenedNow(what) }}</h1>
      <p>{{ why }}</p>
    </template>
    <template v-else>
      <h1>{{ texts.thisIsNotHere(what) }}</h1>
      <p class="muted">
        {{ texts.itWasDeletedOrIt }}
        <RouterLink to="/bin">{{ texts.bin }}</RouterLink> {{ texts.for30Days }}
      </p>
    </template>
    <RouterLink :to="to">{{ toLabel }}</RouterLink>
  </div>
</template>

<style scoped>
.not-here {
  padding: 3rem 2rem;
}
</style>
