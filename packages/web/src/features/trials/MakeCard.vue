<script setup lang="ts">
import { common } from '#words/common'
import { makeCard as texts } from '#words/trials'
import { splitText, forbidsText, headStepText } from '@omblet/core/words'
import { formatGrams, type BatchHead, type PlannedTrial } from '@omblet/core'
import Button from 'primevue/button'
import TitledCard from '../../components/TitledCard.vue'
import { PlainButton } from '../../components/buttons'
import { computed, onMounted, ref } from 'vue'
import { useRouter } from 'vue-router'
import FindingMark from '../../components/FindingMark.vue'
import Notice from '../../components/Notice.vue'
import { useBatches } from '../../stores/batches'
import Letter from './Letter.vue'
import { useMaking } from './use-making'

/** Making them together: what is common once, then each jar at the Bench. */
const props = defineProps<{ trial: PlannedTrial }>()
const router = useRouter()
const batches = useBatches()
onMounted(() => void batches.load())
const { base, baseHead, baseDone, jars, problem, beginBase, beginJar } = useMaking(() => props.trial)
const say = (g: number) => formatGrams(g, base.value.resolutionGrams)
const at = (id: string) => props.trial.samples.findIndex((s) => s.id === id)
const over = (b: BatchHead) => b.status === 'finished' || b.status === 'discarded'
const to = (b: BatchHead) => (over(b) ? `/bench/${b.id}/record` : `/bench/${b.id}`)
const stand = (b: BatchHead | null) =>
  b === null ? texts.notMade : over(b) ? (b.status === 'finished' ? 'made' : 'discarded') : headStepText(b)
const bought = computed(() => props.trial.samples.filter((s) => !s.formula))
const busy = ref<string | null>(null)
async function go(what: string, begin: () => Promise<string | null>) {
  if (busy.value) return
  busy.value = what
  const id = await begin()
  busy.value = null
  if (id) await router.push(`/bench/${id}`)
}
</script>

<template>
  <TitledCard :title="texts.makeTheSamples" :level="2">
    <Notice v-if="problem" kind="stop">{{ problem }}</Notice>
    <div v-if="base.formula" class="base stacked closer">
      <div class="line">
        <span class="what"
          ><strong>{{
            base.kind === 'whole' ? texts.sharedBaseMadeOnce : texts.sharedPhasesMadeOnce
          }}</strong>
          <span class="muted small">{{ texts.inTotalIncludingOverage(say(base.grams)) }}</span></span
        >
        <span class="small muted">{{ stand(baseHead) }}</span>
        <Button
          v-if="!baseHead"
          :label="texts.makeBase"
          icon="pi pi-play"
          size="small"
          :loading="busy === 'base'"
          @click="go('base', beginBase)"
        />
        <PlainButton
          v-else-if="!over(baseHead)"
          :label="common.resumeBatch"
          size="small"
          @click="router.push(to(baseHead))"
        />
      </div>
      <ul class="small">
        <li v-for="p in base.parts" :key="p.letters">
          <strong>{{ p.name }}</strong>{{ texts.intoEachJar(say(p.gramsEach), splitText(p.split)) }}
        </li>
      </ul>
    </div>
    <p v-for="f in base.forbids.map(forbidsText)" :key="f" class="told small abreast level">
      <FindingMark severity="note" :size="14" /> <span>{{ f }}</span>
    </p>
    <ul class="jars">
      <li v-for="j in jars" :key="j.id">
        <Letter :at="at(j.id)" :reference="j.reference" />
        <div class="what">
          <strong>{{ j.name }}</strong>
          <span v-if="base.formula" class="muted small">{{
            texts.ownIngredients(
              j.own.map((l) => `${l.weighedAs} ${say(l.grams)}`).join(', ') || texts.nothing,
            )
          }}</span>
        </div>
        <span class="small muted">{{ stand(j.head) }}</span>
        <PlainButton
          v-if="!j.head"
          :label="base.formula && baseDone ? texts.makeFromTheBase : common.make"
          :aria-label="`${base.formula && baseDone ? texts.makeFromTheBase : common.make}: ${j.name}`"
          icon="pi pi-play"
          size="small"
          :loading="busy === j.id"
          @click="go(j.id, () => beginJar(j.id))"
        />
        <PlainButton
          v-else
          :label="over(j.head) ? common.record : common.resumeBatch"
          :aria-label="`${over(j.head) ? common.record : common.resumeBatch}: ${j.name}`"
          size="small"
          @click="router.push(to(j.head))"
        />
      </li>
      <li v-for="s in bought" :key="s.id">
        <Letter :at="at(s.id)" :reference="s.reference" />
        <div class="what">
          <strong>{{ s.name }}</strong><span class="muted small">{{ texts.boughtProductPutItInto }}</span>
        </div>
      </li>
    </ul>
    <div class="abreast wraps">
      <PlainButton
        :label="texts.weighOutSheet"
        icon="pi pi-print"
        size="small"
        @click="router.push(`/trials/${trial.plan.id}/paper?what=make`)"
      />
    </div>
    <p class="muted small">
      {{ texts.samePotsSameFillSame }}
    </p>
  </TitledCard>
</template>

<style scoped>
.base {
  padding: 0.75rem;
  border: 1px solid var(--line);
  border-radius: var(--round-l);
  background: var(--side);
}
.line,
.jars li {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 0.5rem 0.75rem;
}
.jars li {
  padding: 0.5rem 0;
  border-top: 1px solid var(--line);
}
.what {
  flex: 1 1 14rem;
  display: grid;
  min-width: 0;
  overflow-wrap: anywhere;
}
.told :deep(svg) {
  flex: none;
  align-self: center;
}
</style>
