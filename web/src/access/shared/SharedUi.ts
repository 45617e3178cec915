// What a kind of things that passes are given for brings to the sharing screens.

export interface SharedUi {
  /** Why somebody sees it, beside the pass. */
  readonly why: 'why.page' | 'why.collection'
  /** What holds of a pass on it. */
  readonly rests: 'give.same' | 'give.restsCollection'
  /** Where others read it. @param topId the collection that the pass is on, where it is not on the thing itself */
  readAddress(id: string, topId: string | undefined): string
}
