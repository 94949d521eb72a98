<script setup lang="ts">
import { common } from '#words/common'
import { weighTable as texts } from '#words/bench-weighing'
import { decimalsOf, formatNumber } from '@omblet/core'
import { computed } from 'vue'
import FindingMark from '../../../components/FindingMark.vue'
import { useRun } from './run'
import type { WeighTask } from '@omblet/core'

/** What is weighed in a step, how far it is, and what is in the beaker. */
const props = defineProps<{ tasks: readonly WeighTask[]; active: number | null }>()
const emit = defineEmits<{ choose: [line: number] }>()
const run = useRun()
const say = (g: number) => formatNumber(g, decimalsOf(run.resolution.value))
const inBeaker = computed(() => props.tasks.reduce((sum, t) => sum + t.weighed, 0))
</script>

<template>
  <table>
    <thead>
      <tr>
        <th scope="col">{{ common.ingredient }}</th>
        <th scope="col" class="number num">{{ common.target }}</th>
        <th scope="col" class="number num">{{ texts.weighed }}</th>
        <th scope="col">
          <span class="hidden-text">{{ common.state }}</span>
        </th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="t in tasks" :key="t.line" :class="{ on: t.line === active }">
        <td>
          <button type="button" class="choose bare" @click="emit('choose', t.line)">
            {{ run.label(t.line) }}<span v-if="t.part" class="muted small"> {{ texts.part }}</span>
          </button>
        </td>
        <td class="mono number num">{{ say(t.target) }} g</td>
        <td class="mono number num">{{ t.weighed > 0 ? `${say(t.weighed)} g` : '–' }}</td>
        <td class="is">
          <template v-if="t.over"><FindingMark severity="stop" :size="16" /> {{ texts.over }}</template>
          <template v-else-if="t.accepted"
            ><FindingMark severity="note" :size="16" /> {{ texts.accepted }}</template
          >
          <template v-else-if="t.done"><FindingMark severity="fine" :size="16" /> {{ texts.right }}</template>
          <template v-else-if="t.weighed > 0">{{ texts.gMore(say(t.left)) }}</template>
        </td>
      </tr>
    </tbody>
    <tfoot>
      <tr>
        <td>{{ texts.inTheBeaker }}</td>
        <td></td>
        <td class="mono number num" data-testid="running">{{ say(inBeaker) }} g</td>
        <td></td>
      </tr>
    </tfoot>
  </table>
</template>

<style scoped>
td {
  height: 44px;
  vertical-align: middle;
}
.choose {
  width: 100%;
  min-height: 44px;
  overflow-wrap: anywhere;
}
.on td {
  background: var(--wash);
}
.on .choose {
  font-weight: 700;
}
.is {
  white-space: nowrap;
  width: 8.5rem;
}
.is :deep(svg) {
  display: inline-block;
  vertical-align: -3px;
  margin-right: 0.25rem;
}
@media (max-width: 520px) {
  td,
  th {
    padding-inline: 0.25rem;
  }
  .is {
    width: auto;
    font-size: var(--text-note);
  }
}
</style>
