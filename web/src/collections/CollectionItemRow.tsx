// One line of a collection: its grip, what it is, how firmly it is held, and its verbs.
import { useSortable } from '@dnd-kit/sortable'
import { CSS } from '@dnd-kit/utilities'
import Button from '@mui/material/Button'
import IconButton from '@mui/material/IconButton'
import Link from '@mui/material/Link'
import {
  IconArrowDown,
  IconArrowUp,
  IconEyeOff,
  IconGripVertical,
  IconNeedleThread,
} from '@tabler/icons-react'
import { isDraft, LONGEST_DIVIDER } from '@valise/core/collections'
import type { CollectionItem, HeldThing } from '@valise/core/collections'
import { screenOf } from '@valise/core/things'
import { useTranslation } from 'react-i18next'
import { Link as RouterLink } from 'react-router'
import { uiByKind, useThingWords } from '../things/index.ts'
import { InlineTitle } from '../ui/InlineTitle.tsx'
import { offerUndo } from '../ui/footNote.ts'
import { useSavedText } from '../ui/useSavedText.ts'
import { useWhen } from '../ui/useWhen.ts'
import type { ChangeCollection } from './CollectionOutline.tsx'
import styles from './Collections.module.css'

interface CollectionItemRowProps {
  readonly item: CollectionItem
  readonly name: string
  /** What the item names; null for a divider. */
  readonly thing: HeldThing | null
  /** The item before it; null for the first. */
  readonly after: string | null
  /** Its place as people count, from 1, and how many there are. */
  readonly place: number
  readonly count: number
  /** Moves it by one place, up or down. */
  readonly onStep: (by: -1 | 1) => void
  /** Whether it is a heading that was just begun. */
  readonly isBegun: boolean
  readonly onChange: ChangeCollection
}

export function CollectionItemRow({
  item,
  name,
  thing,
  after,
  place,
  count,
  onStep,
  isBegun,
  onChange,
}: CollectionItemRowProps) {
  const { t } = useTranslation('collections')
  const { setNodeRef, setActivatorNodeRef, attributes, listeners, transform, transition, isDragging } =
    useSortable({ id: item.id })
  const style = { transform: CSS.Translate.toString(transform), transition }
  const { id, isHidden } = item
  return (
    <li ref={setNodeRef} style={style} data-kind={item.kind} data-lifted={isDragging} data-hidden={isHidden}>
      <button
        ref={setActivatorNodeRef}
        type="button"
        className={styles.grip}
        {...attributes}
        {...listeners}
        aria-label={t('outline.grip', { name, place, count })}
        aria-roledescription={t('outline.role')}
      >
        <IconGripVertical size={16} stroke={1.7} aria-hidden="true" />
      </button>
      <div className={styles.what}>
        {item.kind === 'divider' ? (
          <DividerTitle id={id} title={item.title} isBegun={isBegun} onChange={onChange} />
        ) : (
          <ThingTitle thing={thing} name={name} isHidden={isHidden} />
        )}
      </div>
      <div className={styles.verbs}>
        <IconButton
          size="small"
          aria-label={t('outline.up', { name, place, count })}
          disabled={place === 1}
          onClick={() => onStep(-1)}
        >
          <IconArrowUp size={16} stroke={1.7} />
        </IconButton>
        <IconButton
          size="small"
          aria-label={t('outline.down', { name, place, count })}
          disabled={place === count}
          onClick={() => onStep(1)}
        >
          <IconArrowDown size={16} stroke={1.7} />
        </IconButton>
        <Button
          variant="text"
          size="small"
          aria-label={t(isHidden ? 'outline.showOf' : 'outline.hideOf', { name })}
          onClick={() => onChange([{ op: 'set-hidden', id, isHidden: !isHidden }])}
        >
          {t(isHidden ? 'outline.show' : 'outline.hide')}
        </Button>
        <Button
          variant="text"
          size="small"
          aria-label={t('outline.takeOutOf', { name })}
          onClick={() => {
            onChange([{ op: 'remove', id }])
            offerUndo(t('outline.removed', { name }), () => onChange(putBack(item, after)))
          }}
        >
          {t('outline.takeOut')}
        </Button>
      </div>
    </li>
  )
}

/** Back where it was, or to the beginning where what stood before it is gone too. */
function putBack(item: CollectionItem, after: string | null) {
  return (items: readonly CollectionItem[]) => [
    { op: 'insert' as const, item, after: items.some(({ id }) => id === after) ? after : null },
  ]
}

interface DividerTitleProps extends Pick<CollectionItemRowProps, 'isBegun' | 'onChange'> {
  readonly id: string
  readonly title: string
}

function DividerTitle({ id, title, isBegun, onChange }: DividerTitleProps) {
  const { t } = useTranslation('collections')
  const saved = useSavedText(title, (text) => onChange([{ op: 'name-divider', id, title: text }]))
  const leave = () => {
    // A heading that was begun and not named was not wanted.
    if (isBegun && title === '' && saved.text.trim() === '') onChange([{ op: 'remove', id }])
    else saved.leave()
  }
  return (
    <div className={styles.divider}>
      <InlineTitle
        label={t('outline.dividerName')}
        placeholder={t('outline.dividerHint')}
        value={saved.text}
        most={LONGEST_DIVIDER}
        onChange={saved.change}
        isFocused={isBegun}
        onBlur={leave}
      />
    </div>
  )
}

interface ThingTitleProps extends Pick<CollectionItemRowProps, 'thing' | 'name'> {
  readonly isHidden: boolean
}

function ThingTitle({ thing, name, isHidden }: ThingTitleProps) {
  const { t } = useTranslation(['collections', 'things'])
  const when = useWhen()
  const words = useThingWords()
  if (!thing) return null
  const { kind, publishedAt, binnedAt, isNewer } = thing
  const { icon: ThingIcon } = uiByKind[kind]
  const state = () => {
    if (binnedAt !== null) return t('outline.inBin')
    if (isDraft(thing)) return t('things:pages.draft')
    if (publishedAt === null) return words.of(kind).name
    return t(isNewer ? 'things:pages.newer' : 'things:pages.published', { date: when.date(publishedAt) })
  }
  return (
    <>
      <ThingIcon size={18} stroke={1.7} aria-hidden="true" />
      <div>
        <Link component={RouterLink} to={screenOf(kind, thing.id)}>
          {name}
        </Link>
        <small data-state={isDraft(thing) ? 'draft' : 'there'}>
          {isDraft(thing) ? <IconNeedleThread size={15} stroke={1.7} aria-hidden="true" /> : null}
          {state()}
        </small>
        {isHidden ? (
          <small data-state="hidden">
            <IconEyeOff size={15} stroke={1.7} aria-hidden="true" />
            {t('outline.hidden')}
          </small>
        ) : null}
      </div>
    </>
  )
}
