<script setup lang="ts">
import { observationHead as texts } from '#words/stability'
import type { useLife } from './use-life'

/** Which batch is looked at, how old it is, and how far the looking is; and the way out of it. */
defineProps<{ life: ReturnType<typeof useLife>; id: string; age: string; at: string }>()
</script>

<template>
  <header class="abreast">
    <RouterLink :to="id ? `/stability/${id}` : '/stability'" class="up" :aria-label="texts.stopObserving"
      ><i class="pi pi-times" aria-hidden="true"></i
    ></RouterLink>
    <template v-if="life.batch.info && id">
      <div class="what">
        <strong>{{ life.batch.info.name }}</strong>
        <span class="muted small"
          ><span class="mono">{{ life.batch.info.code }}</span
          ><template v-if="age">, {{ age === 'today' ? texts.madeToday : texts.old(age) }}</template></span
        >
      </div>
      <span v-if="at" class="mono small count muted">{{ at }}</span>
    </template>
  </header>
</template>

<style scoped>
header {
  min-height: 52px;
}
.up {
  display: grid;
  place-items: center;
  flex: none;
  width: 44px;
  height: 44px;
  margin-left: -0.5rem;
  color: var(--muted);
  text-decoration: none;
}
.what {
  display: grid;
  flex: 1;
  min-width: 0;
  line-height: 1.3;
}
</style>
