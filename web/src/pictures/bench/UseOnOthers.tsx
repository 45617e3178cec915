// The same recipe for other pictures of a series: the chosen ones get it over what was done to them.
import { useQueryClient } from '@tanstack/react-query'
import type { EvidenceRow } from '@valise/core/evidence'
import type { PictureRecipe, Size } from '@valise/core/pictures'
import { useTranslation } from 'react-i18next'
import { ApiProblem, tellChanged } from '../../api/index.ts'
import { EvidenceChooser } from '../../evidence/list/index.ts'
import { putRecipe, readRecipe } from './queries.ts'
import { recipeForOther } from './recipeChanges.ts'

interface UseOnOthersProps {
  /** The picture whose recipe it is. */
  readonly except: string
  readonly recipe: PictureRecipe
  readonly original: Size
  /** What became of it. */
  readonly onSaid: (words: string) => void
  readonly onClose: () => void
}

export function UseOnOthers({ except, recipe, original, onSaid, onClose }: UseOnOthersProps) {
  const { t } = useTranslation('bench')
  const client = useQueryClient()
  const use = async (item: EvidenceRow) => {
    if (item.id === except) return
    const of = { id: item.id, n: item.version.n }
    try {
      const present = await readRecipe(of)
      const isSameSize =
        present.original.width === original.width && present.original.height === original.height
      await putRecipe(of, recipeForOther(recipe, isSameSize), present.revision)
      onSaid(t(isSameSize ? 'others.done' : 'others.doneInPart', { title: item.title }))
    } catch (error) {
      if (!(error instanceof ApiProblem)) throw error
      onSaid(t('others.failed', { title: item.title }))
    }
    await tellChanged(client, ['evidence'])
  }
  return <EvidenceChooser kinds={['picture']} onChoose={(item) => void use(item)} onClose={onClose} />
}
