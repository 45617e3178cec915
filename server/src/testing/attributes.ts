// A set of attributes for tests.
import type { AttributeSetContent } from '@valise/core/attributes'

/** Three steps, and two attributes. */
export const fieldAttributes: AttributeSetContent = {
  title: { en: 'Field Attributes', es: 'Cualidades de campo' },
  about: {},
  steps: [
    { id: 's1', label: { en: 'Not yet' } },
    { id: 's2', label: { en: 'With help' } },
    { id: 's3', label: { en: 'On my own' } },
  ],
  attributes: [
    {
      id: 'notice',
      name: { en: 'Noticing' },
      meaning: { en: 'Seeing what is there' },
      looks: { s1: { en: 'I walk past it.' } },
    },
    { id: 'ask', name: { en: 'Asking before acting' }, meaning: {}, looks: {} },
  ],
}
