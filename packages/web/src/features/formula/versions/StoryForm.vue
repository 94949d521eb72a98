<script setup lang="ts">
import type { VersionStory } from '@omblet/core'
import Rating from 'primevue/rating'
import Textarea from 'primevue/textarea'
import { ref, watch } from 'vue'
import FormField from '../../../components/FormField.vue'
import type { VersionRecord } from '../../../storage/schema'

/** Why a version was made, what came of it, and how good it is: what one wants to read a year later. */
const props = defineProps<{ version: VersionRecord; parent: VersionRecord | null }>()
const emit = defineEmits<{ tell: [told: VersionStory] }>()
const reason = ref('')
const result = ref('')
watch(
  () => props.version,
  (v) => {
    reason.value = v.reason ?? ''
    result.value = v.result ?? ''
  },
  { immediate: true },
)
</script>

<template>
  <div class="story">
    <FormField
      id="version-reason"
      :label="parent ? `Why ${version.number} after ${parent.number}` : 'Why it was made'"
    >
      <Textarea
        id="version-reason"
        v-model="reason"
        rows="2"
        auto-resize
        maxlength="2000"
        placeholder="less white when rubbed in"
        fluid
        @change="emit('tell', { reason: reason.trim() })"
      />
    </FormField>
    <FormField id="version-result" label="What came of it">
      <Textarea
        id="version-result"
        v-model="result"
        rows="2"
        auto-resize
        maxlength="4000"
        placeholder="sinks in sooner, smells the same"
        fluid
        @change="emit('tell', { result: result.trim() })"
      />
    </FormField>
    <div class="foot">
      <span class="rating"
        ><span id="rating-label" class="muted small">Rating</span>
        <Rating
          :model-value="version.rating ?? 0"
          aria-labelledby="rating-label"
          @update:model-value="emit('tell', { rating: $event || undefined })"
      /></span>
      <RouterLink v-if="version.trialId" :to="`/trials/${version.trialId}`" class="small"
        >The trial it comes from</RouterLink
      >
      <RouterLink v-if="version.batchId" :to="`/bench/${version.batchId}/record`" class="small"
        >The batch it was made in</RouterLink
      >
    </div>
  </div>
</template>

<style scoped>
.story {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(min(100%, 16rem), 1fr));
  gap: 0.75rem 1rem;
}
.foot {
  grid-column: 1 / -1;
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 0.5rem 1.25rem;
}
.rating {
  display: flex;
  align-items: center;
  gap: 0.5rem;
}
</style>
