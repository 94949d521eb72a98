<script setup lang="ts">
import InputText from 'primevue/inputtext'

const words = defineModel<string>({ required: true })
defineProps<{ label: string; placeholder: string }>()
</script>

<template>
  <span class="search">
    <i class="pi pi-search" aria-hidden="true"></i>
    <InputText v-model="words" :placeholder="placeholder" :aria-label="label" maxlength="120" fluid />
  </span>
</template>

<style scoped>
.search {
  position: relative;
  flex: 1 1 15rem;
  max-width: 26rem;
}
.search .pi {
  position: absolute;
  left: 0.75rem;
  top: 50%;
  margin-top: -0.5rem;
  color: var(--muted);
}
.search :deep(input) {
  padding-left: 2.25rem;
}
</style>
