import { methodText } from '@omblet/core/words'
import { capitalise, METHODS } from '@omblet/core'

/** How a pH was read, to be chosen from. */
export const READING_WAYS = METHODS.map((value) => ({ value, label: capitalise(methodText(value)) }))
