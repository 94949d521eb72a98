import * as z from 'zod'

const Scale = z.object({
  step: z.number().min(0.0001).max(100),
  repeats: z.number().gt(0).max(100).optional(),
})
export type Scale = z.infer<typeof Scale>

const KEY = 'omblet-scale'
const USUAL: Scale = { step: 0.01 }

/** The maker's scale as last told: new formulas begin with it. */
export function rememberedScale(): Scale {
  try {
    const read = Scale.safeParse(JSON.parse(localStorage.getItem(KEY) ?? 'null'))
    return read.success ? read.data : USUAL
  } catch {
    return USUAL
  }
}

export function rememberScale(scale: Scale) {
  try {
    localStorage.setItem(KEY, JSON.stringify(scale))
  } catch {
    // The formula itself holds it.
  }
}
