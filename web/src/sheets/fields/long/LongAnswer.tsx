// Answering in paragraphs. The editor stands there while one writes; before that, what is written: a sheet may have a
// hundred such questions.
import { renderText } from '@valise/core/pages'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { TextEditor } from '../../../text/index.ts'
import type { AnswerProps } from '../FieldUi.ts'
import styles from '../../Answers.module.css'

export function LongAnswer(props: AnswerProps<'long'>) {
  const { given, label, labelledBy, describedBy, lang, place, writing, onAnswer } = props
  const { t } = useTranslation('sheets')
  const [isOpen, setIsOpen] = useState(false)
  if (!isOpen)
    return (
      <div
        className={`paper ${styles.text}`}
        role="textbox"
        aria-multiline="true"
        tabIndex={0}
        aria-labelledby={labelledBy}
        aria-describedby={describedBy}
        lang={lang}
        onFocus={() => setIsOpen(true)}
        // The core's renderer builds it from the grammar and escapes all text.
        dangerouslySetInnerHTML={{ __html: renderText(given.answer.text, 2) }}
      />
    )
  return (
    <div
      className={`paper ${styles.text}`}
      lang={lang}
      onBlur={({ currentTarget, relatedTarget }) => {
        // Its buttons and menus belong to it; the window itself may lose the focus and get it back.
        if (relatedTarget !== null && !currentTarget.contains(relatedTarget)) setIsOpen(false)
      }}
    >
      <TextEditor
        text={given.answer.text}
        fromElsewhere={writing.fromElsewhere}
        registerFlush={writing.registerFlush}
        place={place}
        label={label}
        placeholder={t('answer.write')}
        onText={(text) => onAnswer({ text })}
      />
    </div>
  )
}
