// A bare tus server to compare with: it keeps the bytes, syncs and hashes them once, and does nothing else.
import { createHash } from 'node:crypto'
import { createReadStream } from 'node:fs'
import { open } from 'node:fs/promises'
import { createServer } from 'node:http'
import { join } from 'node:path'
import { pipeline } from 'node:stream/promises'
import { FileStore } from '@tus/file-store'
import { Server } from '@tus/server'

const [folder = ''] = process.argv.slice(2)
const tus = new Server({
  path: '/api/uploads',
  relativeLocation: true,
  datastore: new FileStore({ directory: folder }),
  onUploadFinish: async (_request, upload) => {
    const path = join(folder, upload.id)
    const file = await open(path, 'r+')
    await file.sync()
    await file.close()
    const hash = createHash('sha256')
    await pipeline(createReadStream(path), hash)
    hash.digest('hex')
    return {}
  },
})
const server = createServer((request, response) => void tus.handle(request, response))
server.listen(0, '127.0.0.1', () => process.stdout.write(`ready ${server.address().port}\n`))
