// One question while its sheet is written: a line of the list, and all that can be set while it is open.
import { useSortable } from '@dnd-kit/sortable'
import { CSS } from '@dnd-kit/utilities'
import Button from '@mui/material/Button'
import IconButton from '@mui/material/IconButton'
import { IconArrowDown, IconArrowUp, IconGripVertical, IconTrash } from '@tabler/icons-react'
import { LONGEST_ASKED, LONGEST_HINT } from '@valise/core/pages'
import type { FieldKind, Question } from '@valise/core/pages'
import { textIn } from '@valise/core/people'
import { useTranslation } from 'react-i18next'
import { SelectField } from '../ui/SelectField.tsx'
import { fieldUiOf } from './fields/uiByKind.ts'
import { LocalizedField } from './LocalizedField.tsx'
import styles from './Sheets.module.css'

interface QuestionCardProps {
  readonly question: Question
  /** Its place, from 1, and how many there are. */
  readonly n: number
  readonly count: number
  readonly languages: readonly ('en' | 'es')[]
  readonly isOpen: boolean
  readonly onToggle: () => void
  readonly onChange: (question: Question) => void
  readonly onRemove: () => void
  readonly onStep: (by: -1 | 1) => void
}

export function QuestionCard(props: QuestionCardProps) {
  const { question, n, count, isOpen, onToggle, onRemove, onStep } = props
  const { t, i18n } = useTranslation('sheets')
  const sortable = useSortable({ id: question.id })
  const { setNodeRef, setActivatorNodeRef, attributes, listeners, transform, transition } = sortable
  const KindIcon = fieldUiOf(question).icon
  const asks = textIn(question.asks, i18n.language) || t('answer.unnamed')
  return (
    <li
      ref={setNodeRef}
      className={styles.card}
      data-open={isOpen}
      data-dragging={sortable.isDragging}
      style={{ transform: CSS.Translate.toString(transform), transition }}
    >
      <div className={styles.cardHead}>
        <IconButton
          ref={setActivatorNodeRef}
          aria-label={t('build.grip', { n })}
          {...attributes}
          {...listeners}
        >
          <IconGripVertical size={17} stroke={1.7} />
        </IconButton>
        <button type="button" className={styles.cardTitle} aria-expanded={isOpen} onClick={onToggle}>
          <KindIcon size={18} stroke={1.7} aria-hidden="true" />
          <span>
            <b>
              {n}. {asks}
            </b>
            <small>
              {t(`kinds.${question.kind}`)}, {t(`weight.${question.weight}`).toLowerCase()}
            </small>
          </span>
        </button>
        <IconButton aria-label={t('build.up', { n })} disabled={n === 1} onClick={() => onStep(-1)}>
          <IconArrowUp size={17} stroke={1.7} />
        </IconButton>
        <IconButton aria-label={t('build.down', { n })} disabled={n === count} onClick={() => onStep(1)}>
          <IconArrowDown size={17} stroke={1.7} />
        </IconButton>
      </div>
      {isOpen ? (
        <div className={styles.cardBody}>
          <Settings {...props} />
          <Button
            variant="text"
            color="error"
            startIcon={<IconTrash size={17} stroke={1.7} />}
            onClick={onRemove}
          >
            {t('build.remove')}
          </Button>
        </div>
      ) : null}
    </li>
  )
}

function Settings({ question, languages, onChange }: QuestionCardProps) {
  const { t } = useTranslation('sheets')
  const { Settings: OfKind } = fieldUiOf<FieldKind>(question)
  return (
    <>
      <LocalizedField
        label={t('build.asks')}
        most={LONGEST_ASKED}
        languages={languages}
        isFocused={Object.keys(question.asks).length === 0}
        value={question.asks}
        onChange={(asks) => onChange({ ...question, asks })}
      />
      <LocalizedField
        label={t('build.hint')}
        most={LONGEST_HINT}
        languages={languages}
        isLong
        value={question.hint}
        onChange={(hint) => onChange({ ...question, hint })}
      />
      <SelectField
        label={t('build.weight')}
        value={question.weight}
        choices={[
          ['must', t('weight.must')],
          ['should', t('weight.should')],
        ]}
        onChange={(weight) => onChange({ ...question, weight: weight === 'must' ? 'must' : 'should' })}
        sx={{ width: 220 }}
      />
      {OfKind ? (
        <OfKind
          question={question}
          languages={languages}
          // The settings of a kind give back a question of that kind, which the compiler does not follow.
          onChange={(next) => onChange(next as Question)}
        />
      ) : null}
    </>
  )
}
