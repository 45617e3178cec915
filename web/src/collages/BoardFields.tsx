// The board itself: its size and its ground.
import Button from '@mui/material/Button'
import { IconPhoto } from '@tabler/icons-react'
import { collageColours, collageSizes } from '@valise/core/pictures'
import type { CollageColour, CollageSize, Pictured } from '@valise/core/pictures'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { SelectField } from '../ui/SelectField.tsx'
import { AddPictures } from './AddPictures.tsx'
import { ColourField } from './ColourField.tsx'
import type { Arranging } from './useArranging.ts'
import styles from './Collage.module.css'

interface BoardFieldsProps {
  readonly arranging: Arranging
  readonly onMeet: (pictures: readonly Pictured[]) => void
}

export function BoardFields({ arranging, onMeet }: BoardFieldsProps) {
  const { t } = useTranslation('collage')
  const { collage, saveCollage } = arranging
  const { background } = collage
  const [isChoosing, setIsChoosing] = useState(false)
  return (
    <div className={styles.section}>
      <SelectField
        label={t('fields.board')}
        value={collage.size}
        fullWidth
        choices={collageSizes.map((size) => [size, t(`sizes.${size}`)] as const)}
        // One of the sizes that are offered.
        onChange={(size) => saveCollage({ ...collage, size: size as CollageSize })}
      />
      <ColourField
        label={t('fields.ground')}
        value={background.kind === 'colour' ? background.colour : 'none'}
        choices={background.kind === 'colour' ? collageColours : (['none', ...collageColours] as const)}
        onChange={(colour: CollageColour | 'none') => {
          if (colour !== 'none') saveCollage({ ...collage, background: { kind: 'colour', colour } })
        }}
      />
      <Button
        size="small"
        startIcon={<IconPhoto size={18} stroke={1.7} />}
        onClick={() => setIsChoosing(true)}
      >
        {t('ground.picture')}
      </Button>
      {isChoosing ? (
        <AddPictures
          isSingle
          onClose={() => setIsChoosing(false)}
          onChoose={(pictures) => {
            const [picture] = pictures
            if (!picture) return
            onMeet(pictures)
            const { evidenceId, n } = picture
            saveCollage({ ...collage, background: { kind: 'picture', evidenceId, n } })
          }}
        />
      ) : null}
    </div>
  )
}
