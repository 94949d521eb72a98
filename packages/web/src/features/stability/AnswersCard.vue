<script setup lang="ts">
import { answersCard as texts } from '#words/stability'
import { choicesOf, sayNumber, WATCH, type Answer, type History } from '@omblet/core'
import { format } from 'date-fns'
import { computed, onBeforeUnmount, ref, shallowRef, watch } from 'vue'
import { photosOf } from '../../storage/batches'
import { useBatch } from '../../stores/batch'

/** Every answer as it was given; one that is wrong gets another beside it. */
const props = defineProps<{ history: History }>()
const batch = useBatch()
const open = ref(false)
/** Photographs by their id, read when the answers are looked at. */
const photos = shallowRef<Record<string, string>>({})
const forget = () => Object.values(photos.value).forEach((url) => URL.revokeObjectURL(url))
watch(open, async (now) => {
  if (!now || !props.history.answers.some((a) => a.photo)) return
  const kept = await photosOf(batch.info!.id).catch(() => [])
  forget()
  photos.value = Object.fromEntries(kept.map((p) => [p.id, URL.createObjectURL(p.blob)]))
})
onBeforeUnmount(forget)
const rows = computed(() => (open.value ? [...props.history.answers].reverse() : []))
const counted = computed(() => props.history.answers.length)
const storageOf = (a: Answer) => {
  const storage = props.history.samples.find((s) => s.id === a.sample)?.storage
  return storage ? WATCH.storages[storage].label : a.sample
}
const says = (a: Answer) =>
  [
    a.value !== null && a.way
      ? `${sayNumber(a.value)} ${WATCH.ways[a.way].unit === 'pH' ? '' : WATCH.ways[a.way].unit}`.trim()
      : '',
    choicesOf(a.property).find((c) => c.id === a.choice)?.words ?? '',
    a.colour ? texts.measuredInAPhotograph : '',
    a.celsius === null ? '' : `at ${sayNumber(a.celsius, 1)} °C`,
    a.text,
  ]
    .filter(Boolean)
    .join(', ')
</script>

<template>
  <details v-if="counted" @toggle="open = ($event.target as HTMLDetailsElement).open">
    <summary>{{ texts.allAnswers(counted) }}</summary>
    <ul>
      <li v-for="a in rows" :key="a.n" :class="{ corrected: a.corrected }">
        <span class="muted small when">{{ format(new Date(a.at), 'd MMM, HH:mm') }}</span>
        <span
          >{{ storageOf(a) }}, {{ WATCH.properties[a.property].label }}: <strong>{{ says(a) }}</strong><span
            v-if="a.corrected"
            class="muted"
          >
            {{ texts.corrected }}</span
          ></span
        >
        <img v-if="a.photo && photos[a.photo]" :src="photos[a.photo]" :alt="texts.photoOfThisObservation" />
        <RouterLink
          v-if="!a.corrected"
          :to="{ path: `/stability/${batch.info!.id}/look`, query: { corrects: String(a.n) } }"
          >{{ texts.correct }}</RouterLink
        >
      </li>
    </ul>
  </details>
</template>

<style scoped>
summary {
  min-height: 32px;
  cursor: pointer;
}
li {
  display: grid;
  grid-template-columns: 7.5rem minmax(0, 1fr) auto;
  align-items: center;
  gap: 0.5rem;
  min-height: 32px;
  border-top: 1px solid var(--line);
}
.corrected strong {
  text-decoration: line-through;
}
img {
  grid-column: 2;
  max-width: 12rem;
  max-height: 9rem;
  border-radius: var(--round-m);
}
li a {
  display: grid;
  align-items: center;
  min-height: 32px;
  color: var(--accent-ink);
}
</style>
