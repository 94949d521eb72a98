<script setup lang="ts">
import Button from 'primevue/button'
import { useToast } from 'primevue/usetoast'
import { onMounted } from 'vue'
import { PlainButton } from '../components/buttons'
import Notice from '../components/Notice.vue'
import { notify } from '../components/notify'
import { useAddress } from '../stores/address'
import { useSafety } from '../stores/safety'

/** Work under another address of this machine, which the browser keeps apart, and how to bring it together. */
const address = useAddress()
const safety = useSafety()
const toast = useToast()
onMounted(() => void address.look())
async function backUp() {
  const result = await safety.backUp(true)
  notify(toast, 'error' in result ? result.error : result.message)
}
const records = (n: number) => (n === 1 ? '1 record' : `${n} records`)
</script>

<template>
  <Notice v-if="address.home" kind="check">
    Omblet lives at {{ address.home }}. The browser stores data under this address separately. Make a backup
    here, then open Omblet there and restore it.
    <template #actions>
      <Button label="Back up with photos" size="small" @click="backUp" />
      <a :href="address.home">Open Omblet there</a>
    </template>
  </Notice>
  <Notice v-if="address.elsewhere.length" kind="note">
    Some of your data is stored under another address of this computer:
    <template v-for="(w, i) in address.elsewhere" :key="w.url"
      >{{ i > 0 ? ', ' : '' }}<a :href="w.url">{{ w.url }}</a> ({{ records(w.records) }})</template
    >. To move it here, make a backup there and restore it here. If that address does not open, start Omblet
    with PORT set to its number.
    <template #actions><PlainButton label="Close" size="small" @click="address.dismiss()" /></template>
  </Notice>
</template>
