<script setup lang="ts">
import { common } from '#words/common'
import { containerDialog as texts } from '#words/ingredients'
import {
  acknowledged,
  clashWords,
  Container,
  CONTAINER_KINDS,
  containerWord,
  WALL_KINDS,
  wallWord,
} from '@omblet/core'
import Button from 'primevue/button'
import { QuietButton } from '../../components/buttons'
import { PopUp } from '../../components/dialogs'
import { computed, reactive, ref } from 'vue'
import ChoiceField from '../../components/ChoiceField.vue'
import TextField from '../../components/TextField.vue'
import NumberField from '../../components/NumberField.vue'
import { makeId } from '../../storage/channel'
import { useContainers } from '../../stores/containers'

const props = defineProps<{ container: Container | null }>()
const emit = defineEmits<{ close: [] }>()
const store = useContainers()
const kinds = CONTAINER_KINDS.map((value) => ({ value, label: containerWord(value) }))
const walls = [
  { value: 'unsaid' as const, label: texts.unknown },
  ...WALL_KINDS.map((value) => ({ value, label: wallWord(value) })),
]
const c = props.container
const form = reactive({
  name: c?.name ?? '',
  kind: c?.kind ?? ('jar' as Container['kind']),
  wall: (c?.wall ?? 'unsaid') as NonNullable<Container['wall']> | 'unsaid',
  nominalMl: (c?.nominalMl ?? null) as number | null,
  brimMl: (c?.brimMl ?? null) as number | null,
  emptyGrams: (c?.emptyGrams ?? null) as number | null,
  price: (c?.price ?? null) as number | null,
  left: (c?.left ?? null) as number | null,
})
const asked = ref(false)
const errors = computed(() => ({
  name: asked.value && form.name.trim() === '' ? common.enterAName : null,
  nominalMl: asked.value && !form.nominalMl ? texts.enterTheNominalVolumeIn : null,
  brimMl:
    form.brimMl && form.nominalMl && form.brimMl < form.nominalMl ? texts.theBrimfulVolumeCannotBe : null,
  left: asked.value && form.left === null ? texts.enterHowManyYouHave : null,
}))
/** The container as it was read: only what was changed of it since is saved. */
let read = props.container
const clash = ref<string | null>(null)
async function save() {
  asked.value = true
  if (Object.values(errors.value).some((e) => e !== null)) return
  const told = Object.fromEntries(
    Object.entries({
      ...form,
      name: form.name.trim(),
      wall: form.wall === 'unsaid' ? null : form.wall,
    }).filter(([, v]) => v !== null),
  )
  const old = Object.fromEntries(Object.entries(c ?? {}).filter(([key]) => !(key in form)))
  const next = Container.parse({ ...old, id: c?.id ?? makeId(), ...told, left: Math.round(form.left!) })
  if (read) {
    const saved = await store.change(read, next)
    if (saved && 'clashes' in saved) {
      clash.value = clashWords(saved.clashes)
      read = acknowledged(read, saved.clashes)
      return
    }
    if (!saved) return
  } else await store.put(next)
  emit('close')
}
</script>

<template>
  <PopUp
    :visible="true"
    :header="container ? texts.editContainer : texts.addContainer"
    @update:visible="emit('close')"
  >
    <form class="dialog-form" @submit.prevent="save">
      <TextField
        :label="common.name"
        class="wide"
        :error="errors.name"
        v-model="form.name"
        autofocus
        maxlength="200"
        :placeholder="texts.amberJar60Ml"
      />
      <ChoiceField v-model="form.kind" :label="common.kind" :options="kinds" />
      <ChoiceField v-model="form.wall" :label="texts.material" :options="walls" />
      <NumberField
        v-model="form.nominalMl"
        :label="texts.nominalVolume"
        unit="mL"
        :max="10000"
        :what="texts.theVolume"
        :error="errors.nominalMl"
      />
      <NumberField
        v-model="form.brimMl"
        :label="texts.brimfulVolume"
        unit="mL"
        :max="12000"
        :what="texts.theVolume"
        :error="errors.brimMl"
      />
      <NumberField
        v-model="form.left"
        :label="texts.inStock"
        :max="1000000"
        :what="common.theNumber"
        :error="errors.left"
      />
      <NumberField
        v-model="form.emptyGrams"
        :label="common.tareWeight"
        unit="g"
        :max="10000"
        :what="common.theWeight"
      />
      <NumberField v-model="form.price" :label="texts.priceEach" :max="100000" :what="texts.thePrice" />
      <p v-if="clash ?? store.problem" class="error-text wide" role="alert">{{ clash ?? store.problem }}</p>
      <div class="dialog-buttons">
        <QuietButton type="button" :label="common.cancel" @click="emit('close')" />
        <Button type="submit" :label="container ? common.save : common.add" />
      </div>
    </form>
  </PopUp>
</template>
