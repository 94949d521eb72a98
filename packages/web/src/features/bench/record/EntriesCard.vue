<script setup lang="ts">
import { common } from '#words/common'
import { entriesCard as texts } from '#words/bench-record'
import { eventRow, rowValue } from '@omblet/core/words'
import { type BatchState } from '@omblet/core'
import { format } from 'date-fns'
import { computed, ref } from 'vue'

/** Everything that was entered, in order. Many rows: only made once they are looked at. */
const props = defineProps<{ state: BatchState }>()
const s = computed(() => props.state)
const d = computed(() => s.value.plan.a.amounts.resolutionGrams)
const clock = (iso: string) => format(new Date(iso), 'HH:mm')
const open = ref(false)
const events = computed(() => (open.value ? s.value.events.map((e) => eventRow(s.value, e)) : []))
</script>

<template>
  <details class="card" @toggle="open = ($event.target as HTMLDetailsElement).open">
    <summary>{{ texts.allEntries(s.events.length) }}</summary>
    <div v-if="open" class="scroll">
      <table class="tight">
        <thead>
          <tr>
            <th scope="col" class="num">{{ texts.no }}</th>
            <th scope="col">{{ texts.time }}</th>
            <th scope="col">{{ texts.what }}</th>
            <th scope="col">{{ common.ingredient }}</th>
            <th scope="col" class="num">{{ texts.value }}</th>
            <th scope="col">{{ texts.detail }}</th>
            <th scope="col">{{ common.step }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="r in events" :key="r.n" :class="{ undone: r.undone }">
            <td class="mono num">{{ r.n }}</td>
            <td class="mono">{{ clock(r.at) }}</td>
            <td>
              {{ r.what }}<span v-if="r.undone" class="muted small"> {{ texts.undone }}</span>
            </td>
            <td>{{ r.material }}</td>
            <td class="mono num">{{ rowValue(r, d) }}</td>
            <td>{{ r.detail }}</td>
            <td class="muted">{{ r.step }}</td>
          </tr>
        </tbody>
      </table>
    </div>
  </details>
</template>

<style scoped>
summary {
  min-height: 44px;
  display: list-item;
  font-size: var(--text-lead);
  font-weight: 700;
  line-height: 44px;
  cursor: pointer;
}
td {
  padding-block: 0.25rem;
}
.undone td {
  text-decoration: line-through;
  color: var(--muted);
}
@media print {
  details {
    display: none;
  }
}
</style>
