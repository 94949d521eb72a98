<script setup lang="ts">
import { orderAnswer as texts } from '#words/trials'
import Button from 'primevue/button'
import { ref } from 'vue'

/** Samples put in order by pressing them one after the other; a second press takes one back out. */
const props = defineProps<{ codes: readonly string[] }>()
const emit = defineEmits<{ answer: [order: string[]] }>()
const order = ref<string[]>([])
const press = (code: string) => {
  order.value = order.value.includes(code) ? order.value.filter((c) => c !== code) : [...order.value, code]
}
</script>

<template>
  <div class="order stacked">
    <button
      v-for="c in props.codes"
      :key="c"
      type="button"
      class="card mono"
      :aria-pressed="order.includes(c)"
      @click="press(c)"
    >
      <span>{{ c }}</span><span class="muted">{{
        order.includes(c) ? `${order.indexOf(c) + 1}.` : '–'
      }}</span>
    </button>
    <Button
      :label="texts.confirmRanking"
      size="large"
      :disabled="order.length < props.codes.length"
      @click="emit('answer', order)"
    />
  </div>
</template>

<style scoped>
.order > button.card {
  display: flex;
  justify-content: space-between;
  min-height: 60px;
  padding: 0.75rem 1.25rem;
  font-size: var(--text-head-2);
  cursor: pointer;
}
.order > button[aria-pressed='true'] {
  border-color: var(--accent);
}
</style>
