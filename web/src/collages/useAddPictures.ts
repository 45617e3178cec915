// Pictures to choose from for the board, those that are ticked, and the other ways to bring one.
import { useInfiniteQuery, useQuery, useQueryClient } from '@tanstack/react-query'
import { everything } from '@valise/core/evidence'
import type { EvidenceRow } from '@valise/core/evidence'
import { MOST_PICTURES_AT_ONCE } from '@valise/core/pictures'
import { useState } from 'react'
import { addFiles, chooseFiles } from '../evidence/upload/index.ts'
import { evidenceQueries, trayQueries } from '../evidence/base/index.ts'
import { gather } from '../gather/index.ts'
import { useLater } from '../ui/useLater.ts'
import { toPictured } from './toPictured.ts'
import type { AddPicturesProps } from './AddPictures.tsx'

export function useAddPictures({ isSingle = false, onChoose, onClose }: AddPicturesProps) {
  const client = useQueryClient()
  const [wanted, setWanted] = useState('')
  const later = useLater(wanted.trim())
  const list = useInfiniteQuery(evidenceQueries.found({ ...everything, kinds: ['picture'], words: later }))
  const { data: tray = [] } = useQuery(trayQueries.all())
  const [ticked, setTicked] = useState<readonly EvidenceRow[]>([])
  const found = list.data?.pages.flatMap((page) => page.items) ?? []
  const carried = later === '' ? tray.filter((item) => item.kind === 'picture') : []
  const items = [...carried, ...found.filter(({ id }) => !carried.some((one) => one.id === id))]
  const take = (rows: readonly EvidenceRow[]) => {
    onChoose(rows.flatMap(toPictured))
    onClose()
  }
  const press = (item: EvidenceRow) => {
    if (isSingle) return take([item])
    const isIn = ticked.some(({ id }) => id === item.id)
    if (isIn) setTicked(ticked.filter(({ id }) => id !== item.id))
    else if (ticked.length < MOST_PICTURES_AT_ONCE) setTicked([...ticked, item])
  }
  // What comes from outside is laid down as it arrives, so the dialog need not stay.
  const onSaved = (id: string) =>
    void client.fetchQuery(evidenceQueries.one(id)).then((item) => onChoose(toPictured(item)))
  const fromDevice = async () => {
    const files = await chooseFiles({ several: !isSingle, accept: 'image/*' })
    if (files.length === 0) return
    void addFiles(files, { onSaved })
    onClose()
  }
  const addFrom = (source: 'photo' | 'phone') => {
    gather(source, { onSaved })
    onClose()
  }
  return { wanted, setWanted, later, list, items, ticked, take, press, fromDevice, addFrom }
}
