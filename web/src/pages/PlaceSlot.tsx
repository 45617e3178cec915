// A place where what one holds can be put: a stitched slot that says what Enter does, shown only while one holds something.
import { useTranslation } from 'react-i18next'
import { StitchedBox } from '../ui/StitchedBox.tsx'
import { isSamePlace } from './places.ts'
import type { PagePlace } from './places.ts'
import { useHeldName } from './useHeldName.ts'
import { usePage } from './usePageEditor.ts'
import styles from './PlaceSlot.module.css'

export function PlaceSlot({ place }: { readonly place: PagePlace }) {
  const { t } = useTranslation('pages')
  const { held, target, put } = usePage()
  const name = useHeldName()
  if (!held) return null

  const isTarget = isSamePlace(target, place)
  const words = isTarget ? t('put.here', { name }) : t('put.orHere')
  return (
    <div className={styles.slot} data-kind={place.kind} data-target={isTarget}>
      <StitchedBox className={styles.box ?? ''}>
        <button type="button" tabIndex={-1} onClick={() => put(place)}>
          {words}
        </button>
      </StitchedBox>
    </div>
  )
}
