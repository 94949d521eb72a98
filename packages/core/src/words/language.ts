import { en, type Words } from './en/index.ts'

/** The language that everything is said in. */
export const words: Words = en
