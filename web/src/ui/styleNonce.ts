// The word by which the page's security policy knows styles that are made at run time.
export function styleNonce(): string | undefined {
  return document.querySelector<HTMLMetaElement>('meta[name="csp-nonce"]')?.content
}
