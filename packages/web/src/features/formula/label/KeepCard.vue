<script setup lang="ts">
import { sayMonths, useWithinText, keepingReasonText } from '@omblet/core/words'
import { common } from '#words/common'
import { keepCard as texts } from '#words/formula-label'
import { keptMonths } from '@omblet/core'
import Button from 'primevue/button'
import TitledCard from '../../../components/TitledCard.vue'
import { PlainButton, QuietButton } from '../../../components/buttons'
import { computed, ref } from 'vue'
import TextField from '../../../components/TextField.vue'
import LearnedNote from '../../../components/LearnedNote.vue'
import NumberField from '../../../components/NumberField.vue'
import { useEditor } from '../../../stores/editor'
import type { LabelRoom } from './use-label'

/** How long it keeps: a proposal with its reasons, or the maker's own time with theirs. */
const editor = useEditor()
const { room } = defineProps<{ room: LabelRoom }>()
const proposed = computed(() => room.label.value.useWithin)
const now = computed(() => keptMonths(room.design.value, proposed.value))
const setting = ref(false)
const closed = ref<number | null>(null)
const opened = ref<number | null>(null)
const reason = ref('')
function begin() {
  closed.value = now.value.closed
  opened.value = now.value.opened
  reason.value = room.design.value.keep?.reason ?? ''
  setting.value = true
}
const fault = computed(() =>
  !closed.value || !opened.value
    ? texts.enterBothPeriodsInMonths
    : opened.value > closed.value
      ? texts.thePeriodAfterOpeningCannot
      : reason.value.trim() === ''
        ? texts.giveTheReasonWhichTest
        : null,
)
function keep() {
  if (fault.value) return
  room.change({
    keep: { closedMonths: closed.value!, openedMonths: opened.value!, reason: reason.value.trim() },
  })
  setting.value = false
}
const longer = computed(() => now.value.closed > proposed.value.closedMonths)
const span = ([low, high]: readonly [number, number]) =>
  low === high ? sayMonths(low) : `${sayMonths(low)} to ${sayMonths(high)}`
</script>

<template>
  <TitledCard :title="texts.useWithin" class="closer">
    <p class="figure mono">{{ texts.opened(sayMonths(now.closed), sayMonths(now.opened)) }}</p>
    <p class="muted small">
      <template v-if="room.design.value.keep"
        >{{
          texts.setByYouProposedOpened(
            room.design.value.keep.reason,
            sayMonths(proposed.closedMonths),
            sayMonths(proposed.openedMonths),
          )
        }}
        <template v-if="longer">{{ texts.longerThanProposedOnlyStability }}</template></template
      ><template v-else>{{ useWithinText(proposed) }}</template>
    </p>
    <details>
      <summary>{{ texts.howThisIsCalculated }}</summary>
      <ul class="small">
        <li v-for="(r, i) in proposed.reasons" :key="i">
          <span class="mono">{{ span(r.closed) }}</span> {{ keepingReasonText(r) }}
        </li>
      </ul>
      <p class="muted small">
        {{ texts.commonPracticeMicrobesAreInvisible }}
      </p>
    </details>
    <LearnedNote lesson="sound" :of="editor.id" :says="texts.samplesStayedStableFor" :unit="texts.months" />
    <LearnedNote lesson="failed" :of="editor.id" :says="texts.discardedAfter" :unit="texts.months" />
    <form v-if="setting" class="set" @submit.prevent="keep">
      <NumberField
        v-model="closed"
        :label="texts.closed"
        :unit="texts.months"
        :max="60"
        :what="texts.theMonths"
      />
      <NumberField
        v-model="opened"
        :label="texts.opened2"
        :unit="texts.months"
        :max="60"
        :what="texts.theMonths"
      />
      <TextField :label="common.reason" class="wide" :error="fault" v-model="reason" maxlength="300" />
      <div class="acts wide">
        <Button type="submit" :label="texts.set" size="small" :disabled="fault !== null" />
        <QuietButton :label="common.cancel" size="small" @click="setting = false" />
      </div>
    </form>
    <div v-else class="acts">
      <PlainButton :label="texts.setAnotherPeriod" size="small" @click="begin" />
      <Button
        v-if="room.design.value.keep"
        :label="texts.resetToProposal"
        size="small"
        text
        @click="room.change({ keep: undefined })"
      />
    </div>
  </TitledCard>
</template>

<style scoped>
.figure {
  font-size: var(--text-head-2);
}
summary {
  min-height: 24px;
  cursor: pointer;
}
ul {
  display: grid;
  gap: 0.25rem;
  padding: 0.25rem 0;
}
.set {
  display: grid;
  grid-template-columns: repeat(2, minmax(0, 1fr));
  gap: 0.5rem 0.75rem;
}
.wide {
  grid-column: 1 / -1;
}
.acts {
  display: flex;
  gap: 0.5rem;
}
</style>
