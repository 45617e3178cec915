// The compiler's proof that Spanish says whatever English says, and nothing else.

type Loader = () => Promise<object>
type Said<L> = L extends () => Promise<infer Words> ? Words : never

/** Every key of some words, with the groups in which it lies. */
type Keys<Words> = {
  [K in keyof Words & string]: Words[K] extends string ? K : `${K}.${Keys<Words[K]>}`
}[keyof Words & string]

/** Spanish has a plural form for millions, which English has not. */
type InSpanish<Key> = Key | (Key extends `${infer Beginning}_other` ? `${Beginning}_many` : never)

type Difference<A, B> = Exclude<A, B> | Exclude<B, A>
type Differing<En, Es> = {
  [N in keyof En & keyof Es]: Difference<InSpanish<Keys<Said<En[N]>>>, Keys<Said<Es[N]>>>
}[keyof En & keyof Es]

/** Nothing to ask for where both languages have the same keys; otherwise the keys that are missing in one of them. */
type Same<En, Es> = [Differing<En, Es>] extends [never] ? unknown : { readonly missing: Differing<En, Es> }

/** Puts the words of both languages side by side; what one of them lacks does not compile. */
export function inBothLanguages<
  const En extends Readonly<Record<string, Loader>>,
  const Es extends Readonly<Record<keyof En, Loader>>,
>(en: En, es: Es & Same<En, Es>): { readonly en: En; readonly es: Es } {
  return { en, es }
}
