<script setup lang="ts">
import { common } from '#words/common'
import { nowherePage as texts } from '#words/app'
</script>

<template>
  <div class="nowhere stacked">
    <h1>{{ texts.pageNotFound }}</h1>
    <p class="muted">{{ texts.theAddressMayBeMistyped }}</p>
    <RouterLink to="/formulas">{{ common.goToYourFormulas }}</RouterLink>
  </div>
</template>

<style scoped>
.nowhere {
  padding: 3rem 2rem;
}
</style>
