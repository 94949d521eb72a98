<script setup lang="ts">
import { common } from '#words/common'
import { entries as texts } from '#words/bench-run'
import { eventRow, rowValue } from '@omblet/core/words'
import { UNDOABLE, type BatchEventBody } from '@omblet/core'
import { format } from 'date-fns'
import { QuietButton } from '../../../components/buttons'
import { computed } from 'vue'
import { useBatch } from '../../../stores/batch'
import { useRun } from './run'

/** The last entries of some kinds, each of which can be taken back. */
const props = defineProps<{ types: readonly BatchEventBody['type'][]; lines?: readonly number[] }>()
const batch = useBatch()
const run = useRun()
const rows = computed(() => {
  const s = run.state.value
  return s.events
    .filter(
      (e) =>
        props.types.includes(e.type) &&
        !s.undone.has(e.n) &&
        (!props.lines || !('line' in e) || props.lines.includes(e.line)),
    )
    .slice(-4)
    .reverse()
    .map((e) => ({ e, row: eventRow(s, e) }))
})
</script>

<template>
  <ul v-if="rows.length" class="entries text-less" :aria-label="texts.lastEntries">
    <li class="abreast wraps for-hands" v-for="{ e, row } in rows" :key="e.n">
      <span class="mono muted">{{ format(new Date(e.at), 'HH:mm') }}</span>
      <span>{{ row.what }} {{ row.material }}</span>
      <strong class="mono">{{ rowValue(row, run.resolution.value) }}</strong>
      <QuietButton
        v-if="UNDOABLE.has(e.type)"
        :label="common.undo"
        :aria-label="texts.undo(row.what, row.material, rowValue(row, run.resolution.value))"
        size="small"
        @click="batch.enter({ type: 'undo', of: e.n })"
      />
    </li>
  </ul>
</template>

<style scoped>
li {
  gap: 0 0.5rem;
}
</style>
