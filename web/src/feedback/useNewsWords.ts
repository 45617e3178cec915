// News in words.
import type { NewsItem } from '@valise/core/feedback'
import { classRoles, textIn } from '@valise/core/people'
import { useTranslation } from 'react-i18next'

export function useNewsWords(): (item: NewsItem) => string {
  const { t, i18n } = useTranslation('feedback')
  return ({ kind, params }) => {
    switch (kind) {
      case 'joined-class':
      case 'left-class': {
        const role = classRoles.find((one) => one === params['role']) ?? 'student'
        return t(`news.${kind}_${role}`, { className: params['className'] ?? '' })
      }
      case 'shared-with-me':
        return t(
          params['kind'] === 'collection' ? 'news.shared-with-me_collection' : 'news.shared-with-me_page',
          {
            name: params['name'] ?? '',
          },
        )
      case 'assignment-set':
      case 'copy-sealed':
      case 'sealing-failed':
      case 'copy-opened':
      case 'changes-asked':
      case 'work-accepted':
      case 'feedback-given':
        return t(`news.${kind}`, {
          title: titleIn(params['name'], i18n.language),
          className: params['className'] ?? '',
          number: params['number'] ?? '',
          by: params['by'] ?? '',
        })
      case 'password-changed':
      case 'administrator-made':
        return t(`news.${kind}`)
    }
  }
}

/** Titles of assignments travel in all of their languages. */
function titleIn(title: string | undefined, language: string): string {
  return title === undefined ? '' : textIn(JSON.parse(title), language)
}
