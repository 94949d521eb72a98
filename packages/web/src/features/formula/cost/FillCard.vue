<script setup lang="ts">
import {
  densityOf,
  fillFrom,
  findAll,
  gramsToFill,
  lossOf,
  proposeWatch,
  sayNumber,
  suits,
  type Assessment,
} from '@omblet/core'
import TitledCard from '../../../components/TitledCard.vue'
import { PlainButton } from '../../../components/buttons'
import Checkbox from 'primevue/checkbox'
import { computed, ref } from 'vue'
import FindingMark from '../../../components/FindingMark.vue'
import LearnedNote from '../../../components/LearnedNote.vue'
import { useContainers } from '../../../stores/containers'
import { useLearned } from '../../../stores/learned'

/** Which containers suit the product, and how many a batch fills. */
const { a, chosen } = defineProps<{ a: Assessment; chosen: string | null }>()
defineEmits<{ choose: [id: string, count: number, price: number | undefined] }>()
const shelf = useContainers()
const learned = useLearned()
const density = computed(() => densityOf(a))
const loss = computed(() => lossOf(a))
/** What is kept back as retained samples is not filled into jars that go out. */
const watched = ref(true)
const planned = computed(() =>
  proposeWatch(a, findAll(a), a.amounts.batchGrams * (1 - loss.value.value / 100)).samples.reduce(
    (sum, s) => sum + (s.grams ?? 0),
    0,
  ),
)
const aside = computed(() => (watched.value ? planned.value : 0))
const rows = computed(() =>
  shelf.containers
    .map((c) => {
      const lost = learned.of('loss', c.id)
      const fill = fillFrom(a, c, a.amounts.batchGrams, aside.value, lost)
      return {
        c,
        ...suits(a, c),
        fill,
        count: fill.low === fill.high ? String(fill.count) : `${fill.low} to ${fill.high}`,
        next: Math.ceil(gramsToFill(a, c, fill.count + 1, aside.value, lost)),
      }
    })
    .sort((x, y) => Number(y.suits) - Number(x.suits) || x.c.name.localeCompare(y.c.name)),
)
</script>

<template>
  <TitledCard title="Filling" class="closer">
    <p class="muted small">
      Density about {{ sayNumber(density.value, 2) }} g/mL ({{ sayNumber(density.low, 2) }} to
      {{ sayNumber(density.high, 2) }}), {{ sayNumber(loss.low, 0) }} to {{ sayNumber(loss.high, 0) }} %
      transfer loss. Weigh 50 mL to measure the density.
    </p>
    <label v-if="planned > 0" class="aside small abreast"
      ><Checkbox v-model="watched" binary /> {{ sayNumber(planned, 0) }} g kept back as retained
      samples</label
    >
    <ul v-if="rows.length">
      <li class="abreast" v-for="r in rows" :key="r.c.id">
        <FindingMark :severity="r.suits ? 'fine' : 'check'" />
        <div class="what grow breaks">
          <strong>{{ r.c.name }}</strong>
          <div class="small">
            <template v-if="r.suits"
              >{{ r.count }} from {{ sayNumber(a.amounts.batchGrams, 0) }} g; {{ r.fill.count + 1 }} want
              {{ sayNumber(r.next, 0) }} g</template
            ><template v-if="r.c.left < r.fill.count">; only {{ r.c.left }} left</template>
            <LearnedNote lesson="loss" :of="r.c.id" says="Earlier transfer loss" unit="%" />
            <span v-for="why in r.reasons" :key="why" class="muted block">{{ why }}</span>
          </div>
        </div>
        <span v-if="chosen === r.c.id" class="muted small">selected</span>
        <PlainButton
          v-else-if="r.suits"
          label="Use"
          size="small"
          :aria-label="`Use ${r.c.name}`"
          @click="$emit('choose', r.c.id, r.fill.count, r.c.price)"
        />
      </li>
    </ul>
    <p v-else class="muted">
      No containers yet. <RouterLink to="/ingredients/containers">Add them under Ingredients</RouterLink> to
      see which are suitable and how many a batch fills.
    </p>
  </TitledCard>
</template>

<style scoped>
.aside {
  min-height: 32px;
  cursor: pointer;
}
li {
  padding: 0.5rem 0;
  border-top: 1px solid var(--line);
}
</style>
