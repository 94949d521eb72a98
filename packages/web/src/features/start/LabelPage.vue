<script setup lang="ts">
import { formatNumber, LIMITS, parseNumber, type Product, type Richness } from '@omblet/core'
import Button from 'primevue/button'
import InputText from 'primevue/inputtext'
import Textarea from 'primevue/textarea'
import { computed, reactive, ref } from 'vue'
import { useRouter } from 'vue-router'
import { plain } from '../../browser/plain'
import { useDesign } from '../../composables/design'
import ChoiceField from '../../components/ChoiceField.vue'
import FindingMark from '../../components/FindingMark.vue'
import FormField from '../../components/FormField.vue'
import Notice from '../../components/Notice.vue'
import { useLibrary } from '../../stores/library'
import ProductFields from './ProductFields.vue'
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
const title = computed(() => name.value.trim() || 'A guess from a label')
const request = computed(() =>
  text.value.trim() === ''
    ? null
    : {
        text: text.value.slice(0, 20_000),
        earlier: comparing.value ? earlier.value.slice(0, 20_000) : '',
        product: plain(product.value),
        name: title.value,
        ...(more.texture === 'any' ? {} : { texture: more.texture }),
        ...(valueOf(ph.value) === null ? {} : { ph: valueOf(ph.value)! }),
        ...(valueOf(spf.value) === null ? {} : { spf: valueOf(spf.value)! }),
      },
)
const { answer, busy, failed } = useDesign(request, (worker, r) => worker.label(r))

const WHAT = { new: 'new', gone: 'gone', up: 'moved up', down: 'moved down', same: '' }
const MARK = { new: 'check', gone: 'check', up: 'note', down: 'note', same: 'fine' } as const
const changed = computed(() => answer.value?.changes?.filter((c) => c.what !== 'same' || c.declared) ?? [])
/** Below the 1 % line the order says nothing. */
const loose = (place: number | null) =>
  place !== null && place > (answer.value?.ranges?.line.most ?? Infinity)
const declares = (percent: number | null) => (percent === null ? 'nothing' : `${formatNumber(percent, 2)} %`)

/** 0.01 to 100 % on a rail of tens, so that small amounts can be told apart. */
const at = (percent: number) => (100 * (Math.log10(Math.max(0.01, percent)) + 2)) / 4
const TICKS = [0.01, 0.1, 1, 10, 100]
const say = (percent: number) => (percent < 0.005 ? '0' : formatNumber(percent, 2))

const making = ref(false)
async function make() {
  const formula = answer.value?.formula
  if (!formula || making.value) return
  making.value = true
  const { id } = await library.create(formula)
  making.value = false
  if (id) await router.push(`/formulas/${id}`)
}
</script>

<template>
  <StartFrame way="label" title="Start from an ingredient list">
    <section class="card start-card" aria-label="The list">
      <FormField id="label-text" label="Paste the list in the order of the label">
        <Textarea
          id="label-text"
          v-model="text"
          rows="11"
          autofocus
          spellcheck="false"
          placeholder="Aqua, Glycerin, …"
        />
      </FormField>
      <div v-if="text === ''">
        <Button label="Show an example" text size="small" @click="text = EXAMPLE" />
      </div>
      <p class="muted small">Write a percent behind a name where the label declares one: Niacinamide 10 %.</p>
      <FormField id="label-name" label="Name">
        <InputText
          id="label-name"
          v-model="name"
          placeholder="A guess from a label"
          :maxlength="LIMITS.name"
          fluid
        />
      </FormField>
      <ProductFields v-model="product" />
      <div class="more">
        <ChoiceField id="label-texture" v-model="more.texture" label="Texture" :options="TEXTURES" />
        <FormField id="label-ph" label="Its pH" :error="faultOf(ph)">
          <InputText
            id="label-ph"
            v-model="more.ph"
            inputmode="decimal"
            class="mono"
            fluid
            placeholder="if known"
          />
        </FormField>
        <FormField id="label-spf" label="SPF it claims" :error="faultOf(spf)">
          <InputText
            id="label-spf"
            v-model="more.spf"
            inputmode="numeric"
            class="mono"
            fluid
            placeholder="if any"
          />
        </FormField>
      </div>
      <div v-if="!comparing">
        <Button label="Compare with an earlier list" text size="small" @click="comparing = true" />
      </div>
      <FormField v-else id="label-earlier" label="The earlier list of the same product">
        <Textarea
          id="label-earlier"
          v-model="earlier"
          rows="6"
          spellcheck="false"
          placeholder="Aqua, Glycerin, …"
        />
      </FormField>
    </section>

    <section class="card start-card" aria-labelledby="label-title" :aria-busy="busy">
      <header class="start-head">
        <h2 id="label-title">What the order allows</h2>
        <p v-if="answer" class="muted small" role="status">
          {{ answer.list.names.length }} {{ answer.list.names.length === 1 ? 'name' : 'names'
          }}<template v-if="answer.ranges">
            · the 1 % line after {{ answer.ranges.line.fewest
            }}<template v-if="answer.ranges.line.most > answer.ranges.line.fewest">
              to {{ answer.ranges.line.most }}</template
            ></template
          >
        </p>
      </header>
      <p v-if="!answer && !failed" class="muted start-none">
        A label tells the order, not the amounts. From order, sum, caps of law, usual ranges and the kind of
        product, the least and the most of each ingredient are worked out, and one plausible draft among the
        many that would print the same list.
      </p>
      <Notice v-if="failed" kind="stop"
        >The solver could not be loaded. Reload the page and try again.</Notice
      >
      <Notice v-else-if="answer && answer.list.names.length === 0" kind="check"
        >No name was found. Names are parted by commas, points or new lines.</Notice
      >
      <Notice v-else-if="answer && !answer.ranges" kind="check"
        >No amounts fit this list as it stands: the order, a declared percent and the caps contradict one
        another, or the kind of product is another one. Check the order and the percents.</Notice
      >
      <template v-if="answer?.ranges">
        <Notice kind="note"
          >A guess, never the original: grades, suppliers’ blends and the making are not on a label.</Notice
        >
        <div class="table" role="region" aria-label="Ranges" tabindex="0">
          <table>
            <thead>
              <tr>
                <th scope="col">Ingredient</th>
                <th scope="col" class="rail-head">
                  <span v-for="t in TICKS" :key="t" class="mono" :style="{ left: `${at(t)}%` }">{{ t }}</span>
                </th>
                <th scope="col" class="figure">Least</th>
                <th scope="col" class="figure">Most</th>
                <th scope="col" class="figure">Draft, %</th>
              </tr>
            </thead>
            <tbody>
              <tr
                v-for="(r, i) in answer.ranges.ranges"
                :key="r.name.key"
                :class="{ line: i === answer.ranges.draftLine }"
              >
                <th scope="row">
                  <span class="with"
                    ><FindingMark :severity="r.name.material ? 'fine' : 'note'" :size="14" /><span
                      >{{ r.name.text
                      }}<span v-if="!r.name.material" class="muted small unknown"
                        >not alone in the catalogue</span
                      ><span v-if="r.name.confidence === 'likely'" class="muted small unknown"
                        >read as {{ r.name.material!.name }}</span
                      ><span v-if="r.name.declaredPercent !== null" class="muted small unknown">declared</span
                      ><span v-if="r.name.maybe" class="muted small unknown">may be missing</span></span
                    ></span
                  >
                </th>
                <td class="rail-cell" :title="`Bounded by: ${r.bound}`">
                  <span class="rail" aria-hidden="true"
                    ><i class="one" :style="{ left: `${at(1)}%` }"></i
                    ><i
                      class="span"
                      :style="{
                        left: `${at(r.least)}%`,
                        width: `${Math.max(1.5, at(r.greatest) - at(r.least))}%`,
                      }"
                    ></i
                    ><i class="dot" :style="{ left: `${at(r.draft)}%` }"></i
                  ></span>
                </td>
                <td class="mono figure">{{ say(r.least) }}</td>
                <td class="mono figure">{{ say(r.greatest) }}</td>
                <td class="mono figure draft">{{ say(r.draft) }}</td>
              </tr>
            </tbody>
          </table>
        </div>
        <p class="muted small">
          The rule is the 1 % line of the draft: below it a label may list in any order. Ranges hold if no
          amount is more than half again above what is usual. Regulation (EC) 1223/2009 Art. 19; from memory.
        </p>
        <section v-if="answer.changes" class="changes" aria-labelledby="label-changes">
          <h3 id="label-changes">What changed from the earlier list</h3>
          <p v-if="changed.length === 0" class="muted">Nothing: the same names in the same order.</p>
          <ul v-else>
            <li v-for="c in changed" :key="c.key">
              <FindingMark :severity="MARK[c.what]" :size="14" /><span
                >{{ c.text }}
                <span class="muted small"
                  >{{ WHAT[c.what]
                  }}<template v-if="c.before !== null && c.after !== null && c.what !== 'same'">
                    from place {{ c.before }} to {{ c.after }}</template
                  ><template v-else-if="c.before === null"> at place {{ c.after }}</template
                  ><template v-else-if="c.after === null"> from place {{ c.before }}</template
                  ><template v-if="c.declared">
                    declared {{ declares(c.declared.before) }}, now {{ declares(c.declared.after) }}</template
                  ><template
                    v-if="(c.what === 'up' || c.what === 'down') && loose(c.after) && loose(c.before)"
                    >; both may be below 1 %, where order says nothing</template
                  ></span
                ></span
              >
            </li>
          </ul>
        </section>
        <ul v-if="answer.list.leftOut.length" class="muted small">
          <li v-for="l in answer.list.leftOut" :key="l.text">Left out: {{ l.text }}. {{ l.why }}</li>
        </ul>
        <footer>
          <Button label="Make the draft a formula" :loading="making" @click="make" />
        </footer>
      </template>
    </section>
  </StartFrame>
</template>

<style scoped>
.more {
  display: grid;
  grid-template-columns: minmax(0, 1.4fr) minmax(0, 1fr) minmax(0, 1fr);
  gap: 0.625rem;
}
.changes ul {
  padding: 0;
  margin: 0;
  list-style: none;
}
.changes li {
  display: grid;
  grid-template-columns: 14px minmax(0, 1fr);
  gap: 0.5rem;
  align-items: baseline;
  padding: 0.25rem 0;
}
.table {
  overflow-x: auto;
}
table {
  width: 100%;
  border-collapse: collapse;
}
th {
  font-weight: 400;
  text-align: left;
}
th,
td {
  padding: 0.375rem 0.75rem 0.375rem 0;
  border-top: 1px solid var(--line);
}
thead th {
  border-top: 0;
  color: var(--muted);
  font-size: var(--text-small);
  vertical-align: bottom;
}
tr.line th,
tr.line td {
  border-top: 2px solid var(--accent);
}
.with {
  display: grid;
  grid-template-columns: 14px minmax(0, 1fr);
  align-items: baseline;
  gap: 0.5rem;
  min-width: 11rem;
}
.unknown {
  margin-left: 0.5rem;
}
.figure {
  width: 5rem;
  text-align: right;
  white-space: nowrap;
}
.draft {
  font-weight: 700;
}
.rail-head {
  position: relative;
  min-width: 13rem;
  height: 1.5rem;
}
.rail-head span {
  position: absolute;
  bottom: 0;
  font-size: var(--text-tiny);
  transform: translateX(-50%);
}
.rail-cell {
  min-width: 13rem;
  padding-right: 0;
}
.rail {
  position: relative;
  display: block;
  height: 12px;
  border-radius: var(--round-m);
  background: var(--track);
}
.rail i {
  position: absolute;
  top: 0;
  bottom: 0;
}
.span {
  border-radius: var(--round-m);
  background: var(--band);
}
.one {
  width: 1px;
  background: var(--line-strong);
}
.dot {
  width: 12px;
  margin-left: -6px;
  border: 2px solid var(--paper);
  border-radius: 50%;
  background: var(--accent);
}
footer {
  display: flex;
  justify-content: flex-end;
}
@media (max-width: 620px) {
  .more {
    grid-template-columns: 1fr 1fr;
  }
  .rail-cell,
  .rail-head {
    display: none;
  }
  .figure {
    width: 4rem;
  }
}
</style>
