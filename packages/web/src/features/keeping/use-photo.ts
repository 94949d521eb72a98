import { ref } from 'vue'
import { smallPicture } from '../../browser/picture'
import { savePhoto } from '../../storage/batches'
import { makeId } from '../../storage/channel'
import { explainStorage } from '../../storage/db'

/** A photograph for the answer that comes next; it is stored before the answer that names it. */
export function usePhoto(batch: () => string) {
  const photo = ref<string | null>(null)
  const photoError = ref<string | null>(null)
  async function takePhoto(file: File) {
    try {
      const id = makeId()
      await savePhoto({ id, batch: batch(), blob: await smallPicture(file) })
      photo.value = id
      photoError.value = null
    } catch (failure) {
      photoError.value =
        failure instanceof DOMException && failure.name === 'InvalidStateError'
          ? 'This is no picture that can be read here. Take a JPEG, PNG or WebP.'
          : explainStorage(failure)
    }
  }
  return { photo, photoError, takePhoto }
}
