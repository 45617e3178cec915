// What a file's name says of its kind.

/** Returns the extension of a file name in lower case without the dot, or ''. */
export function extensionOf(fileName: string): string {
  return /\.([\p{L}\p{N}]{1,12})$/u.exec(fileName)?.[1]?.toLowerCase() ?? ''
}
