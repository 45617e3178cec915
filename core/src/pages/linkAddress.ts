// Which addresses may be links.

const LONGEST_ADDRESS = 2000

/** Whether an address may be a link: the web, or a mailbox. Whatever a browser would run is not among them. */
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
