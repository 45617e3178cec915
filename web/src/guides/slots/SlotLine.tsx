// One thing in a slot, with the way to take it out again.
import { IconX } from '@tabler/icons-react'
import type { ReactNode } from 'react'
import { useTranslation } from 'react-i18next'

interface SlotLineProps {
  readonly title: string
  readonly onRemove: () => void
  readonly children: ReactNode
}

export function SlotLine({ title, onRemove, children }: SlotLineProps) {
  const { t } = useTranslation('guides')
  return (
    <li>
      <div>{children}</div>
      <button type="button" aria-label={t('slot.removeOf', { title })} onClick={onRemove}>
        <IconX size={16} stroke={1.8} aria-hidden="true" />
        {t('slot.remove')}
      </button>
    </li>
  )
}
