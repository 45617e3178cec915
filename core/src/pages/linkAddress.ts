// Which addresses may be links.

const LONGEST_ADDRESS = 2000

/** Returns whether an address may be linked: web and mail only, nothing that a browser would run. */
export function isLinkAddress(href: string): boolean {
  return (
    /^(https?:\/\/[^\s/]|mailto:[^\s]+@)/i.test(href) &&
    href.length <= LONGEST_ADDRESS &&
    !hasControlCharacter(href)
  )
}

function hasControlCharacter(text: string): boolean {
  return [...text].some((character) => character.charCodeAt(0) < 32)
}
