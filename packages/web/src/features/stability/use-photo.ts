import { common } from '#words/common'
import { usePhoto as texts } from '#words/stability'
import { ref } from 'vue'
import { smallPicture } from '../../browser/picture'
import { savePhoto } from '../../storage/batches'
import { makeId } from '../../storage/channel'
import { explainStorage } from '../../storage/db'

/**
 * A photograph for the answer to the question that was open when it was chosen, however long it takes to make it small; it
 * is stored before the answer that names it.
 */
export function usePhoto(batch: () => string, question: () => unknown = () => null) {
  const photo = ref<string | null>(null)
  const photoError = ref<string | null>(null)
  /** One is being made small: an answer given now would go without it. */
  const taking = ref(false)
  async function takePhoto(file: File) {
    const [of, asked] = [batch(), question()]
    taking.value = true
    try {
      const id = makeId()
      const blob = await smallPicture(file)
      if (question() !== asked) photoError.value = texts.thePhotoBelongedToThe
      else {
        await savePhoto({ id, batch: of, blob })
        if (question() === asked) photo.value = id
        photoError.value = null
      }
    } catch (failure) {
      photoError.value =
        failure instanceof DOMException && failure.name === 'InvalidStateError'
          ? common.thisImageCannotBeRead
          : explainStorage(failure)
    } finally {
      taking.value = false
    }
  }
  return { photo, photoError, taking, takePhoto }
}
