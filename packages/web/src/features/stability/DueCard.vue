<script setup lang="ts">
import { common } from '#words/common'
import { dueCard as texts } from '#words/stability'
import { calendarOf, capitalise, PROPERTIES } from '@omblet/core'
import Button from 'primevue/button'
import { PlainButton, QuietButton } from '../../components/buttons'
import { useToast } from 'primevue/usetoast'
import { computed, ref } from 'vue'
import { useRouter } from 'vue-router'
import { download } from '../../browser/download'
import { notify } from '../../components/notify'
import { useStability, type DueBatch } from '../../stores/stability'
import { useMaterials } from '../../stores/materials'
import DueRow from './DueRow.vue'
import { askToNotify, mayNotify } from '../../stores/notify-due'
import { sayDue, sayLooks, sayProperties } from './words'

/** What is due, by day: looks, and what ends. */
defineProps<{ chosen?: string | null }>()
const keeping = useStability()
/** So many rows are drawn at once; who keeps more asks for all. */
const AT_ONCE = 60
const all = ref(false)
const due = computed(() => (all.value ? keeping.due : keeping.due.slice(0, AT_ONCE)))
const materials = useMaterials()
const router = useRouter()
const toast = useToast()

const lookWords = ({ looks, head }: DueBatch) => ({
  title: head.name,
  detail: `${head.code} · ${sayLooks(looks)}`,
  more: sayProperties(PROPERTIES.filter((p) => looks.some((l) => l.properties.includes(p)))),
})
const nameOf = (id: string) => capitalise(materials.catalogue.find(id)?.name ?? id)
const sayEnd = (days: number) =>
  days < 0 ? texts.expiredDaysAgo(-days) : days === 0 ? texts.expiresToday : texts.expiresInDays(days)
const steady = computed(() => keeping.watched.filter((b) => !keeping.due.some((d) => d.head.id === b.id)))
const GRADE_WORDS = { fine: texts.noChange, again: texts.observeAgain, discard: texts.doNotUse } as const

function calendar() {
  download('omblet-looks.ics', calendarOf(keeping.watched), 'text/calendar')
}
async function remind() {
  const answer = await askToNotify()
  notify(toast, answer === 'granted' ? texts.ombletRemindsYouOfDue : texts.theBrowserBlocksNotifications)
}
</script>

<template>
  <section class="card due" aria-labelledby="due-title">
    <h2 id="due-title">{{ texts.due }}</h2>
    <ul v-if="keeping.due.length">
      <DueRow
        v-for="d in due"
        :key="d.head.id"
        v-bind="lookWords(d)"
        :to="`/stability/${d.head.id}`"
        :when="sayDue(d.inDays)"
        :pressing="d.inDays <= 0"
        :current="d.head.id === chosen"
      />
    </ul>
    <p v-else class="muted">{{ common.nothingIsDueToday }}</p>
    <Button
      v-if="due.length < keeping.due.length"
      :label="texts.showTheOther(keeping.due.length - due.length)"
      text
      size="small"
      @click="all = true"
    />
    <div v-if="keeping.due.length" class="acts">
      <Button :label="texts.recordObservations" @click="router.push('/stability/look')" />
    </div>

    <template v-if="keeping.soon.length">
      <h3>{{ texts.nextTwoWeeks }}</h3>
      <ul>
        <DueRow
          v-for="d in keeping.soon"
          :key="d.head.id"
          v-bind="lookWords(d)"
          :to="`/stability/${d.head.id}`"
          :when="sayDue(d.inDays)"
          :current="d.head.id === chosen"
        />
      </ul>
    </template>

    <template v-if="keeping.ends.length">
      <h3>{{ texts.expires }}</h3>
      <ul>
        <DueRow
          v-for="e in keeping.ends"
          :key="`${e.kind} ${e.id} ${e.detail}`"
          :title="e.kind === 'lot' ? nameOf(e.name) : e.name"
          :detail="e.detail"
          :more="e.kind === 'lot' ? texts.useUpOrCheckThe : texts.useUpOrDiscard"
          :to="e.kind === 'lot' ? `/ingredients/${e.id}` : `/stability/${e.id}`"
          :when="sayEnd(e.inDays)"
          :pressing="e.inDays < 0"
        />
      </ul>
    </template>

    <template v-if="keeping.unwatched.length">
      <h3>{{ texts.notOnStabilityTest }}</h3>
      <ul>
        <DueRow
          v-for="b in keeping.unwatched.slice(0, 8)"
          :key="b.id"
          :title="b.name"
          :detail="b.code"
          :more="texts.scheduleObservations"
          :to="`/stability/${b.id}`"
          when=""
          :current="b.id === chosen"
        />
      </ul>
    </template>

    <template v-if="steady.length">
      <h3>{{ texts.allOthers }}</h3>
      <ul>
        <DueRow
          v-for="b in steady.slice(0, 40)"
          :key="b.id"
          :title="b.name"
          :detail="b.code"
          :more="b.watch.grade ? GRADE_WORDS[b.watch.grade] : texts.notObservedYet"
          :to="`/stability/${b.id}`"
          when=""
          :current="b.id === chosen"
        />
      </ul>
      <p v-if="steady.length > 40" class="muted small">{{ texts.andMoreAtTheBench(steady.length - 40) }}</p>
    </template>

    <div v-if="keeping.watched.length" class="acts quiet">
      <PlainButton :label="texts.calendarFile" icon="pi pi-calendar" @click="calendar" />
      <QuietButton v-if="mayNotify()" :label="texts.remindMe" @click="remind" />
    </div>
  </section>
</template>

<style scoped>
.due {
  display: grid;
  gap: 0.25rem;
  padding: 0.875rem 1rem 1rem;
}
h3 {
  padding-top: 0.75rem;
  font-size: var(--text-note);
  color: var(--muted);
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 0.5rem;
  padding-top: 0.5rem;
}
@media (max-width: 1000px) {
  .acts :deep(button) {
    min-height: 44px;
  }
}
</style>
