<script setup lang="ts">
import { leftOutOfListText } from '@omblet/core/words'
import { common } from '#words/common'
import { labelPage as texts } from '#words/start'
import { LIMITS, parseNumber, type Product, type Richness } from '@omblet/core'
import Button from 'primevue/button'
import { computed, reactive, ref } from 'vue'
import { useRouter } from 'vue-router'
import { plain } from '../../browser/plain'
import { useDesign } from '../../composables/design'
import ChoiceField from '../../components/ChoiceField.vue'
import TextField from '../../components/TextField.vue'
import Notice from '../../components/Notice.vue'
import { useLibrary } from '../../stores/library'
import ProductFields from '../../components/ProductFields.vue'
import ListChanges from './ListChanges.vue'
import RangesTable from './RangesTable.vue'
import StartFrame from './StartFrame.vue'

const library = useLibrary()
const router = useRouter()

const EXAMPLE = texts.aquaCaprylicCapricTriglyceride
const text = ref('')
const name = ref('')
const product = ref<Product>({ kind: 'cream', site: 'face', rinse: 'leave-on', region: 'EU' })
const earlier = ref('')
const comparing = ref(false)
const more = reactive({ texture: 'any' as Richness | 'any', ph: '', spf: '' })
const TEXTURES: { value: Richness | 'any'; label: string }[] = [
  { value: 'any', label: texts.any },
  { value: 'milk', label: texts.milk },
  { value: 'lotion', label: common.lotion },
  { value: 'cream', label: common.cream },
  { value: 'rich-cream', label: texts.richCream },
  { value: 'butter', label: texts.butter },
]
const ph = computed(() => parseNumber(more.ph, { min: 0, max: 14, what: common.thePh }))
const spf = computed(() => parseNumber(more.spf, { min: 1, max: 100, what: texts.theFigure }))
const faultOf = (read: ReturnType<typeof parseNumber>) => ('error' in read ? read.error : null)
const valueOf = (read: ReturnType<typeof parseNumber>) => ('value' in read ? read.value : null)
const title = computed(() => name.value.trim() || texts.draftFromALabel)
const request = computed(() =>
  text.value.trim() === ''
    ? null
    : {
        text: text.value.slice(0, 20_000),
        earlier: comparing.value ? earlier.value.slice(0, 20_000) : '',
        product: plain(product.value),
        name: '',
        ...(more.texture === 'any' ? {} : { texture: more.texture }),
        ...(valueOf(ph.value) === null ? {} : { ph: valueOf(ph.value)! }),
        ...(valueOf(spf.value) === null ? {} : { spf: valueOf(spf.value)! }),
      },
)
const { answer, busy, failed } = useDesign(request, (worker, r) => worker.label(r))

const making = ref(false)
async function make() {
  const formula = answer.value?.formula
  if (!formula || making.value) return
  making.value = true
  const { id } = await library.create({ ...formula, name: title.value })
  making.value = false
  if (id) await router.push(`/formulas/${id}`)
}
</script>

<template>
  <StartFrame way="label" :title="texts.newFromAnIngredientList">
    <section class="card start-card" :aria-label="texts.theList">
      <TextField
        id="label-text"
        :label="texts.pasteTheListInThe"
        v-model="text"
        :rows="11"
        autofocus
        spellcheck="false"
        :placeholder="texts.aquaGlycerin"
      />
      <div v-if="text === ''">
        <Button :label="texts.showAnExample" text size="small" @click="text = EXAMPLE" />
      </div>
      <p class="muted small">
        {{ texts.ifTheLabelDeclaresA }}
      </p>
      <TextField
        :label="common.name"
        v-model="name"
        :placeholder="texts.draftFromALabel"
        :maxlength="LIMITS.name"
      />
      <div class="two">
        <ProductFields :product="product" @change="product = { ...product, ...$event }" />
      </div>
      <div class="more">
        <ChoiceField v-model="more.texture" :label="texts.texture" :options="TEXTURES" />
        <TextField label="pH" :error="faultOf(ph)" v-model="more.ph" :placeholder="texts.ifKnown" figure />
        <TextField
          :label="texts.claimedSpf"
          :error="faultOf(spf)"
          v-model="more.spf"
          inputmode="numeric"
          :placeholder="texts.ifAny"
          mono
        />
      </div>
      <div v-if="!comparing">
        <Button :label="texts.compareWithAnEarlierList" text size="small" @click="comparing = true" />
      </div>
      <TextField
        v-else
        :label="texts.theEarlierListOfThe"
        v-model="earlier"
        :rows="6"
        spellcheck="false"
        :placeholder="texts.aquaGlycerin"
      />
    </section>

    <section class="card start-card" aria-labelledby="label-title" :aria-busy="busy">
      <header class="start-head">
        <h2 id="label-title">{{ texts.possibleAmounts }}</h2>
        <p v-if="answer" class="muted small" role="status">
          {{ answer.list.names.length }} {{ answer.list.names.length === 1 ? texts.name : texts.names
          }}<template v-if="answer.ranges">
            {{ texts.n1LineAfter(answer.ranges.line.fewest)
            }}<template v-if="answer.ranges.line.most > answer.ranges.line.fewest">
              {{ texts.to(answer.ranges.line.most) }}</template
            ></template
          >
        </p>
      </header>
      <p v-if="!answer && !failed" class="muted start-none">
        {{ texts.aLabelStatesTheOrder }}
      </p>
      <Notice v-if="failed" kind="stop">{{ common.theSolverCouldNotBe }}</Notice>
      <Notice v-else-if="answer && answer.list.names.length === 0" kind="check">{{
        texts.noIngredientNamesFoundSeparate
      }}</Notice>
      <Notice v-else-if="answer && !answer.ranges" kind="check">{{ texts.noAmountsFitThisList }}</Notice>
      <template v-if="answer?.ranges">
        <Notice kind="note">{{ texts.anEstimateNeverTheOriginal }}</Notice>
        <RangesTable :ranges="answer.ranges" />
        <p class="muted small">
          {{ texts.theLineMarks1In }}
        </p>
        <ListChanges v-if="answer.changes" :changes="answer.changes" :certain="answer.ranges.line.most" />
        <ul v-if="answer.list.leftOut.length" class="muted small">
          <li v-for="l in answer.list.leftOut" :key="l.text">
            {{ texts.leftOut(l.text, leftOutOfListText(l.why)) }}
          </li>
        </ul>
        <footer>
          <Button :label="texts.createFormulaFromDraft" :loading="making" @click="make" />
        </footer>
      </template>
    </section>
  </StartFrame>
</template>

<style scoped>
.more {
  display: grid;
  grid-template-columns: minmax(0, 1.4fr) minmax(0, 1fr) minmax(0, 1fr);
  gap: 0.75rem;
}
footer {
  display: flex;
  justify-content: flex-end;
}
@media (max-width: 620px) {
  .more {
    grid-template-columns: 1fr 1fr;
  }
}
</style>
