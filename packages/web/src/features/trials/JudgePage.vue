<script setup lang="ts">
import { common } from '#words/common'
import { judgePage as texts } from '#words/trials'
import { scaleOf, servingOf } from '@omblet/core'
import Button from 'primevue/button'
import UpLink from '../../components/UpLink.vue'
import { QuietButton } from '../../components/buttons'
import { computed, nextTick, onMounted, useTemplateRef, watch } from 'vue'
import NotHere from '../../components/NotHere.vue'
import Notice from '../../components/Notice.vue'
import OrderAnswer from './OrderAnswer.vue'
import SecondsAnswer from './SecondsAnswer.vue'
import { useSettled } from '../../composables/settled'
import { useJudging } from './use-judging'

/** Judging on a phone that is passed around: one question a screen, codes only. */
const props = defineProps<{ id: string }>()
const j = useJudging(() => props.id)
onMounted(() => {
  document.title = texts.assessmentOmblet
  void j.load()
})
const serving = computed(() => servingOf(j.hair.value))
const name = computed(() => j.people.value.find((p) => p.id === j.who.value?.person)?.name ?? '')
const title = useTemplateRef<HTMLElement>('title')
watch(
  () => j.step.value?.key,
  async () => {
    await nextTick()
    title.value?.focus()
  },
)
const settled = useSettled(() => j.step.value?.key)
const numbers = computed(() => {
  const s = j.step.value
  if (s?.kind !== 'score') return []
  const [low, high] = scaleOf(s.attribute)
  return Array.from({ length: Math.round(high - low) + 1 }, (_, i) => low + i)
})
const clock = (seconds: number) => `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')}`
</script>

<template>
  <div class="judge bench-room">
    <header class="bar">
      <UpLink :to="`/trials/${id}`" :label="texts.backToTheTrial" />
      <h1>{{ j.who.value ? name : texts.whoAssesses }}</h1>
      <span v-if="j.who.value" class="muted small count">{{
        texts.of(j.done.value, j.asked.value.length)
      }}</span>
    </header>
    <NotHere
      v-if="j.phase.value === 'gone'"
      :what="common.trial"
      why=""
      to="/trials"
      :to-label="common.allTrials"
    />
    <div v-else-if="j.phase.value === 'over'" class="room">
      <p v-if="j.who.value" role="alert">
        {{ texts.thisTrialWasClosedDuring }}
      </p>
      <p>{{ texts.thisTrialIsClosedAnd }}</p>
    </div>
    <div v-else-if="!j.who.value" class="room">
      <p class="muted">{{ serving.before }}</p>
      <ul class="people">
        <li v-for="p in j.people.value" :key="p.id">
          <button type="button" class="big card" :disabled="!p.open" @click="j.sit(p.id, p.round)">
            <strong>{{ p.name }}</strong>
            <span class="muted small">{{
              p.open ? (p.of > 1 ? texts.roundOf(p.round, p.of) : texts.toAssess) : texts.done
            }}</span>
          </button>
        </li>
      </ul>
      <p v-if="j.people.value.every((p) => !p.open)">{{ texts.allAssessmentsDoneThankYou }}</p>
    </div>
    <div v-else class="room">
      <Notice v-if="j.problem.value" kind="stop">{{ texts.enterYourAnswerAgain(j.problem.value) }}</Notice>
      <template v-if="j.step.value?.kind === 'serve'">
        <p class="muted">{{ texts.sampleOf(j.step.value.nth, j.step.value.of) }}</p>
        <h2 ref="title" tabindex="-1" class="code mono">{{ j.step.value.code }}</h2>
        <p class="ask">{{ texts.putOn(serving.amount, j.step.value.place) }}</p>
        <p class="muted">{{ serving.how }}</p>
        <p v-if="j.step.value.nth > 1 && serving.restMinutes" class="muted small">
          {{ texts.onASiteUsedBefore(serving.restMinutes) }}
        </p>
        <Button
          :label="texts.applied"
          icon="pi pi-check"
          size="large"
          :disabled="!settled"
          class="steady"
          @click="j.serve"
        />
      </template>
      <template v-else-if="j.step.value?.kind === 'score'">
        <p class="muted">
          {{ j.step.value.moment.label }} · <span class="mono">{{ j.step.value.code }}</span>
        </p>
        <h2 ref="title" tabindex="-1">{{ j.step.value.attribute.name ?? j.step.value.attribute.id }}</h2>
        <p class="muted">{{ j.step.value.attribute.how ?? j.step.value.moment.how }}</p>
        <p v-if="j.wait.value > 0" class="wait" role="timer">
          <i class="pi pi-clock" aria-hidden="true"></i> {{ texts.wait(clock(j.wait.value)) }}
        </p>
        <SecondsAnswer
          v-if="j.step.value.attribute.ask === 'seconds'"
          :key="j.step.value.key"
          :scale="scaleOf(j.step.value.attribute)"
          @answer="j.answer({ value: $event })"
        />
        <template v-else>
          <div class="ends">
            <span>0 {{ j.step.value.attribute.low }}</span
            ><span>{{ j.step.value.attribute.high }} 10</span>
          </div>
          <div
            class="numbers"
            role="group"
            :aria-label="j.step.value.attribute.name ?? j.step.value.attribute.id"
          >
            <button
              v-for="n in numbers"
              :key="n"
              type="button"
              class="mono steady"
              :class="{ was: n === j.step.value.done }"
              :disabled="j.storing.value || !settled"
              @click="j.answer({ value: n })"
            >
              {{ n }}
            </button>
          </div>
        </template>
      </template>
      <template v-else-if="j.step.value?.kind === 'triangle' || j.step.value?.kind === 'pair'">
        <h2 ref="title" tabindex="-1">
          {{
            j.step.value.kind === 'triangle'
              ? texts.twoSamplesAreTheSame
              : j.step.value.attribute
                ? texts.whichIsNearerTo(j.step.value.attribute.high)
                : texts.whichDoYouPrefer
          }}
        </h2>
        <p class="muted">{{ texts.tryThemFromLeftTo }}</p>
        <div class="choices">
          <button
            v-for="c in j.step.value.codes"
            :key="c"
            type="button"
            class="big card code mono steady"
            :disabled="j.storing.value || !settled"
            @click="j.answer({ chosen: c })"
          >
            {{ c }}
          </button>
        </div>
      </template>
      <template v-else-if="j.step.value?.kind === 'rank'">
        <h2 ref="title" tabindex="-1">{{ j.step.value.attribute.name }}</h2>
        <p class="muted">{{ texts.pressTheSamplesInOrder }}</p>
        <OrderAnswer
          :key="j.step.value.key"
          :codes="j.step.value.codes"
          @answer="j.answer({ order: $event })"
        />
      </template>
      <template v-else>
        <h2 ref="title" tabindex="-1">{{ texts.thankYou(name) }}</h2>
        <p>{{ texts.allAnswersSavedCleanThe }}</p>
        <Button :label="texts.nextPerson" icon="pi pi-users" size="large" @click="j.stand" />
      </template>
      <div v-if="j.step.value" class="foot">
        <QuietButton :label="common.back" :disabled="!j.canBack.value" @click="j.back" />
        <QuietButton :label="texts.someoneElse" @click="j.stand" />
      </div>
    </div>
  </div>
</template>

<style scoped src="./judge.css"></style>
