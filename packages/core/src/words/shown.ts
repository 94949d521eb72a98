/** What a sentence shows: a number, or a text that is formatted already. */
export type Shown = string | number
