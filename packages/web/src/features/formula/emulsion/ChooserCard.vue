<script setup lang="ts">
import { common } from '#words/common'
import { chooserCard as texts } from '#words/formula-emulsion'
import { choiceText, findingText } from '@omblet/core/words'
import {
  capitalise,
  emulsifierCandidates,
  sayPercent,
  thickenerCandidates,
  type Candidate,
  type SwapAmount,
  findingKey,
} from '@omblet/core'
import { watchDebounced } from '@vueuse/core'
import Button from 'primevue/button'
import TitledCard from '../../../components/TitledCard.vue'
import { PlainButton } from '../../../components/buttons'
import Checkbox from 'primevue/checkbox'
import { useToast } from 'primevue/usetoast'
import { computed, ref, shallowRef, watch } from 'vue'
import { useRouter } from 'vue-router'
import FindingMark from '../../../components/FindingMark.vue'
import { notify } from '../../../components/notify'
import OneOf from '../../../components/OneOf.vue'
import { useEditor } from '../../../stores/editor'
import { useMaterials } from '../../../stores/materials'

const editor = useEditor()
const materials = useMaterials()
const toast = useToast()
const router = useRouter()

const CHOICES = [
  { label: texts.emulsifiers, value: 'emulsifier' as const },
  { label: texts.thickeners, value: 'thickener' as const },
]
const which = ref<'emulsifier' | 'thickener'>(editor.assessment?.emulsion ? 'emulsifier' : 'thickener')
const AMOUNTS = [
  { label: texts.recommendedUsageRate, value: 'own' as const },
  { label: texts.n11Substitution, value: 'same' as const },
]
const amount = ref<SwapAmount>('own')
const rank = () =>
  editor.assessment
    ? (which.value === 'emulsifier' ? emulsifierCandidates : thickenerCandidates)(
        editor.assessment,
        materials.catalogue,
        amount.value,
      )
    : []
const inUse = computed(() => list.value.some((c) => c.current))
/** Judging every candidate takes a tenth of a second, so it waits until the typing rests. */
const list = shallowRef<readonly Candidate[]>(rank())
const REST_MS = 120
watchDebounced(
  () => editor.assessment,
  () => (list.value = rank()),
  { debounce: REST_MS },
)
watch([which, amount], () => (list.value = rank()))
const MOST = 8
const all = ref(false)
watch(which, () => (all.value = false))
const shown = computed(() => {
  if (all.value) return list.value
  const top = list.value.slice(0, MOST)
  const current = list.value.find((c) => c.current)
  return current && !top.includes(current) ? [...top.slice(0, MOST - 1), current] : top
})
const open = ref<string | null>(null)
const mark = (c: Candidate) => (c.stops > 0 ? 'stop' : c.checks > 0 ? 'check' : 'fine')
const verdict = (c: Candidate) => {
  const parts = [
    c.stops > 0 ? `${c.stops} ${c.stops === 1 ? 'stop' : 'stops'}` : '',
    c.checks > 0 ? `${c.checks} ${c.checks === 1 ? 'check' : 'checks'}` : '',
  ].filter(Boolean)
  return parts.length > 0 ? parts.join(', ') : texts.suitable
}
function take(c: Candidate) {
  editor.apply(c.edit)
  list.value = rank()
  open.value = null
  notify(toast, `${capitalise(c.material.name)} at ${sayPercent(c.percent)}.`, {
    label: common.undo,
    run: () => editor.undo(),
  })
}

/** Candidates that are to be compared: they go into a trial with the one in use. */
const compared = ref<string[]>([])
watch(which, () => (compared.value = []))
const setUp = () => {
  const current = list.value.find((c) => c.current)?.material.id
  const pick = [...(current ? [current] : []), ...compared.value].join(',')
  return router.push({ path: '/trials/new', query: { formula: editor.id!, varies: which.value, pick } })
}
</script>

<template>
  <TitledCard :title="texts.alternatives" class="chooser closer">
    <template #beside
      ><OneOf v-model="which" :options="CHOICES" size="small" :label="texts.whatToChoose"
    /></template>

    <OneOf v-if="inUse" v-model="amount" :options="AMOUNTS" size="small" :label="texts.amount" />
    <p v-if="list.length" class="muted small">
      {{
        texts.eachWasTestedInThis(amount === 'own' ? texts.atItsRecommendedUsageRate : texts.n11AtTheCurrent)
      }}
    </p>
    <p v-else class="muted">
      {{ which === 'emulsifier' ? texts.nothingToEmulsifyWithoutOils : texts.nothingToThickenWithoutA }}
    </p>
    <ul>
      <li v-for="c in shown" :key="c.material.id" :class="{ current: c.current }">
        <button
          type="button"
          class="line bare"
          :aria-expanded="open === c.material.id"
          @click="open = open === c.material.id ? null : c.material.id"
        >
          <FindingMark :severity="mark(c)" :size="16" />
          <span class="name"
            >{{ capitalise(c.material.name)
            }}<span v-if="c.current" class="muted small"> {{ texts.inUse }}</span></span
          >
          <span class="small verdict" :class="mark(c)">{{ verdict(c) }}</span>
          <span class="mono num">{{ sayPercent(c.percent) }}</span>
          <i
            class="pi"
            :class="open === c.material.id ? 'pi-chevron-up' : 'pi-chevron-down'"
            aria-hidden="true"
          ></i>
        </button>
        <div v-if="open === c.material.id" class="detail stacked closer">
          <p class="small muted">{{ c.material.inci.join(', ') }}</p>
          <ul class="small reasons">
            <li v-for="(r, i) in c.reasonsFor" :key="i">
              <span class="sign">+</span>{{ capitalise(choiceText(r)) }}
            </li>
            <li v-for="(r, i) in c.reasonsAgainst" :key="i">
              <span class="sign">−</span>{{ capitalise(choiceText(r)) }}
            </li>
            <li v-for="(r, i) in c.handling" :key="i">
              <span class="sign">·</span>{{ capitalise(choiceText(r)) }}
            </li>
          </ul>
          <template v-if="!c.current">
            <p v-if="c.brings.length" class="small">
              <strong>{{ texts.newFindings }}</strong>
            </p>
            <ul class="small effects">
              <li v-for="f in c.brings" :key="findingKey(f)">
                <FindingMark :severity="f.severity" :size="14" /><span>{{ findingText(f).message }}</span>
              </li>
            </ul>
            <p v-if="c.settles.length" class="small">
              <strong>{{ texts.resolvedFindings }}</strong>
            </p>
            <ul class="small effects">
              <li v-for="f in c.settles" :key="findingKey(f)">
                <FindingMark severity="fine" :size="14" /><span>{{ findingText(f).message }}</span>
              </li>
            </ul>
            <div class="acts abreast wraps">
              <Button :label="texts.use(sayPercent(c.percent))" size="small" @click="take(c)" />
              <label class="try small"
                ><Checkbox v-model="compared" :value="c.material.id" /> {{ texts.compareInATrial }}</label
              >
            </div>
          </template>
        </div>
      </li>
    </ul>
    <PlainButton
      v-if="compared.length"
      :label="compared.length === 1 ? texts.createTrialWithIt : texts.createTrialWithThese(compared.length)"
      size="small"
      class="keep"
      @click="setUp"
    />
    <Button
      v-if="list.length > MOST"
      :label="all ? common.showFewer : texts.showAll(list.length)"
      text
      size="small"
      class="more"
      @click="all = !all"
    />
  </TitledCard>
</template>

<style scoped>
.chooser > ul > li {
  border-top: 1px solid var(--line);
}
.line {
  display: grid;
  grid-template-columns: 16px minmax(0, 1fr) auto 4rem 16px;
  align-items: center;
  gap: 0.75rem;
  width: 100%;
  min-height: 44px;
  padding: 0.25rem 0;
}
.line:hover {
  background: var(--wash);
}
.line .pi {
  font-size: var(--text-tiny);
  color: var(--muted);
}
.current .name {
  font-weight: 700;
}
.verdict.fine {
  color: var(--fine);
}
.verdict.check {
  color: var(--check);
}
.verdict.stop {
  color: var(--stop);
}
.detail {
  justify-items: start;
  padding: 0 0 0.75rem 1.625rem;
}
.reasons {
  display: grid;
  gap: 0.125rem;
}
.sign {
  display: inline-block;
  width: 1rem;
  font-weight: 700;
}
.effects {
  display: grid;
  gap: 0.25rem;
}
.effects li {
  display: grid;
  grid-template-columns: 14px minmax(0, 1fr);
  gap: 0.5rem;
}
.effects :deep(svg) {
  margin-top: 0.15rem;
}
.acts {
  gap: 0.5rem 1rem;
}
.try {
  display: inline-flex;
  align-items: center;
  gap: 0.5rem;
  min-height: 30px;
}
.keep {
  justify-self: start;
}
.more {
  justify-self: start;
  margin-left: -0.5rem;
}
</style>
