<script setup lang="ts">
import { common } from '#words/common'
import { addressNotice as texts } from '#words/app'
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
const records = (n: number) => (n === 1 ? '1 record' : texts.records(n))
</script>

<template>
  <Notice v-if="address.home" kind="check">
    {{ texts.ombletLivesAtTheBrowser(address.home) }}
    <template #actions>
      <Button :label="texts.backUpWithPhotos" size="small" @click="backUp" />
      <a :href="address.home">{{ texts.openOmbletThere }}</a>
    </template>
  </Notice>
  <Notice v-if="address.elsewhere.length" kind="note">
    {{ texts.someOfYourDataIs }}
    <template v-for="(w, i) in address.elsewhere" :key="w.url"
      >{{ i > 0 ? ', ' : '' }}<a :href="w.url">{{ w.url }}</a> ({{ records(w.records) }})</template
    >{{ texts.toMoveItHereMake }}
    <template #actions
      ><PlainButton :label="common.close" size="small" @click="address.dismiss()"
    /></template>
  </Notice>
</template>
