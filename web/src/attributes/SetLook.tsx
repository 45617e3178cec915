// A set of attributes as a student meets it: what each means, and its steps to try. Nothing is saved here.
import { ratingQuestion } from '@valise/core/attributes'
import type { Attribute, AttributeSetContent } from '@valise/core/attributes'
import { textIn } from '@valise/core/people'
import { useId, useState } from 'react'
import { useTranslation } from 'react-i18next'
import { Empty } from '../ui/Empty.tsx'
import { RatingSteps } from './RatingSteps.tsx'
import styles from './Attributes.module.css'

interface SetLookProps {
  readonly content: AttributeSetContent
  /** Which attribute is looked at; all, where it is left out. */
  readonly onlyId?: string | null
}

export function SetLook({ content, onlyId = null }: SetLookProps) {
  const { t } = useTranslation('attributes')
  const { attributes } = content
  const only = attributes.filter(({ id }) => id === onlyId)
  const shown = only.length > 0 ? only : attributes
  if (shown.length === 0) return <Empty>{t('look.empty')}</Empty>
  return shown.map((attribute) => (
    <AttributeLook key={attribute.id} content={content} attribute={attribute} />
  ))
}

/** Only the content matters here, and no version of it. */
const TRIED = { id: '00000000-0000-7000-8000-000000000000', n: 1 }

interface AttributeLookProps {
  readonly content: AttributeSetContent
  readonly attribute: Attribute
}

function AttributeLook({ content, attribute }: AttributeLookProps) {
  const { t, i18n } = useTranslation('attributes')
  const id = useId()
  const [chosenId, setChosenId] = useState<string | null>(null)
  const { steps = [] } = ratingQuestion({ ...TRIED, content }, attribute.id) ?? {}
  return (
    <section className={styles.look}>
      <h3 id={id}>{textIn(attribute.name, i18n.language) || t('look.unnamed')}</h3>
      <p>{textIn(attribute.meaning, i18n.language)}</p>
      <RatingSteps
        steps={steps}
        chosenId={chosenId}
        labelledBy={id}
        onChoose={(step) => setChosenId(step.id)}
      />
    </section>
  )
}
