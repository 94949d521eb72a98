<script setup lang="ts">
import { common } from '#words/common'
import { decideCard as texts } from '#words/trials'
import { trialResult } from '@omblet/core/words'
import { asVersionOf, decided, rejectedVariants, trialVerdict, type PlannedTrial } from '@omblet/core'
import Button from 'primevue/button'
import { useToast } from 'primevue/usetoast'
import { computed, ref } from 'vue'
import { useRouter } from 'vue-router'
import TitledCard from '../../components/TitledCard.vue'
import ChoiceField from '../../components/ChoiceField.vue'
import TextField from '../../components/TextField.vue'
import Notice from '../../components/Notice.vue'
import { plain } from '../../browser/plain'
import { notify } from '../../components/notify'
import { makeId, tellAll } from '../../storage/channel'
import { Decided, decideTrial, TrialGone } from '../../storage/trials'
import { explainStorage } from '../../storage/db'
import { useMaterials } from '../../stores/materials'
import { useLibrary } from '../../stores/library'
import { TRIAL_GONE, useTrials } from '../../stores/trials'

/** The end of a trial: what is kept and why goes into the formula as a version, and what the others taught to their material. */
const props = defineProps<{ trial: PlannedTrial }>()
const router = useRouter()
const toast = useToast()
const trials = useTrials()
const library = useLibrary()
const materials = useMaterials()
const NONE = 'none'
const made = computed(() => props.trial.samples.filter((s) => s.formula))
const choices = computed(() => [
  ...made.value.map((s) => ({ value: s.id, label: s.name })),
  { value: NONE, label: texts.none },
])
const keep = ref<string>(NONE)
const because = ref('')
const next = ref('')
const lessons = ref<Record<string, string>>({})
/** Materials that only a jar that was not kept has. */
const losers = computed(() =>
  rejectedVariants(props.trial, keep.value === NONE ? null : keep.value, materials.catalogue),
)
const done = computed(() => props.trial.plan.decision ?? null)
const nameOf = (id: string | null) =>
  id === null ? 'none' : (props.trial.samples.find((s) => s.id === id)?.name ?? id)
const sheet = computed(() => library.records.find((r) => r.id === props.trial.plan.of?.id) ?? null)
const problem = ref<string | null>(null)
const busy = ref(false)
async function decide() {
  if (busy.value) return
  busy.value = true
  const at = new Date().toISOString()
  const kept = props.trial.samples.find((s) => s.id === keep.value)
  try {
    const version =
      kept?.formula && sheet.value
        ? {
            formulaId: sheet.value.id,
            formula: plain(asVersionOf(sheet.value.formula, kept.formula)),
            name: texts.fromATrial(kept.name).slice(0, 120),
            id: makeId(),
            now: at,
            story: {
              reason: because.value.trim(),
              result: trialResult(trialVerdict(props.trial)).slice(0, 4000),
              trialId: props.trial.plan.id,
              ...(kept.batchId ? { batchId: kept.batchId } : {}),
            },
          }
        : null
    const told = { keep: kept?.id ?? null, because: because.value.trim(), next: next.value.trim(), at }
    const ruled = await decideTrial(
      props.trial.plan.id,
      (here, number) =>
        plain(decided(here, { ...told, ...(number === undefined ? {} : { version: number }) })),
      version,
    )
    for (const { material } of losers.value) {
      const words = lessons.value[material]?.trim()
      if (words) await materials.learnOf(material, words)
    }
    problem.value = null
    await tellAll({ type: 'trial', id: props.trial.plan.id })
    const number = ruled.plan.decision?.version
    if (number !== undefined)
      notify(toast, texts.keptAsVersion(number), {
        label: common.open,
        run: () => void router.push(`/formulas/${sheet.value!.id}/versions`),
      })
  } catch (error) {
    problem.value =
      error instanceof Decided
        ? texts.thisTrialWasDecidedIn
        : error instanceof TrialGone
          ? TRIAL_GONE
          : explainStorage(error)
    await trials.reread(props.trial.plan.id)
  }
  busy.value = false
}
</script>

<template>
  <TitledCard :title="texts.decide" :level="2">
    <Notice v-if="problem" kind="stop">{{ problem }}</Notice>
    <dl v-if="done">
      <dt class="muted text-note">{{ common.keep }}</dt>
      <dd>
        <strong>{{ nameOf(done.keep) }}</strong>
      </dd>
      <dt class="muted text-note">{{ common.reason }}</dt>
      <dd>{{ done.because || texts.noReasonGiven }}</dd>
      <dt class="muted text-note">{{ texts.next }}</dt>
      <dd>{{ done.next || texts.nothing }}</dd>
      <template v-if="done.version !== undefined && trial.plan.of?.id">
        <dt class="muted text-note">{{ texts.where }}</dt>
        <dd>
          <RouterLink :to="`/formulas/${trial.plan.of.id}/versions`">{{
            texts.versionOf(done.version, trial.plan.of.name)
          }}</RouterLink>
        </dd>
      </template>
    </dl>
    <form v-else class="stacked" @submit.prevent="decide">
      <ChoiceField v-model="keep" :label="common.keep" :options="choices" />
      <TextField id="decide-because" :label="common.reason" v-model="because" :rows="2" maxlength="2000" />
      <TextField
        :label="texts.nextQuestion"
        v-model="next"
        maxlength="500"
        :placeholder="texts.halfTheCetylAlcoholFor"
      />
      <TextField
        v-for="l in losers"
        :key="l.material"
        :label="texts.noteOn(l.name)"
        :id="`lesson-${l.material}`"
        :model-value="lessons[l.material] ?? ''"
        @update:model-value="lessons[l.material] = $event"
        maxlength="300"
        :placeholder="texts.setsTooFastForMe"
      />
      <p v-if="keep !== NONE && !sheet" class="muted small">
        {{ texts.theFormulaNoLongerExists }}
      </p>
      <div class="dialog-buttons">
        <Button
          type="submit"
          :label="keep === NONE ? texts.recordDecision : texts.adoptVersion"
          icon="pi pi-check"
          :loading="busy"
        />
      </div>
    </form>
  </TitledCard>
</template>

<style scoped>
dl {
  display: grid;
  grid-template-columns: 5rem minmax(0, 1fr);
  gap: 0.5rem 0.75rem;
  margin: 0;
}
dd {
  margin: 0;
  overflow-wrap: anywhere;
}
</style>
