// What fields have in common whose answer is what stands beside the question, in its row: their answers say nothing themselves.

export const answeredBeside = {
  blank: () => ({}),
  wordLimits: () => null,
  options: () => null,
  isBlank: () => true,
  written: () => '',
  plainText: () => '',
  texts: () => [],
  render: () => '',
}
