// The questions and the free text of what one says of an item. Everything is saved by itself.
import Button from '@mui/material/Button'
import { countStatementWords } from '@valise/core/assignments'
import type { Draft } from '@valise/core/pages'
import { textIn } from '@valise/core/people'
import type { Asking } from '@valise/core/sheets'
import { useTranslation } from 'react-i18next'
import { OtherVersions, RefusedEdit } from '../saving/index.ts'
import { AnswerColumn, SheetField } from '../sheets/index.ts'
import { LanguageField, TextEditor } from '../text/index.ts'
import { Refusal } from '../ui/Refusal.tsx'
import { statementPath, statementsKey } from './queries.ts'
import { useStatement } from './useStatement.ts'
import styles from './Statement.module.css'
import '@valise/core/pages/paper.css'

interface StatementEditorProps {
  readonly id: string
  readonly draft: Draft
  readonly label: string
  readonly asked?: Asking
  readonly least?: number
}

export function StatementEditor({ id, draft: saved, label, asked, least }: StatementEditorProps) {
  const { t } = useTranslation('sheets')
  const { draft, sheet, told, isOnTheWay, acts, writing, answers, textPiece } = useStatement(
    id,
    saved,
    asked ?? null,
  )
  const { document, sync } = draft
  const place = statementPath(id)
  const column = { lang: document.lang, place, writing, beside: () => null, onPiece: acts.setPiece }
  const now = answers.filter(({ isAsked }) => isAsked)
  const earlier = answers.filter(({ isAsked }) => !isAsked)
  const count = countStatementWords(told)
  return (
    <div className={styles.editor}>
      <RefusedEdit draft={draft} />
      <OtherVersions path={place} queryKey={statementsKey(id)} draft={saved} sync={sync} />
      <div className={styles.how}>
        <SheetField
          label={t('statement.sheet')}
          value={document.sheet?.id ?? ''}
          {...(document.sheet && { title: document.sheet.title })}
          onChange={(sheetId) => void sheet.take(sheetId)}
        />
        <LanguageField
          label={t('statement.language')}
          value={document.lang}
          onChange={(lang) => sync.act([{ op: 'set-lang', lang }])}
        />
      </div>
      <Refusal error={sheet.error} />
      {sheet.isTooLong ? <p role="alert">{t('statement.full')}</p> : null}
      {asked && !isOnTheWay ? <Asked asked={asked} onTake={acts.takeAsked} /> : null}
      <AnswerColumn answers={now} heading="h3" {...column} />
      {earlier.length > 0 ? (
        <section className={styles.more}>
          <h3>{t('statement.earlier')}</h3>
          <AnswerColumn answers={earlier} heading="h4" {...column} />
        </section>
      ) : null}
      {textPiece ? (
        <section className={styles.more}>
          {now.length > 0 ? <h3>{t('statement.more')}</h3> : null}
          <div className={`paper ${styles.text}`} lang={document.lang}>
            <TextEditor
              text={textPiece.text}
              fromElsewhere={writing.fromElsewhere}
              registerFlush={writing.registerFlush}
              place={`${place}#${textPiece.id}`}
              isFocused={now.length === 0}
              label={now.length > 0 ? t('statement.more') : label}
              placeholder={t(now.length > 0 ? 'statement.moreHint' : 'statement.hint')}
              onText={(text) => acts.setPiece({ ...textPiece, text })}
            />
          </div>
        </section>
      ) : null}
      <p className={styles.count} data-enough={least === undefined || count >= least}>
        {least === undefined ? t('progress.words', { count }) : t('statement.count', { count, least })}
      </p>
    </div>
  )
}

/** Questions that an assignment asks, while one goes along others or none. */
function Asked({ asked, onTake }: { readonly asked: Asking; readonly onTake: () => void }) {
  const { t, i18n } = useTranslation('sheets')
  return (
    <div className={styles.asked}>
      <p>{t('statement.asked')}</p>
      <ol>
        {asked.content.questions.map(({ id, asks }) => (
          <li key={id}>{textIn(asks, i18n.language)}</li>
        ))}
      </ol>
      <Button size="small" onClick={onTake}>
        {t('statement.takeAsked')}
      </Button>
    </div>
  )
}
