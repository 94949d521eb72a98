<script setup lang="ts">
import { ref } from 'vue'
import { useTools } from '../../../stores/tools'
import FormulaLeaf from '../FormulaLeaf.vue'
import PhBody from './PhBody.vue'

defineProps<{ id: string }>()
/** The meter's state widens every band, so nothing is shown before it is known. */
const ready = ref(false)
void useTools()
  .load()
  .then(() => (ready.value = true))
</script>

<template>
  <FormulaLeaf :id="id" leaf="ph" title="pH">
    <PhBody v-if="ready" :key="id" />
  </FormulaLeaf>
</template>
