<script setup lang="ts">
/** Says that something is not there, or that the store would not tell. */
defineProps<{ what: string; why: string; to: string; toLabel: string }>()
</script>

<template>
  <div class="not-here stacked">
    <template v-if="why">
      <h1>This {{ what }} cannot be opened now</h1>
      <p>{{ why }}</p>
    </template>
    <template v-else>
      <h1>This {{ what }} is not here</h1>
      <p class="muted">
        It was deleted, or it is stored in another browser. Deleted items stay in the
        <RouterLink to="/bin">bin</RouterLink> for 30 days.
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
