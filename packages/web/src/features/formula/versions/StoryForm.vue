<script setup lang="ts">
import { common } from '#words/common'
import { storyForm as texts } from '#words/formula-versions'
import type { VersionStory } from '@omblet/core'
import Rating from 'primevue/rating'
import { ref, watch } from 'vue'
import TextField from '../../../components/TextField.vue'
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
    <TextField
      id="version-reason"
      :label="parent ? texts.whyAfter(version.number, parent.number) : common.reason"
      v-model="reason"
      :rows="2"
      maxlength="2000"
      :placeholder="texts.lessWhiteWhenRubbedIn"
      @change="emit('tell', { reason: reason.trim() })"
    />
    <TextField
      :label="common.result"
      v-model="result"
      :rows="2"
      maxlength="4000"
      :placeholder="texts.absorbsFasterSameOdour"
      @change="emit('tell', { result: result.trim() })"
    />
    <div class="foot abreast wraps">
      <span class="abreast"
        ><span id="rating-label" class="muted small">{{ texts.rating }}</span>
        <Rating
          :model-value="version.rating ?? 0"
          aria-labelledby="rating-label"
          @update:model-value="emit('tell', { rating: $event || undefined })"
      /></span>
      <RouterLink v-if="version.trialId" :to="`/trials/${version.trialId}`" class="small">{{
        texts.sourceTrial
      }}</RouterLink>
      <RouterLink v-if="version.batchId" :to="`/bench/${version.batchId}/record`" class="small">{{
        common.batch
      }}</RouterLink>
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
  gap: 0.5rem 1.25rem;
}
</style>
