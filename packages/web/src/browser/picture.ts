import { picture as texts } from '#words/browser'
const LONGEST = 1600
const QUALITY = 0.82
/** A paper stays legible. */
const PAPER_LONGEST = 4000
const PAPER_QUALITY = 0.9

/** A photograph made small enough to keep: at most 1600 pixels, JPEG. Rejects what is no picture. */
export const smallPicture = (file: Blob) => redrawn(file, LONGEST, QUALITY)
/** A picture of a paper, drawn anew: where and when it was taken does not stay in it. Rejects what is no picture. */
export const barePicture = (file: Blob) => redrawn(file, PAPER_LONGEST, PAPER_QUALITY)

async function redrawn(file: Blob, longest: number, quality: number): Promise<Blob> {
  const image = await createImageBitmap(file)
  const scale = Math.min(1, longest / Math.max(image.width, image.height))
  const canvas = document.createElement('canvas')
  canvas.width = Math.max(1, Math.round(image.width * scale))
  canvas.height = Math.max(1, Math.round(image.height * scale))
  canvas.getContext('2d')!.drawImage(image, 0, 0, canvas.width, canvas.height)
  image.close()
  return new Promise((resolve, reject) => {
    canvas.toBlob(
      (blob) => (blob ? resolve(blob) : reject(new Error(texts.noPicture))),
      'image/jpeg',
      quality,
    )
  })
}
