// Filling the values of a refusal into its sentence.

/** The values that a sentence mentions. */
export type ReasonParams = Readonly<Record<string, string | number>>

/** Fills the values into an English sentence; a missing value leaves its place empty. */
export function fillSentence(sentence: string, params: ReasonParams = {}): string {
  return sentence.replace(/\{\{(\w+)\}\}/g, (_, name: string) => String(params[name] ?? ''))
}
