import { toRaw } from 'vue'

/** A plain copy, such as a worker or the store can be given. */
export const plain = <T>(value: T): T => JSON.parse(JSON.stringify(toRaw(value))) as T
