import { labelText } from '@omblet/core/words'
import { common } from '#words/common'
import { useLabel as texts } from '#words/formula-label'
import {
  actualFormula,
  CONTAINER_KINDS,
  labelOf,
  layLabel,
  leastOf,
  sheetOf,
  type Assessment,
  type ContainerKind,
  type LabelDesign,
  type Made,
} from '@omblet/core'
import { computed } from 'vue'
import { useBatchInRoute } from '../../../composables/batch-in-route'
import { useEditor } from '../../../stores/editor'
import { useLots } from '../../../stores/lots'
import { useMaterials } from '../../../stores/materials'
import { useMeasure } from './measure'
import { useKeepingFacts } from './use-keeping-facts'

const CODE_MM = 11
const MARK_MM = 7

/** How the label of the open formula looks, and changing it: what is emptied goes. */
function useDesignOf(editor: ReturnType<typeof useEditor>) {
  const design = computed<LabelDesign>(() => editor.formula?.label ?? {})
  function change(
    patch: { [K in keyof LabelDesign]?: LabelDesign[K] | undefined },
    key: string | null = null,
  ) {
    const next = Object.fromEntries(
      Object.entries({ ...design.value, ...patch }).filter(([, v]) => v !== undefined && v !== ''),
    ) as LabelDesign
    editor.apply({ type: 'patch', patch: { label: Object.keys(next).length > 0 ? next : undefined } }, key)
  }
  return { design, change }
}

/** The label of the formula that is open, or of one of its batches: design, words and how they lie. */
export function useLabel() {
  const editor = useEditor()
  const materials = useMaterials()
  const lots = useLots()
  const measure = useMeasure()

  const { batch, lost: lostBatch } = useBatchInRoute()
  const made = computed<Made | null>(() =>
    batch.value ? { code: batch.value.code, day: batch.value.state.start.at.slice(0, 10) } : null,
  )

  const { design, change } = useDesignOf(editor)

  /** The very lots that went into the batch: their analyses count, and no others. */
  const wentIn = computed(() => {
    const ids = new Set(batch.value?.state.lines.flatMap((l) => l.lots) ?? [])
    return lots.lots.filter((lot) => ids.has(lot.id))
  })
  const assessment = computed<Assessment>(() => {
    const actual = batch.value ? actualFormula(batch.value.state) : null
    return actual
      ? materials.deriveFrom({ ...actual, name: editor.formula!.name }, wentIn.value).assessment
      : editor.assessment!
  })
  const container = computed<ContainerKind | undefined>(() =>
    CONTAINER_KINDS.find((k) => k === design.value.containerKind),
  )
  const keeping = useKeepingFacts(batch, assessment)
  const label = computed(() => {
    const d = design.value
    return labelOf(assessment.value, {
      ...(d.region ? { region: d.region } : {}),
      ...(d.concentrates ? { concentrates: d.concentrates } : {}),
      ...(d.content
        ? d.content.unit === 'g'
          ? { grams: d.content.amount }
          : { millilitres: d.content.amount }
        : {}),
      address: d.address ?? '',
      batchCode: made.value?.code ?? '',
      function: d.line ?? '',
      keeping: {
        ...(container.value ? { container: container.value } : {}),
        ...keeping.value,
      },
    })
  })
  const sheet = computed(() => sheetOf(design.value))
  const space = computed(() => ({
    width: sheet.value.width,
    height: sheet.value.height,
    shape: sheet.value.shape,
    code: design.value.qr && made.value ? Math.min(CODE_MM, sheet.value.height * 0.36) : 0,
    mark: design.value.mark && design.value.mark !== 'none' ? Math.min(MARK_MM, sheet.value.height * 0.2) : 0,
  }))
  const least = computed(() =>
    leastOf(
      design.value,
      label.value.region,
      sheet.value.width * sheet.value.height * (design.value.faces === 'two' ? 2 : 1),
    ),
  )
  /** One face, or front and back, each with its code and mark where they go. */
  function facesOf(jar: Made | null) {
    const { front, back } = labelText(label.value, design.value, jar)
    const lay = (words: typeof front, code: boolean, mark: boolean, figures = least.value.figures) =>
      layLabel(
        words,
        { ...space.value, code: code ? space.value.code : 0, mark: mark ? space.value.mark : 0 },
        measure.value,
        { ...least.value, figures },
      )
    return back
      ? [
          { what: texts.front, layout: lay(front, false, true) },
          { what: common.back, layout: lay(back, true, false, 0) },
        ]
      : [{ what: common.label, layout: lay(front, true, true) }]
  }
  const faces = computed(() => facesOf(made.value))
  const fits = computed(() => faces.value.every((f) => f.layout.fits))

  return { design, change, assessment, label, made, batch, lostBatch, sheet, faces, facesOf, fits }
}
export type LabelRoom = ReturnType<typeof useLabel>
