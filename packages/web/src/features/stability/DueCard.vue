<script setup lang="ts">
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
  days < 0 ? `expired ${-days} days ago` : days === 0 ? 'expires today' : `expires in ${days} days`
const steady = computed(() => keeping.watched.filter((b) => !keeping.due.some((d) => d.head.id === b.id)))
const GRADE_WORDS = { fine: 'no change', again: 'observe again', discard: 'do not use' } as const

function calendar() {
  download('omblet-looks.ics', calendarOf(keeping.watched), 'text/calendar')
}
async function remind() {
  const answer = await askToNotify()
  notify(
    toast,
    answer === 'granted'
      ? 'Omblet reminds you of due observations once a day when it is open.'
      : 'The browser blocks notifications. The calendar file reminds you too.',
  )
}
</script>

<template>
  <section class="card due" aria-labelledby="due-title">
    <h2 id="due-title">Due</h2>
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
    <p v-else class="muted">Nothing is due today.</p>
    <Button
      v-if="due.length < keeping.due.length"
      :label="`Show the other ${keeping.due.length - due.length}`"
      text
      size="small"
      @click="all = true"
    />
    <div v-if="keeping.due.length" class="acts">
      <Button label="Record observations" @click="router.push('/stability/look')" />
    </div>

    <template v-if="keeping.soon.length">
      <h3>Next two weeks</h3>
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
      <h3>Expires</h3>
      <ul>
        <DueRow
          v-for="e in keeping.ends"
          :key="`${e.kind} ${e.id} ${e.detail}`"
          :title="e.kind === 'lot' ? nameOf(e.name) : e.name"
          :detail="e.detail"
          :more="e.kind === 'lot' ? 'use up, or check the smell first' : 'use up or discard'"
          :to="e.kind === 'lot' ? `/ingredients/${e.id}` : `/stability/${e.id}`"
          :when="sayEnd(e.inDays)"
          :pressing="e.inDays < 0"
        />
      </ul>
    </template>

    <template v-if="keeping.unwatched.length">
      <h3>Not on stability test</h3>
      <ul>
        <DueRow
          v-for="b in keeping.unwatched.slice(0, 8)"
          :key="b.id"
          :title="b.name"
          :detail="b.code"
          more="schedule observations"
          :to="`/stability/${b.id}`"
          when=""
          :current="b.id === chosen"
        />
      </ul>
    </template>

    <template v-if="steady.length">
      <h3>All others</h3>
      <ul>
        <DueRow
          v-for="b in steady.slice(0, 40)"
          :key="b.id"
          :title="b.name"
          :detail="b.code"
          :more="b.watch.grade ? GRADE_WORDS[b.watch.grade] : 'not observed yet'"
          :to="`/stability/${b.id}`"
          when=""
          :current="b.id === chosen"
        />
      </ul>
      <p v-if="steady.length > 40" class="muted small">And {{ steady.length - 40 }} more, at the Bench.</p>
    </template>

    <div v-if="keeping.watched.length" class="acts quiet">
      <PlainButton label="Calendar file" icon="pi pi-calendar" @click="calendar" />
      <QuietButton v-if="mayNotify()" label="Remind me" @click="remind" />
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
