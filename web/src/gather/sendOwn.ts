// Sends a file of one's own and waits until it is saved.
import { addFiles } from '../evidence/upload/index.ts'

export function sendOwn(file: File, isMine: boolean): Promise<void> {
  return new Promise((resolve, reject) => {
    void addFiles([file], { isMine, onArrived: () => resolve(), onRefused: reject })
  })
}
