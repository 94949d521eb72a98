<script setup lang="ts">
import { useId } from 'vue'

/** A field with its label above and what is wrong below. What it holds takes the id, so that the label is its name. */
defineProps<{
  id?: string | undefined
  label: string
  error?: string | null | undefined
  /** What was made of what was typed. */
  said?: string | undefined
}>()
const own = useId()
</script>

<template>
  <div class="field">
    <label :for="id ?? own">{{ label }}</label>
    <slot :id="id ?? own" />
    <p v-if="error" class="error" role="alert">{{ error }}</p>
    <p v-else-if="said" class="muted small" aria-live="polite">{{ said }}</p>
  </div>
</template>
