import { baseNote, namedBase } from '@omblet/core/words'
import {
  batchCode,
  eventsOfBase,
  sharedBase,
  withBatch,
  type BenchPlan,
  type Formula,
  type PlannedTrial,
} from '@omblet/core'
import { computed, shallowRef, watch } from 'vue'
import { readBatch, type ReadBatch } from '../../composables/batch-state'
import { tellAll } from '../../storage/channel'
import { TrialGone } from '../../storage/trials'
import { explainStorage } from '../../storage/db'
import { useBatch } from '../../stores/batch'
import { useBatches } from '../../stores/batches'
import { today } from '../../stores/lots'
import { useMaterials } from '../../stores/materials'
import { TRIAL_GONE } from '../../stores/trials'

/** How the jars of a trial are made: the base that they share first, then a batch for each, with what it got of the base. */
export function useMaking(trial: () => PlannedTrial | null) {
  const materials = useMaterials()
  const batches = useBatches()
  const batch = useBatch()
  const problem = shallowRef<string | null>(null)
  const made = computed(() =>
    (trial()?.samples ?? []).flatMap((s) => (s.formula ? [{ ...s, formula: s.formula }] : [])),
  )
  const base = computed(() =>
    sharedBase(
      made.value.map((s) => s.formula),
      materials.catalogue,
    ),
  )
  const headOf = (id: string | undefined) => batches.heads.find((b) => b.id === id) ?? null
  const baseHead = computed(() => headOf(trial()?.plan.baseBatch))
  const baseMade = shallowRef<ReadBatch | null>(null)
  watch(
    () => [trial()?.plan.baseBatch, baseHead.value?.lastAt],
    async ([id]) => {
      baseMade.value = typeof id === 'string' ? await readBatch(id) : null
    },
    { immediate: true },
  )
  /** Whether its share can go into the jars: everything of it is weighed and its steps are over. */
  const baseDone = computed(() => {
    const s = baseMade.value?.state
    return !!s && (s.finished?.outcome === 'kept' || (!s.finished && s.at >= s.plan.steps.length))
  })
  const jars = computed(() =>
    made.value.map((s, i) => ({ ...s, head: headOf(s.batchId), own: base.value.own[i] ?? [] })),
  )

  async function begin(name: string, formula: Formula, sample: string | null): Promise<string | null> {
    const t = trial()
    if (!t) return null
    try {
      const code = batchCode(
        name,
        today(),
        batches.heads.map((b) => b.code),
      )
      const frozen = materials.selfContained(formula)
      const from = sample !== null && baseDone.value ? baseMade.value : null
      const got = (plan: BenchPlan) =>
        from
          ? eventsOfBase(plan, from.state, base.value, new Date().toISOString(), baseNote).map(
              ({ n: _n, at: _at, step, ...happening }) => ({ happening, step }),
            )
          : []
      const id = await batch.begin(
        { code, name, formulaId: t.plan.of?.id ?? null, who: batches.who },
        { type: 'start', formula: frozen, version: null },
        { got, trial: { id: t.plan.id, change: (here, made) => withBatch(here, sample, made) } },
      )
      await tellAll({ type: 'trial', id: t.plan.id })
      return id
    } catch (error) {
      problem.value = error instanceof TrialGone ? TRIAL_GONE : explainStorage(error)
      return null
    }
  }
  /** Begins the batch of the base, or of one jar, and gives back its id; null where it could not be stored. */
  const beginBase = () => {
    const formula = namedBase(base.value, made.value[0]?.formula.name ?? '')
    return formula ? begin(formula.name, formula, null) : Promise.resolve(null)
  }
  function beginJar(sample: string) {
    const s = made.value.find((x) => x.id === sample)
    return s
      ? begin(`${trial()!.plan.of?.name ?? trial()!.name}, ${s.name}`.slice(0, 190), s.formula, s.id)
      : Promise.resolve(null)
  }
  return { base, baseHead, baseDone, jars, problem, beginBase, beginJar }
}
