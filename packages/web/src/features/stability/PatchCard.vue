<script setup lang="ts">
import { common } from '#words/common'
import { patchCard as texts } from '#words/stability'
import { patchText, PATCH_NOT_FOR, PATCH_REACTIONS, patchWays } from '@omblet/core/words'
import { patchVerdict, sayNumber, type History, uncapitalise } from '@omblet/core'
import Button from 'primevue/button'
import { PlainButton, QuietButton } from '../../components/buttons'
import Checkbox from 'primevue/checkbox'
import { PopUp } from '../../components/dialogs'
import { computed, ref, watch } from 'vue'
import ChoiceField from '../../components/ChoiceField.vue'
import FindingMark from '../../components/FindingMark.vue'
import TextField from '../../components/TextField.vue'
import Notice from '../../components/Notice.vue'
import { useBatch } from '../../stores/batch'

/** Patch tests of this batch: the plan, the log, and when to stop. */
const props = defineProps<{ history: History }>()
const batch = useBatch()
const ways = Object.entries(patchWays).map(([value, { label }]) => ({
  value: value as keyof typeof patchWays,
  label,
}))
const open = ref(false)
const who = ref('')
const consent = ref(false)
const way = ref<keyof typeof patchWays>('once')
const place = ref(texts.leftForearm)
watch(open, () => {
  who.value = ''
  consent.value = false
})
const valid = computed(() => /^\p{L}{1,4}$/u.test(who.value.trim()) && consent.value)
function begin() {
  if (!valid.value) return
  if (
    batch.enter(
      { type: 'patch', who: who.value.trim(), consent: true, way: way.value, place: place.value.trim() },
      null,
    )
  )
    open.value = false
}

const seen = ref<number | null>(null)
const grade = ref(0)
const itches = ref(false)
const text = ref('')
watch(seen, () => {
  grade.value = 0
  itches.value = false
  text.value = ''
})
const grades = PATCH_REACTIONS.map((words, value) => ({ value, label: `${value}: ${words}` }))
function enter() {
  if (seen.value === null) return
  if (
    batch.enter(
      {
        type: 'patch-look',
        of: seen.value,
        grade: grade.value,
        ...(itches.value ? { itchesOverAnHour: true } : {}),
        ...(text.value.trim() ? { text: text.value.trim() } : {}),
      },
      null,
    )
  )
    seen.value = null
}
const MARK = { open: 'note', quiet: 'fine', stop: 'stop' } as const
const tests = computed(() => props.history.patches.map((t) => ({ ...t, told: patchVerdict(t) })))
const hours = (h: number) => (h < 48 ? `${sayNumber(h, h < 2 ? 1 : 0)} h` : texts.days(Math.round(h / 24)))
</script>

<template>
  <section class="patch" aria-labelledby="patch-title">
    <div class="head abreast">
      <h3 id="patch-title">{{ texts.patchTest }}</h3>
      <PlainButton :label="texts.startPatchTest" size="small" @click="open = true" />
    </div>
    <p v-if="tests.length === 0" class="muted small">
      {{ texts.beforeUsingItOnThe }}
    </p>
    <ul v-else>
      <li class="abreast" v-for="t in tests" :key="t.n">
        <FindingMark :severity="MARK[t.told.state]" />
        <div>
          <strong>{{ t.who }}</strong>, {{ uncapitalise(patchWays[t.way].label) }}, {{ t.place }}.
          <span v-for="l in t.looks" :key="l.n" class="muted">
            {{ hours(l.hours) }}: {{ PATCH_REACTIONS[l.grade] }}{{ l.itches ? texts.itches : ''
            }}{{ l.text ? ` (${l.text})` : '' }}.
          </span>
          <span class="block">{{ patchText(t.told) }}</span>
        </div>
        <PlainButton v-if="t.told.state === 'open'" :label="common.record" size="small" @click="seen = t.n" />
      </li>
    </ul>
    <PopUp v-model:visible="open" :header="texts.patchTest">
      <form class="dialog-form" @submit.prevent="begin">
        <Notice kind="check" class="wide">{{ PATCH_NOT_FOR }}</Notice>
        <TextField :label="texts.personInitialsOnly" v-model="who" maxlength="4" autofocus />
        <ChoiceField v-model="way" :label="texts.how" :options="ways" />
        <p class="wide muted small">{{ patchWays[way].how }}</p>
        <TextField :label="texts.site" class="wide" v-model="place" maxlength="100" />
        <label class="wide tick abreast"
          ><Checkbox v-model="consent" binary input-id="patch-yes" /> {{ texts.thePersonAgreedToThe }}</label
        >
        <div class="dialog-buttons">
          <QuietButton type="button" :label="common.cancel" @click="open = false" />
          <Button type="submit" :label="texts.applied" :disabled="!valid" />
        </div>
      </form>
    </PopUp>
    <PopUp :visible="seen !== null" :header="texts.skinReaction" @update:visible="seen = null" width="30rem">
      <form class="dialog-form" @submit.prevent="enter">
        <ChoiceField v-model="grade" :label="texts.reaction" :options="grades" class="wide" />
        <label class="wide tick abreast"
          ><Checkbox v-model="itches" binary input-id="patch-itch" /> {{ texts.itchingForMoreThanAn }}</label
        >
        <TextField :label="texts.noteOptional" class="wide" v-model="text" maxlength="1000" />
        <div class="dialog-buttons">
          <QuietButton type="button" :label="common.cancel" @click="seen = null" />
          <Button type="submit" :label="common.keep" />
        </div>
      </form>
    </PopUp>
  </section>
</template>

<style scoped>
.patch {
  display: grid;
  gap: 0.375rem;
  padding-top: 0.75rem;
  border-top: 1px solid var(--line);
}
li {
  align-items: start;
}
li > div {
  flex: 1;
}
.tick {
  min-height: 44px;
  cursor: pointer;
}
</style>
