// For ESLint: a long component gives its logic to hooks or to the core, so that it can be read as what it shows.

const LONG = 60
const MOST_LOGIC = 40

const linesOf = ({ loc }) => loc.end.line - loc.start.line + 1

/** Counts the lines before the first statement that returns what is shown. */
function logicOf(body) {
  const shown = body.body.findLast(({ type }) => type === 'ReturnStatement')
  return shown ? shown.loc.start.line - body.loc.start.line - 1 : linesOf(body)
}

export const lightComponents = {
  rules: {
    'light-components': {
      meta: {
        type: 'suggestion',
        schema: [],
        messages: { heavy: 'Give the logic of {{name}} to a hook or to the core.' },
      },
      create: (context) => ({
        FunctionDeclaration: (node) => {
          const name = node.id?.name ?? ''
          if (!/^[A-Z]/.test(name) || linesOf(node) <= LONG || logicOf(node.body) <= MOST_LOGIC) return
          context.report({ node: node.id, messageId: 'heavy', data: { name } })
        },
      }),
    },
  },
}
