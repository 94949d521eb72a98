<script setup lang="ts">
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

const EXAMPLE =
  'Aqua, Caprylic/Capric Triglyceride, Glycerin, Butyrospermum Parkii Butter, Cetearyl Olivate, Sorbitan Olivate, Niacinamide 4 %, Cetyl Alcohol, Panthenol, Phenoxyethanol, Tocopherol, Xanthan Gum, Ethylhexylglycerin, Sodium Phytate, Citric Acid'
const text = ref('')
const name = ref('')
const product = ref<Product>({ kind: 'cream', site: 'face', rinse: 'leave-on', region: 'EU' })
const earlier = ref('')
const comparing = ref(false)
const more = reactive({ texture: 'any' as Richness | 'any', ph: '', spf: '' })
const TEXTURES: { value: Richness | 'any'; label: string }[] = [
  { value: 'any', label: 'Any' },
  { value: 'milk', label: 'Milk' },
  { value: 'lotion', label: 'Lotion' },
  { value: 'cream', label: 'Cream' },
  { value: 'rich-cream', label: 'Rich cream' },
  { value: 'butter', label: 'Butter' },
]
const ph = computed(() => parseNumber(more.ph, { min: 0, max: 14, what: 'the pH' }))
const spf = computed(() => parseNumber(more.spf, { min: 1, max: 100, what: 'the figure' }))
const faultOf = (read: ReturnType<typeof parseNumber>) => ('error' in read ? read.error : null)
const valueOf = (read: ReturnType<typeof parseNumber>) => ('value' in read ? read.value : null)
const title = computed(() => name.value.trim() || 'Draft from a label')
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
  <StartFrame way="label" title="New from an ingredient list">
    <section class="card start-card" aria-label="The list">
      <TextField
        id="label-text"
        label="Paste the list in the order of the label"
        v-model="text"
        :rows="11"
        autofocus
        spellcheck="false"
        placeholder="Aqua, Glycerin, …"
      />
      <div v-if="text === ''">
        <Button label="Show an example" text size="small" @click="text = EXAMPLE" />
      </div>
      <p class="muted small">
        If the label declares a percentage, write it after the name: Niacinamide 10 %.
      </p>
      <TextField label="Name" v-model="name" placeholder="Draft from a label" :maxlength="LIMITS.name" />
      <div class="two">
        <ProductFields :product="product" @change="product = { ...product, ...$event }" />
      </div>
      <div class="more">
        <ChoiceField v-model="more.texture" label="Texture" :options="TEXTURES" />
        <TextField label="pH" :error="faultOf(ph)" v-model="more.ph" placeholder="if known" figure />
        <TextField
          label="Claimed SPF"
          :error="faultOf(spf)"
          v-model="more.spf"
          inputmode="numeric"
          placeholder="if any"
          mono
        />
      </div>
      <div v-if="!comparing">
        <Button label="Compare with an earlier list" text size="small" @click="comparing = true" />
      </div>
      <TextField
        v-else
        label="The earlier list of the same product"
        v-model="earlier"
        :rows="6"
        spellcheck="false"
        placeholder="Aqua, Glycerin, …"
      />
    </section>

    <section class="card start-card" aria-labelledby="label-title" :aria-busy="busy">
      <header class="start-head">
        <h2 id="label-title">Possible amounts</h2>
        <p v-if="answer" class="muted small" role="status">
          {{ answer.list.names.length }} {{ answer.list.names.length === 1 ? 'name' : 'names'
          }}<template v-if="answer.ranges">
            · 1 % line after {{ answer.ranges.line.fewest
            }}<template v-if="answer.ranges.line.most > answer.ranges.line.fewest">
              to {{ answer.ranges.line.most }}</template
            ></template
          >
        </p>
      </header>
      <p v-if="!answer && !failed" class="muted start-none">
        A label states the order, not the amounts. Omblet calculates the range of each ingredient from order,
        total, legal limits, usage rates and product type, and one plausible draft of the many that give the
        same list.
      </p>
      <Notice v-if="failed" kind="stop"
        >The solver could not be loaded. Reload the page and try again.</Notice
      >
      <Notice v-else-if="answer && answer.list.names.length === 0" kind="check"
        >No ingredient names found. Separate names with commas, points or new lines.</Notice
      >
      <Notice v-else-if="answer && !answer.ranges" kind="check"
        >No amounts fit this list. The order, a declared percentage and the legal limits contradict each
        other, or the product type is wrong. Check the order and the percentages.</Notice
      >
      <template v-if="answer?.ranges">
        <Notice kind="note"
          >An estimate, never the original: grades, blends and the process are not on a label.</Notice
        >
        <RangesTable :ranges="answer.ranges" />
        <p class="muted small">
          The line marks 1 % in the draft: below it, a label may list in any order. Ranges assume that no
          amount exceeds its usual rate by more than half. Regulation (EC) 1223/2009 Art. 19.
        </p>
        <ListChanges v-if="answer.changes" :changes="answer.changes" :certain="answer.ranges.line.most" />
        <ul v-if="answer.list.leftOut.length" class="muted small">
          <li v-for="l in answer.list.leftOut" :key="l.text">Left out: {{ l.text }}. {{ l.why }}</li>
        </ul>
        <footer>
          <Button label="Create formula from draft" :loading="making" @click="make" />
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
