import { evidenceKinds } from '@valise/core/evidence'
import { renderWords } from '../../testing/renderWords.tsx'
import { NOW } from '../../testing/samples.ts'
import { useEvidenceWords } from './useEvidenceWords.ts'

describe('an item', () => {
  function Said({ kind, title }: { readonly kind: (typeof evidenceKinds)[number]; readonly title: string }) {
    const words = useEvidenceWords()
    return <p>{words.title({ kind, title, madeAt: NOW })}</p>
  }

  it('is called by its title, or by what it is and when it was made', () => {
    expect(renderWords(<Said kind="picture" title="Heron" />)).toBe('Heron')
    expect(renderWords(<Said kind="picture" title="" />)).toBe('Picture from 26 Nov')
    for (const language of ['en', 'es'] as const) {
      const names = evidenceKinds.map((kind) => renderWords(<Said kind={kind} title="" />, { language }))
      expect(new Set(names).size).toBe(evidenceKinds.length)
    }
  })
})
