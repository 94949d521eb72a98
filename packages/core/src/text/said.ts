/**
 * What is decided and not yet put into words: a code with what its sentence needs. `Facts` maps each code of a family to
 * its parameters; the sentences stand in `words`.
 */
export type Said<Facts> = { [C in keyof Facts]: { code: C } & Facts[C] }[keyof Facts]

/** The sentences of a family: one for each code, from its parameters. */
export type Sentences<Facts> = { [C in keyof Facts]: (facts: Facts[C]) => string }

/** Nothing but the code is needed for the sentence. */
export type Plain = Record<never, never>

/** What was refused, as it was decided: `said` is put into words where it is shown. Its message is its code, for logs. */
export class Refusal<S extends { code: PropertyKey } = { code: string }> extends Error {
  override name = 'Refusal'
  constructor(readonly said: S) {
    super(String(said.code))
  }
}
