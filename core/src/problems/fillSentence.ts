// Filling the values of a refusal into its sentence.

/** Values that a sentence names. */
export type ReasonParams = Readonly<Record<string, string | number>>

/** The English sentence with its values filled in; a value that is missing leaves its place empty. */
export function fillSentence(sentence: string, params: ReasonParams = {}): string {
  return sentence.replace(/\{\{(\w+)\}\}/g, (_, name: string) => String(params[name] ?? ''))
}
