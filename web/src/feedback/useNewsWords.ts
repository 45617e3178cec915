// News in words.
import type { NewsItem } from '@valise/core/feedback'
import { classRoles } from '@valise/core/people'
import { useTranslation } from 'react-i18next'

export function useNewsWords(): (item: NewsItem) => string {
  const { t } = useTranslation('feedback')
  return ({ kind, params }) => {
    switch (kind) {
      case 'joined-class':
      case 'left-class': {
        const role = classRoles.find((one) => one === params['role']) ?? 'student'
        return t(`news.${kind}_${role}`, { className: params['className'] ?? '' })
      }
      case 'opened-to-me':
        return t(
          params['kind'] === 'collection' ? 'news.opened-to-me_collection' : 'news.opened-to-me_page',
          {
            name: params['name'] ?? '',
          },
        )
      case 'password-changed':
      case 'administrator-made':
        return t(`news.${kind}`)
    }
  }
}
