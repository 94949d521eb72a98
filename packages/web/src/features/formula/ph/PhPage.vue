<script setup lang="ts">
import { ref } from 'vue'
import { useTools } from '../../../stores/tools'
import PhBody from './PhBody.vue'

/** The meter's state widens every band, so nothing is shown before it is known. */
const ready = ref(false)
void useTools()
  .load()
  .then(() => (ready.value = true))
</script>

<template>
  <PhBody v-if="ready" />
</template>
