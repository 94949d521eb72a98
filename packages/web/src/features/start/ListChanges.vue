<script setup lang="ts">
import { listChanges as texts } from '#words/start'
import { formatNumber, type LabelChange } from '@omblet/core'
import { computed } from 'vue'
import FindingMark from '../../components/FindingMark.vue'

/** What changed between two lists of one product; `certain` is how many names surely stand above the 1 % line. */
const props = defineProps<{ changes: readonly LabelChange[]; certain: number }>()
const WHAT = { new: texts.newWord, gone: texts.gone, up: texts.movedUp, down: texts.movedDown, same: '' }
const MARK = { new: 'check', gone: 'check', up: 'note', down: 'note', same: 'fine' } as const
const changed = computed(() => props.changes.filter((c) => c.what !== 'same' || c.declared))
/** Below the 1 % line the order says nothing. */
const loose = (place: number | null) => place !== null && place > props.certain
const declares = (percent: number | null) => (percent === null ? 'nothing' : `${formatNumber(percent, 2)} %`)
</script>

<template>
  <section aria-labelledby="label-changes">
    <h3 id="label-changes">{{ texts.changesFromTheEarlierList }}</h3>
    <p v-if="changed.length === 0" class="muted">{{ texts.noneSameNamesInThe }}</p>
    <ul v-else>
      <li v-for="c in changed" :key="c.key">
        <FindingMark :severity="MARK[c.what]" :size="14" /><span
          >{{ c.text }}
          <span class="muted small"
            >{{ WHAT[c.what]
            }}<template v-if="c.before !== null && c.after !== null && c.what !== 'same'">
              {{ texts.fromPositionTo(c.before ?? '', c.after ?? '') }}</template
            ><template v-else-if="c.before === null"> {{ texts.atPosition(c.after ?? '') }}</template
            ><template v-else-if="c.after === null"> {{ texts.fromPosition(c.before ?? '') }}</template
            ><template v-if="c.declared">
              {{ texts.declaredNow(declares(c.declared.before), declares(c.declared.after)) }}</template
            ><template v-if="(c.what === 'up' || c.what === 'down') && loose(c.after) && loose(c.before)">{{
              texts.bothMayBeBelow1
            }}</template></span
          ></span
        >
      </li>
    </ul>
  </section>
</template>

<style scoped>
ul {
  padding: 0;
  margin: 0;
  list-style: none;
}
li {
  display: grid;
  grid-template-columns: 14px minmax(0, 1fr);
  gap: 0.5rem;
  align-items: baseline;
  padding: 0.25rem 0;
}
</style>
