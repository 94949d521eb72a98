<script setup lang="ts">
import { useLibrary } from '../stores/library'
import Notice from '../components/Notice.vue'

const library = useLibrary()
</script>

<template>
  <Notice v-if="library.storageProblem" kind="stop" class="storage">{{ library.storageProblem }}</Notice>
</template>

<style scoped>
.storage {
  margin: 0.75rem 1rem 0;
}
@media print {
  .storage {
    display: none;
  }
}
</style>
