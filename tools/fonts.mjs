// npm run fonts: cuts the fonts of the interface to what it uses, into web/src/ui/fonts. Only needed when a font changes.
import { mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { dirname, join } from 'node:path'
import { createRequire } from 'node:module'
import subsetFont from 'subset-font'
import { root } from './lib/run.mjs'

const fromWeb = createRequire(join(root, 'web/package.json'))
const out = join(root, 'web/src/ui/fonts')

/** Axes that nobody moves stand still; weights and sizes go as far as the interface does. */
const softUpright = { SOFT: 70, WONK: 0, wght: { min: 440, max: 600 }, opsz: { min: 14, max: 36 } }
const softItalic = { SOFT: 70, WONK: 0, wght: 440, opsz: 16 }

const fonts = [
  {
    ...{ family: 'Fraunces Variable', package: 'fraunces', style: 'normal', weight: '440 600' },
    ...{ css: 'full.css', axes: softUpright, sets: ['latin', 'latin-ext', 'vietnamese'] },
  },
  {
    ...{ family: 'Fraunces Variable', package: 'fraunces', style: 'italic', weight: '440' },
    ...{ css: 'full-italic.css', axes: softItalic, sets: ['latin', 'latin-ext', 'vietnamese'] },
  },
  {
    ...{ family: 'Atkinson Hyperlegible Next Variable', package: 'atkinson-hyperlegible-next' },
    ...{ style: 'normal', weight: '400 700', css: 'wght.css', sets: ['latin', 'latin-ext'] },
    axes: { wght: { min: 400, max: 700 } },
  },
  {
    ...{ family: 'Atkinson Hyperlegible Mono Variable', package: 'atkinson-hyperlegible-mono' },
    ...{ style: 'normal', weight: '400 700', css: 'wght.css', sets: ['latin', 'latin-ext'] },
    axes: { wght: { min: 400, max: 700 } },
  },
]

rmSync(out, { recursive: true, force: true })
mkdirSync(out, { recursive: true })
const rules = []
for (const { family, package: name, style, weight, css, axes, sets } of fonts) {
  const folder = dirname(fromWeb.resolve(`@fontsource-variable/${name}/package.json`))
  const faces = readFileSync(join(folder, css), 'utf8')
  for (const set of sets) {
    const [, path] =
      new RegExp(`url\\(\\./(files/${name}-${set}-(?:full|wght)-[^)]+\\.woff2)\\)`).exec(faces) ?? []
    const after = faces.slice(faces.indexOf(path))
    const [, range] = /unicode-range: ([^;]+);/.exec(after) ?? []
    if (!path || !range) throw new Error(`${name} has no ${set}`)
    const cut = await subsetFont(readFileSync(join(folder, path)), charactersOf(range), {
      targetFormat: 'woff2',
      variationAxes: axes,
    })
    const file = `${name}-${set}-${style}.woff2`
    writeFileSync(join(out, file), cut)
    console.log(`${file}: ${Math.round(cut.length / 1024)} kB`)
    rules.push(
      [
        '@font-face {',
        `  font-family: '${family}';`,
        `  font-style: ${style};`,
        `  font-weight: ${weight};`,
        '  font-display: swap;',
        `  src: url('./${file}') format('woff2');`,
        `  unicode-range: ${range};`,
        '}',
      ].join('\n'),
    )
  }
  writeFileSync(join(out, `${name}.LICENSE.txt`), readFileSync(join(folder, 'LICENSE')))
}
const head =
  '/* Made by `npm run fonts` out of the packages of Fontsource; each font comes with its licence. */'
writeFileSync(join(out, 'fonts.css'), `${head}\n${rules.join('\n')}\n`)

/** Every character of a range such as `U+0000-00FF, U+0131`. */
function charactersOf(range) {
  return range
    .split(',')
    .flatMap((range) => {
      const [from, to] = range
        .trim()
        .slice(2)
        .split('-')
        .map((hex) => Number.parseInt(hex, 16))
      return Array.from({ length: (to ?? from) - from + 1 }, (_, n) => String.fromCodePoint(from + n))
    })
    .join('')
}
