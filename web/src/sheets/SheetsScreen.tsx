// All question sheets that one may use: one's own, those of one's classes, those that ship.
import Button from '@mui/material/Button'
import Link from '@mui/material/Link'
import { useQuery } from '@tanstack/react-query'
import { IconCopy, IconPlus } from '@tabler/icons-react'
import { screenOf } from '@valise/core/things'
import { textIn } from '@valise/core/people'
import { sheetSources } from '@valise/core/sheets'
import type { SheetRow } from '@valise/core/sheets'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { Link as RouterLink, useNavigate } from 'react-router'
import { Fetched } from '../ui/Fetched.tsx'
import { Refusal } from '../ui/Refusal.tsx'
import { Screen } from '../ui/Screen.tsx'
import { sheetQueries, useCreateSheet } from './queries.ts'
import { useWithin } from './useWithin.ts'
import { SheetLook } from './SheetLook.tsx'
import styles from './Sheets.module.css'

export function SheetsScreen() {
  const { t } = useTranslation('sheets')
  const sheets = useQuery(sheetQueries.list())
  const [lookedAt, setLookedAt] = useState<SheetRow | null>(null)
  const begin = useBegin()
  return (
    <Screen
      place={t('list.place')}
      {...useWithin()}
      sentence={t('list.sentence')}
      lead={t('list.lead')}
      act={
        <Button
          variant="contained"
          color="primary"
          loading={begin.isPending}
          startIcon={<IconPlus size={18} stroke={1.7} />}
          onClick={() => begin.begin()}
        >
          {t('list.new')}
        </Button>
      }
    >
      <Refusal error={begin.error} />
      <Fetched query={sheets}>
        {(list) =>
          sheetSources.map((source) => {
            const some = list.filter((sheet) => sheet.source === source)
            return some.length === 0 ? null : (
              <section key={source} className={styles.source}>
                <h2>{t(`sources.${source}`)}</h2>
                <ul>
                  {some.map((sheet) => (
                    <SheetLine
                      key={sheet.id}
                      sheet={sheet}
                      onLook={() => setLookedAt(sheet)}
                      onCopy={() => begin.begin(sheet)}
                    />
                  ))}
                </ul>
              </section>
            )
          })
        }
      </Fetched>
      {lookedAt ? <SheetLook sheet={lookedAt} onClose={() => setLookedAt(null)} /> : null}
    </Screen>
  )
}

interface SheetLineProps {
  readonly sheet: SheetRow
  readonly onLook: () => void
  readonly onCopy: () => void
}

function SheetLine({ sheet, onLook, onCopy }: SheetLineProps) {
  const { t, i18n } = useTranslation('sheets')
  const { id, title, about, questions, source, ownerName, n, isNewer } = sheet
  const name = textIn(title, i18n.language) || t('list.untitled')
  const state = n === 0 ? 'draft' : isNewer ? 'newer' : null
  const facts = [
    t('list.questions', { count: questions }),
    ...(ownerName === null ? [] : [t('list.by', { name: ownerName })]),
    ...(state === null ? [] : [t(`list.${state}`)]),
  ]
  return (
    <li data-draft={n === 0}>
      <div>
        {source === 'mine' ? (
          <Link component={RouterLink} to={screenOf('sheet', id)}>
            {name}
          </Link>
        ) : (
          <Link component="button" type="button" onClick={onLook}>
            {name}
          </Link>
        )}
        <p>{textIn(about, i18n.language)}</p>
        <small>{facts.join(', ')}</small>
      </div>
      <Button
        variant="text"
        startIcon={<IconCopy size={17} stroke={1.7} />}
        aria-label={t('list.copyOf', { name })}
        onClick={onCopy}
      >
        {t('list.copy')}
      </Button>
    </li>
  )
}

/** Begins a sheet, empty or with the questions of another one, and goes there. */
function useBegin() {
  const { t } = useTranslation('sheets')
  const navigate = useNavigate()
  const create = useCreateSheet()
  const begin = (from?: SheetRow) => {
    const titles = Object.entries(from?.title ?? {}).map(([language, title]) => [
      language,
      t('list.copied', { title, lng: language }),
    ])
    create.mutate(
      {
        title: Object.fromEntries(titles),
        ...(from && { from: from.id }),
        key: crypto.randomUUID(),
      },
      { onSuccess: ({ id }) => void navigate(screenOf('sheet', id)) },
    )
  }
  return { begin, isPending: create.isPending, error: create.error }
}
