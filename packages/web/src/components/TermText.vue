<script setup lang="ts">
import { computed } from 'vue'
import { termsIn } from '../composables/terms'
import Term from './Term.vue'

/** A text in which each term of the glossary is explained where it first stands. */
const { text } = defineProps<{ text: string }>()
const parts = computed(() => termsIn(text))
</script>

<template>
  <template v-for="(part, i) in parts" :key="i"
    ><Term v-if="part.term" :id="part.term">{{ part.text }}</Term
    ><template v-else>{{ part.text }}</template></template
  >
</template>
