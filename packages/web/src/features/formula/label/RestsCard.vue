<script setup lang="ts">
import { common } from '#words/common'
import { restsCard as texts } from '#words/formula-label'
import { namesInOrder, sayPercent } from '@omblet/core'
import Button from 'primevue/button'
import TitledCard from '../../../components/TitledCard.vue'
import { PlainButton } from '../../../components/buttons'
import { computed, nextTick, ref, useTemplateRef } from 'vue'
import type { LabelRoom } from './use-label'

/** What the order rests on, and the choice of order below 1 %. */
const { room } = defineProps<{ room: LabelRoom }>()
const list = computed(() => room.label.value.list)
const say = (p: number) => sayPercent(Number(p.toPrecision(3)))
const rows = computed(() =>
  list.value.entries.map((e, i) => ({
    name: e.name,
    percent: e.percent === null ? `${say(e.low)} – ${say(e.high)}` : say(e.percent),
    open: e.percent === null,
    free: list.value.belowOneFrom !== null && i >= list.value.belowOneFrom && !e.colour,
    allergen: e.allergen,
  })),
)
const sureTo = computed(() => {
  const open = list.value.entries.findIndex((e) => e.percent === null)
  const last = open < 0 ? (list.value.belowOneFrom ?? list.value.entries.length) : open
  return last > 0 ? list.value.entries[last - 1]!.name : null
})
const choosing = ref(false)
const free = computed(() => {
  const names = new Set(rows.value.filter((r) => r.free).map((r) => r.name))
  return namesInOrder(room.label.value, room.design.value.order).filter((n) => names.has(n))
})
const box = useTemplateRef<HTMLElement>('box')
async function move(at: number, by: -1 | 1) {
  const next = [...free.value]
  const [name] = next.splice(at, 1)
  next.splice(at + by, 0, name!)
  room.change({ order: next })
  await nextTick()
  box.value?.children[at + by]?.querySelector<HTMLElement>(`[data-move="${by}"]:not([disabled])`)?.focus()
}
</script>

<template>
  <TitledCard :title="texts.basis" class="closer">
    <p class="muted small">
      {{ room.made.value ? texts.batchActualWeights(room.made.value.code) : texts.theFormulaAsWritten }}
      <template v-for="m in list.madeUp" :key="m.name">
        {{ texts.isListedAsReconstitutedWith(m.name, say(m.percent)) }}
      </template>
    </p>
    <details>
      <summary>{{ texts.namesWithTheirPercents(rows.length) }}</summary>
      <table>
        <tbody>
          <tr v-for="r in rows" :key="r.name">
            <td>
              {{ r.name }}<span v-if="r.allergen" class="muted small"> {{ texts.allergen }}</span>
            </td>
            <td class="mono number num" :class="{ open: r.open }">{{ r.percent }}</td>
          </tr>
        </tbody>
      </table>
      <p v-if="list.unnamed > 0.01" class="muted small">
        {{ texts.ofItIsAnUnspecified(say(list.unnamed)) }}
      </p>
    </details>
    <div class="choose">
      <p>
        <template v-if="sureTo">{{ texts.orderCertainDownTo(sureTo) }}</template><template v-else>{{
          texts.orderUncertain
        }}</template
        ><template v-if="free.length > 1">{{ texts.below1AnyOrderIs }}</template
        ><template v-else>.</template>
      </p>
      <PlainButton
        v-if="free.length > 1"
        :label="choosing ? common.done : texts.choose"
        size="small"
        :aria-expanded="choosing"
        @click="choosing = !choosing"
      />
    </div>
    <ol v-if="choosing" ref="box">
      <li v-for="(name, i) in free" :key="name">
        <span>{{ name }}</span>
        <Button
          icon="pi pi-arrow-up"
          text
          size="small"
          data-move="-1"
          :disabled="i === 0"
          :aria-label="texts.up(name)"
          @click="move(i, -1)"
        />
        <Button
          icon="pi pi-arrow-down"
          text
          size="small"
          data-move="1"
          :disabled="i === free.length - 1"
          :aria-label="texts.down(name)"
          @click="move(i, 1)"
        />
      </li>
    </ol>
    <Button
      v-if="choosing && room.design.value.order"
      :label="texts.resetToDescendingOrder"
      size="small"
      text
      @click="room.change({ order: undefined })"
    />
  </TitledCard>
</template>

<style scoped>
summary {
  min-height: 24px;
  cursor: pointer;
}
.open {
  color: var(--muted);
}
.choose,
ol li {
  display: flex;
  align-items: center;
  gap: 0.5rem;
}
.choose p,
ol li span {
  flex: 1;
  min-width: 0;
  overflow-wrap: anywhere;
}
ol {
  padding-left: 0;
  list-style: none;
}
</style>
