// The records: who did what when, for administrators.
import { useInfiniteQuery } from '@tanstack/react-query'
import { recordActions } from '@valise/core/records'
import type { AuditRecord, RecordValue } from '@valise/core/records'
import { useTranslation } from 'react-i18next'
import { useSearchParams } from 'react-router'
import { DataTable } from '../ui/DataTable.tsx'
import { Empty } from '../ui/Empty.tsx'
import { Fetched } from '../ui/Fetched.tsx'
import { MoreButton } from '../ui/MoreButton.tsx'
import { Screen } from '../ui/Screen.tsx'
import { SelectField } from '../ui/SelectField.tsx'
import { useWhen } from '../ui/useWhen.ts'
import { recordQueries } from './queries.ts'
import styles from './RecordsScreen.module.css'

export function RecordsScreen() {
  const { t } = useTranslation(['records', 'app'])
  const [params, setParams] = useSearchParams()
  const action = recordActions.find((one) => one === params.get('action')) ?? ''
  const records = useInfiniteQuery(recordQueries.list(action))
  return (
    <Screen place={t('app:places.records')} sentence={t('title')} lead={t('lead')}>
      <div className={styles.filters}>
        <SelectField
          label={t('action')}
          value={action}
          choices={[['', t('anyAction')], ...recordActions.map((one) => [one, t(`actions.${one}`)] as const)]}
          onChange={(value) => setParams(value === '' ? {} : { action: value }, { replace: true })}
          sx={{ minWidth: 220 }}
        />
      </div>
      <Fetched query={records}>
        {({ pages }) => {
          const rows = pages.flatMap((page) => page.items)
          return rows.length === 0 ? <Empty>{t('empty')}</Empty> : <RecordTable rows={rows} />
        }}
      </Fetched>
      <MoreButton query={records} />
    </Screen>
  )
}

function RecordTable({ rows }: { readonly rows: readonly AuditRecord[] }) {
  const { t } = useTranslation('records')
  const when = useWhen()
  return (
    <DataTable
      label={t('title')}
      rows={rows}
      keyOf={(record) => record.id}
      columns={[
        { key: 'when', head: t('when'), width: '18%', cell: (record) => when.dayTime(record.at) },
        { key: 'who', head: t('who'), width: '24%', cell: (record) => <Who record={record} /> },
        { key: 'what', head: t('what'), cell: (record) => <What record={record} /> },
        { key: 'whom', head: t('whom'), width: '24%', cell: (record) => <Whom record={record} /> },
      ]}
    />
  )
}

function Who({ record }: { readonly record: AuditRecord }) {
  const { t } = useTranslation('records')
  const roles = ['administrator', 'lead', 'assessor', 'student', 'person', 'system', 'unknown'] as const
  const role = roles.find((one) => one === record.actorRole) ?? 'unknown'
  const nameless = role === 'system' ? t('theSystem') : t('nobody')
  return (
    <span className={styles.two}>
      {record.actorName ?? nameless}
      {role === 'system' ? null : <small>{t(`roles.${role}`)}</small>}
    </span>
  )
}

function Whom({ record }: { readonly record: AuditRecord }) {
  const { t } = useTranslation('records')
  if (record.subjectId === null) return t('nobody')
  const { subject } = record
  if (subject === 'pass' || subject === 'assignment' || subject === 'submission')
    return t(`subjects.${subject}`)
  return record.subjectName ?? t('goneSubject')
}

function What({ record }: { readonly record: AuditRecord }) {
  const { t, i18n } = useTranslation('records')
  const when = useWhen()
  const wordsFor = (key: string, otherwise: string) => {
    const words: unknown = i18n.getResource(i18n.language, 'records', key)
    return typeof words === 'string' ? words : otherwise
  }
  const nameOf = (setting: string) => wordsFor(`settings.${setting}`, setting)
  const wordsOf = (value: RecordValue) => {
    if (value === null || value === '') return t('none')
    if (typeof value === 'boolean') return t(`values.${value}`)
    const text = String(value)
    return /^\d{4}-\d\d-\d\d$/.test(text) ? when.localDay(text) : wordsFor(`values.${text}`, text)
  }
  const changeOf = (setting: string, before: RecordValue, after: RecordValue) => {
    const words = { name: nameOf(setting), before: wordsOf(before), after: wordsOf(after) }
    return before === null ? t('set', words) : t('change', words)
  }
  return (
    <span className={styles.two}>
      {t(`actions.${record.action}`)}
      {Object.entries(record.changes).map(([setting, [before, after]]) => (
        <small key={setting}>{changeOf(setting, before, after)}</small>
      ))}
    </span>
  )
}
