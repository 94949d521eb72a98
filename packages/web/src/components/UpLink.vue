<script setup lang="ts">
/** The way to the page above this one, as large as a finger. */
defineProps<{ to: string; label: string }>()
</script>

<template>
  <RouterLink :to="to" class="up" :aria-label="label"
    ><i class="pi pi-arrow-left" aria-hidden="true"></i
  ></RouterLink>
</template>

<style scoped>
.up {
  display: grid;
  flex: none;
  place-items: center;
  width: 44px;
  height: 44px;
  margin-left: -0.75rem;
  border-radius: var(--round-m);
  color: var(--muted);
  text-decoration: none;
}
.up:hover {
  background: var(--wash);
}
@media print {
  .up {
    display: none;
  }
}
</style>
