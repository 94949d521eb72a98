<script setup lang="ts">
import { common } from '#words/common'
import { vesselField as texts } from '#words/bench-weighing'
import Button from 'primevue/button'
import { PlainButton } from '../../../components/buttons'
import { onMounted, ref, shallowRef } from 'vue'
import * as z from 'zod'
import NumberField from '../../../components/NumberField.vue'
import { getSetting, setSetting } from '../../../storage/settings'
import { useBatch } from '../../../stores/batch'
import { useRun, useShown } from './run'

/** Weight of an empty beaker: known, what is in it can be weighed with it at any time. */
const props = defineProps<{ vessel: string }>()
const batch = useBatch()
const run = useRun()
const shown = useShown('scale', run.now)
const KEY = 'vessels'
const Known = z.record(z.string(), z.number())
const before = shallowRef<number | null>(null)
const typed = ref<number | null>(null)
const open = ref(false)
onMounted(async () => {
  const kept = Known.safeParse(await getSetting<unknown>(KEY).catch(() => null))
  before.value = kept.success ? (kept.data[props.vessel] ?? null) : null
})
async function save(grams: number | null) {
  if (grams === null || grams <= 0) return
  if (!batch.enter({ type: 'vessel', vessel: props.vessel, tareGrams: grams })) return
  open.value = false
  typed.value = null
  const kept = Known.safeParse(await getSetting<unknown>(KEY).catch(() => null))
  await setSetting(KEY, { ...(kept.success ? kept.data : {}), [props.vessel]: grams }).catch(() => undefined)
}
const known = () => run.state.value.vessels.get(props.vessel) ?? null
</script>

<template>
  <div class="vessel">
    <p class="abreast" v-if="known() !== null && !open">
      {{ texts.tareWeight(vessel) }} <span class="mono">{{ run.grams(known()!) }}</span>
      <Button :label="common.change" text size="small" @click="open = true" />
    </p>
    <p class="abreast" v-else-if="!open">
      <Button
        :label="texts.tareWeightNotWeighed(vessel)"
        icon="pi pi-plus"
        text
        size="small"
        @click="open = true"
      />
    </p>
    <form
      class="abreast at-foot wraps"
      v-else
      @submit.prevent="save(typed ?? (shown?.steady ? shown.value : null))"
    >
      <NumberField
        v-model="typed"
        :label="texts.tareWeight2(vessel)"
        unit="g"
        :placeholder="shown?.steady ? String(shown.value) : '0'"
        :what="common.theWeight"
      />
      <PlainButton type="submit" :label="common.keep" />
      <Button
        v-if="before !== null"
        :label="texts.sameAsLastTime(run.grams(before))"
        text
        @click="save(before)"
      />
    </form>
  </div>
</template>

<style scoped>
p {
  gap: 0.25rem 0.5rem;
  min-height: 44px;
  color: var(--muted);
}
form :deep(.field) {
  width: 10rem;
}
.vessel :deep(button),
.vessel :deep(input) {
  min-height: 44px;
}
</style>
