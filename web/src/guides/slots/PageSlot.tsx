// Pages that answer a question: what is published of them is read and handed in beside the copy.
import Button from '@mui/material/Button'
import Link from '@mui/material/Link'
import { IconFileText } from '@tabler/icons-react'
import { useInfiniteQuery } from '@tanstack/react-query'
import { isPageAnswer, MOST_CHOSEN_PAGES } from '@valise/core/pages'
import type { ChosenPage } from '@valise/core/pages'
import { screenOf } from '@valise/core/things'
import { Suspense, useState } from 'react'
import { useTranslation } from 'react-i18next'
import { Link as RouterLink } from 'react-router'
import { pageQueries } from '../../pages/index.ts'
import { LazyPageChooser } from '../../submissions/index.ts'
import { StitchedBox } from '../../ui/StitchedBox.tsx'
import type { SlotProps } from './Slot.tsx'
import { SlotLine } from './SlotLine.tsx'
import styles from '../Guides.module.css'

export function PageSlot({ editor, answer }: SlotProps) {
  const { t } = useTranslation('guides')
  const [isChoosing, setIsChoosing] = useState(false)
  const query = useInfiniteQuery(pageQueries.list())
  const known = query.data?.pages.flatMap(({ items }) => items) ?? []
  const { piece } = answer
  if (!isPageAnswer(piece)) return null
  const { pages } = piece.given.answer
  const set = (next: ChosenPage[]) =>
    editor.acts.setPiece({ ...piece, given: { ...piece.given, answer: { pages: next } } })
  const add = (ids: readonly string[]) => {
    const added = ids.flatMap((id) => {
      const page = known.find((one) => one.id === id)
      return page ? [{ id, title: page.title }] : []
    })
    set([...pages, ...added].slice(0, MOST_CHOSEN_PAGES))
    setIsChoosing(false)
  }
  return (
    <div className={styles.slot}>
      {pages.length === 0 ? <StitchedBox>{t('slot.page')}</StitchedBox> : null}
      <ul className={styles.slotLines}>
        {pages.map(({ id, title }) => {
          const page = known.find((one) => one.id === id)
          const name = page?.title || title || t('slot.untitledPage')
          return (
            <SlotLine key={id} title={name} onRemove={() => set(pages.filter((one) => one.id !== id))}>
              <Link component={RouterLink} to={screenOf('page', id)}>
                {name}
              </Link>
              {page?.publishedAt === null ? <small>{t('slot.notPublished')}</small> : null}
            </SlotLine>
          )
        })}
      </ul>
      {pages.length < MOST_CHOSEN_PAGES ? (
        <Button startIcon={<IconFileText size={18} stroke={1.7} />} onClick={() => setIsChoosing(true)}>
          {t('slot.choosePage')}
        </Button>
      ) : null}
      <Suspense fallback={null}>
        {isChoosing ? (
          <LazyPageChooser
            listed={pages.map(({ id }) => id)}
            onChoose={add}
            onClose={() => setIsChoosing(false)}
          />
        ) : null}
      </Suspense>
    </div>
  )
}
