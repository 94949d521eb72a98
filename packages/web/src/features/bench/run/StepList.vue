<script setup lang="ts">
import { stepList as texts } from '#words/bench-run'
import { stepTitle } from '@omblet/core/words'
import { computed, nextTick, onMounted, ref, useTemplateRef, watch } from 'vue'
import { useBatch } from '../../../stores/batch'
import { useRun } from './run'

const batch = useBatch()
const run = useRun()
const steps = computed(() => run.state.value.plan.steps)
const at = computed(() => run.state.value.at)
const mark = (key: string) => run.state.value.marks.get(key)
const all = ref(false)
const go = (key: string) => {
  all.value = false
  return batch.enter({ type: 'step', how: 'go' }, key)
}
const list = useTemplateRef<HTMLElement>('list')
/** The list follows the work without moving the page. */
async function follow() {
  await nextTick()
  const box = list.value
  const here = box?.querySelector<HTMLElement>('.here')
  if (box && here && box.scrollHeight > box.clientHeight)
    box.scrollTop = here.offsetTop - box.offsetTop - box.clientHeight / 3
}
watch(at, follow)
onMounted(follow)
const WORD = { done: 'done', skip: 'skipped' }
</script>

<template>
  <nav ref="list" class="list" :aria-label="texts.stepsOfThisBatch">
    <button type="button" class="sum" :aria-expanded="all" @click="all = !all">
      <span>{{ texts.stepOf(Math.min(at + 1, steps.length), steps.length) }}</span>
      <span class="bar" aria-hidden="true"
        ><i :style="{ width: `${(100 * run.state.value.marks.size) / steps.length}%` }"></i
      ></span>
      <i :class="all ? 'pi pi-chevron-up' : 'pi pi-chevron-down'" aria-hidden="true"></i>
    </button>
    <ol :class="{ all }">
      <li v-for="(step, i) in steps" :key="step.key">
        <button
          type="button"
          :class="{ here: i === at, over: mark(step.key), skip: mark(step.key)?.how === 'skip' }"
          :aria-current="i === at ? 'step' : undefined"
          @click="go(step.key)"
        >
          <span class="mark" aria-hidden="true">
            <i v-if="mark(step.key)?.how === 'done'" class="pi pi-check"></i>
            <i v-else-if="mark(step.key)" class="pi pi-minus"></i>
            <template v-else>{{ i + 1 }}</template>
          </span>
          <span class="title breaks">{{ stepTitle(step) }}</span>
          <span v-if="mark(step.key)" class="hidden-text">{{ WORD[mark(step.key)!.how] }}</span>
        </button>
      </li>
    </ol>
  </nav>
</template>

<style scoped>
.list {
  position: sticky;
  top: 72px;
  max-height: calc(100dvh - 150px);
  overflow-y: auto;
}
ol {
  display: grid;
  gap: 0.125rem;
}
li button {
  display: grid;
  grid-template-columns: 24px 1fr;
  align-items: center;
  gap: 0.75rem;
  width: 100%;
  min-height: 40px;
  padding: 0.25rem 0.625rem;
  border: 1px solid transparent;
  border-radius: var(--round-m);
  background: none;
  color: var(--muted);
  text-align: left;
  font-size: var(--text-less);
  line-height: 1.25;
  cursor: pointer;
}
li button:hover {
  background: color-mix(in srgb, var(--paper) 60%, transparent);
}
li .here {
  border-color: var(--line);
  background: var(--paper);
  color: var(--ink);
  font-weight: 700;
}
li .over {
  color: var(--ink);
}
.mark {
  display: grid;
  place-items: center;
  width: 24px;
  height: 24px;
  border-radius: 50%;
  background: var(--track);
  color: var(--muted);
  font-size: var(--text-tiny);
  font-weight: 700;
}
.here .mark {
  background: var(--cobalt-500);
  color: var(--on-fill);
}
.over .mark {
  background: var(--fine-fill);
  color: var(--on-fill);
}
.skip .mark {
  background: var(--check-fill);
  color: var(--on-check);
}
.mark i {
  font-size: var(--text-tiny);
}
.sum {
  display: none;
}
@media (max-width: 860px) {
  .list {
    position: static;
    max-height: none;
  }
  .sum {
    display: flex;
    align-items: center;
    gap: 0.75rem;
    width: 100%;
    min-height: 44px;
    padding: 0 0.75rem;
    border: 1px solid var(--line);
    border-radius: var(--round-l);
    background: var(--paper);
    cursor: pointer;
  }
  .bar {
    flex: 1;
    height: 6px;
    border-radius: var(--round-s);
    background: var(--track);
    overflow: hidden;
  }
  .bar i {
    display: block;
    height: 100%;
    background: var(--accent);
  }
  ol {
    display: none;
  }
  ol.all {
    display: grid;
    padding-top: 0.375rem;
  }
  li button {
    min-height: 44px;
  }
}
</style>
