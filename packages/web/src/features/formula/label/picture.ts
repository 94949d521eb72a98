import { picture as texts } from '#words/formula-label'
import fontUrl from '@fontsource-variable/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-wght-normal.woff2?url'
import { hand } from '../../../browser/download'
import { FAMILY } from './measure'

const asData = async (blob: Blob) =>
  new Promise<string>((resolve, reject) => {
    const reader = new FileReader()
    reader.onload = () => resolve(String(reader.result))
    reader.onerror = () => reject(reader.error ?? new Error(texts.notReadable))
    reader.readAsDataURL(blob)
  })

/** A drawing as a file of its own: with its type inside, so that it looks the same everywhere. */
async function standalone(svg: SVGSVGElement): Promise<string> {
  const copy = svg.cloneNode(true) as SVGSVGElement
  const font = await asData(await (await fetch(fontUrl)).blob())
  const style = document.createElementNS('http://www.w3.org/2000/svg', 'style')
  style.textContent = `@font-face{font-family:${FAMILY.split(',')[0]!};font-weight:200 800;src:url(${font}) format('woff2')}`
  copy.prepend(style)
  return new XMLSerializer().serializeToString(copy)
}

export const saveSvg = async (svg: SVGSVGElement, name: string) =>
  hand(`${name}.svg`, new Blob([await standalone(svg)], { type: 'image/svg+xml' }))

/** Dots an inch of a printed picture. */
const DPI = 600
export async function savePng(svg: SVGSVGElement, name: string) {
  const { width, height } = svg.viewBox.baseVal
  const image = new Image()
  image.src = `data:image/svg+xml;charset=utf-8,${encodeURIComponent(await standalone(svg))}`
  await image.decode()
  const canvas = document.createElement('canvas')
  canvas.width = Math.round((width / 25.4) * DPI)
  canvas.height = Math.round((height / 25.4) * DPI)
  canvas.getContext('2d')!.drawImage(image, 0, 0, canvas.width, canvas.height)
  const blob = await new Promise<Blob | null>((resolve) => canvas.toBlob(resolve, 'image/png'))
  if (blob) hand(`${name}.png`, blob)
}
