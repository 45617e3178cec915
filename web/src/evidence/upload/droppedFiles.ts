// The files of a drop, those in dropped folders included.

/** A file that the device named but did not let Valise read; it stays in the list so that it can be reported. */
const unreadable = new WeakSet<File>()

export function isUnreadable(file: File): boolean {
  return unreadable.has(file)
}

/** Reads what was dropped. Call it in the drop handler: the browser forgets it afterwards. */
export async function readDrop(transfer: DataTransfer): Promise<File[]> {
  const entries = [...transfer.items].map((item) => item.webkitGetAsEntry()).filter((entry) => entry !== null)
  if (entries.length === 0) return [...transfer.files]
  return (await Promise.all(entries.map(readEntry))).flat()
}

/** Returns whether files are being dragged, and not text or a picture of the page itself. */
export function holdsFiles(transfer: DataTransfer | null): transfer is DataTransfer {
  return transfer?.types.includes('Files') ?? false
}

async function readEntry(entry: FileSystemEntry): Promise<File[]> {
  try {
    if (isFile(entry)) return [await new Promise<File>((resolve, reject) => entry.file(resolve, reject))]
    return isFolder(entry) ? await readFolder(entry) : []
  } catch {
    const file = new File([], entry.name)
    unreadable.add(file)
    return [file]
  }
}

async function readFolder(folder: FileSystemDirectoryEntry): Promise<File[]> {
  const reader = folder.createReader()
  const found: FileSystemEntry[] = []
  for (;;) {
    // A folder is read in batches, until one is empty.
    const some = await new Promise<FileSystemEntry[]>((resolve, reject) =>
      reader.readEntries(resolve, reject),
    )
    if (some.length === 0) break
    found.push(...some)
  }
  // Names that begin with a dot are the system's own notes.
  return (await Promise.all(found.filter(({ name }) => !name.startsWith('.')).map(readEntry))).flat()
}

const isFile = (entry: FileSystemEntry): entry is FileSystemFileEntry => entry.isFile
const isFolder = (entry: FileSystemEntry): entry is FileSystemDirectoryEntry => entry.isDirectory
