<script setup lang="ts">
import { troublesList as texts } from '#words/stability'
import { causeText, verdictText } from '@omblet/core/words'
import { WATCH, type Verdict, uncapitalise } from '@omblet/core'
import FindingMark from '../../components/FindingMark.vue'
import { MARK } from './words'

/** What is not fine: of which sample, why, what is likely behind it and what to do. */
defineProps<{ troubles: readonly Verdict[] }>()
</script>

<template>
  <ul class="stacked">
    <li v-for="v in troubles" :key="`${v.series.sample} ${v.series.property}`">
      <FindingMark :severity="MARK[v.grade]" />
      <div>
        <strong>{{ WATCH.storages[v.series.storage].label }}: {{ verdictText(v).first }}</strong>
        {{ verdictText(v).why }}
        <template v-if="v.cause">
          <span class="block"
            ><span class="muted">{{ texts.likelyCause }}</span> {{ uncapitalise(causeText(v.cause).title) }}.
            {{ causeText(v.cause).because }}</span
          >
          <span v-if="causeText(v.cause).moves[0]" class="block">{{ causeText(v.cause).moves[0] }}</span>
        </template>
        <span class="block">{{ verdictText(v).next }}</span>
      </div>
    </li>
  </ul>
</template>

<style scoped>
li {
  display: flex;
  gap: 0.5rem;
}
.mark {
  margin-top: 0.15rem;
}
</style>
