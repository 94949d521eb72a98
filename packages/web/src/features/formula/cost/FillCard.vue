<script setup lang="ts">
import { suitsText } from '@omblet/core/words'
import { common } from '#words/common'
import { fillCard as texts } from '#words/formula-cost'
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
  <TitledCard :title="texts.filling" class="closer">
    <p class="muted small">
      {{
        texts.densityAboutGMlTo(
          sayNumber(density.value, 2),
          sayNumber(density.low, 2),
          sayNumber(density.high, 2),
          sayNumber(loss.low, 0),
          sayNumber(loss.high, 0),
        )
      }}
    </p>
    <label v-if="planned > 0" class="aside small abreast"
      ><Checkbox v-model="watched" binary /> {{ texts.gKeptBackAsRetained(sayNumber(planned, 0)) }}</label
    >
    <ul v-if="rows.length">
      <li class="abreast" v-for="r in rows" :key="r.c.id">
        <FindingMark :severity="r.suits ? 'fine' : 'check'" />
        <div class="what grow breaks">
          <strong>{{ r.c.name }}</strong>
          <div class="small">
            <template v-if="r.suits">{{
              texts.fromGWantG(
                r.count,
                sayNumber(a.amounts.batchGrams, 0),
                r.fill.count + 1,
                sayNumber(r.next, 0),
              )
            }}</template><template v-if="r.c.left < r.fill.count">{{ texts.onlyLeft(r.c.left) }}</template>
            <LearnedNote lesson="loss" :of="r.c.id" :says="texts.earlierTransferLoss" unit="%" />
            <span v-for="why in r.reasons" :key="why.code" class="muted block">{{ suitsText(why) }}</span>
          </div>
        </div>
        <span v-if="chosen === r.c.id" class="muted small">{{ texts.selected }}</span>
        <PlainButton
          v-else-if="r.suits"
          :label="common.use"
          size="small"
          :aria-label="texts.use(r.c.name)"
          @click="$emit('choose', r.c.id, r.fill.count, r.c.price)"
        />
      </li>
    </ul>
    <p v-else class="muted">
      {{ texts.noContainersYet }}
      <RouterLink to="/ingredients/containers">{{ texts.addThemUnderIngredients }}</RouterLink>
      {{ texts.toSeeWhichAreSuitable }}
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
