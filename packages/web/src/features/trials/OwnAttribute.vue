<script setup lang="ts">
import { common } from '#words/common'
import { ownAttribute as texts } from '#words/trials'
import Button from 'primevue/button'
import { QuietButton } from '../../components/buttons'
import { PopUp } from '../../components/dialogs'
import { computed, ref } from 'vue'
import TextField from '../../components/TextField.vue'

/** An attribute of one's own, with a neutral word at each end. */
const emit = defineEmits<{ add: [name: string, low: string, high: string] }>()
const open = ref(false)
const name = ref('')
const low = ref('')
const high = ref('')
const whole = computed(() => [name, low, high].every((x) => x.value.trim() !== ''))
function add() {
  if (!whole.value) return
  emit('add', name.value, low.value, high.value)
  open.value = false
  name.value = low.value = high.value = ''
}
</script>

<template>
  <Button :label="texts.addOwnAttribute" icon="pi pi-plus" text size="small" @click="open = true" />
  <PopUp v-model:visible="open" :header="texts.ownAttribute" width="28rem">
    <form class="dialog-form" @submit.prevent="add">
      <TextField
        id="own-name"
        :label="texts.attribute"
        class="wide"
        v-model="name"
        autofocus
        maxlength="60"
        :placeholder="texts.sound"
      />
      <TextField
        id="own-low"
        :label="texts.anchorAt0"
        v-model="low"
        maxlength="60"
        :placeholder="texts.dull"
      />
      <TextField
        id="own-high"
        :label="texts.anchorAt10"
        v-model="high"
        maxlength="60"
        :placeholder="texts.squeaky"
      />
      <p class="muted small wide">{{ texts.useNeutralWordsLikingIs }}</p>
      <div class="dialog-buttons">
        <QuietButton type="button" :label="common.cancel" @click="open = false" />
        <Button type="submit" :label="common.add" :disabled="!whole" />
      </div>
    </form>
  </PopUp>
</template>
