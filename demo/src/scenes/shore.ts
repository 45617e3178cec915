// Scenes of the wide shore: marsh, birds, mended banks, stakes, people at work seen from afar.
import { between, grass, pick, shape, sky, stipple, stroke, times } from './drawing.ts'
import type { Scene } from './drawing.ts'

/** A creek winding through salt marsh, at one hour of the day or another. */
export const marsh: Scene = (dice) => {
  const [top, low, sun] = pick(dice, [
    ['#f3c896', '#c9dcd8', '#fff3da'],
    ['#a9c6d4', '#e6ead9', '#fffbe9'],
    ['#8c7aa0', '#f0b98c', '#ffd9a8'],
    ['#b9c7c9', '#dfe2da', '#f3f2ea'],
  ])
  const bend = between(dice, -24, 24)
  const x = 92 + bend
  return [
    sky('m', top, low, 62),
    `<circle cx="${between(dice, 24, 136)}" cy="${between(dice, 18, 40)}" r="${between(dice, 6, 11)}" fill="${sun}"/>`,
    shape('#8fa6a2', 'M0 50q30-10 62-5t98-4v16H0z'),
    shape('#6f8264', 'M0 55q50-6 160-2v67H0z'),
    shape('#e8d9b8', `M${x} 56q-40 8-8 17t-22 20-50 27h90q-24-14 8-26t-4-20 2-18z`),
    shape(
      top === '#8c7aa0' ? '#d9a98c' : '#a9c3c4',
      `M${x + 1} 57q-34 8-4 16t-22 21-40 26h62q-22-14 10-27t-8-19 6-17z`,
    ),
    grass(dice, '#55663f', 1.4, { count: 44, x: [0, 62], y: [112, 120], height: [14, 32], lean: 4 }),
    grass(dice, '#8a8a45', 1.2, { count: 44, x: [104, 160], y: [112, 120], height: [14, 34], lean: 4 }),
    grass(dice, '#394a30', 1.6, { count: 24, x: [0, 48], y: [120, 130], height: [18, 32], lean: 4 }),
  ].join('')
}

/** A wading bird at the water's edge, with its reflection. */
export const bird: Scene = (dice) => {
  const x = between(dice, -26, 26)
  const flip = dice() < 0.5 ? `translate(${160 + x} 0) scale(-1 1)` : `translate(${x} 0)`
  const body = pick(dice, ['#2f4450', '#5b4a3c', '#3d4f45'])
  const wader = [
    stroke(body, 1.6, 'M86 74v24M92 74v24'),
    stroke(body, 3.4, 'M79 62q-8-10-2-20t-4-14'),
    stroke(body, 1.8, 'M72 28l-16 4'),
    shape(body, 'M76 58q12-8 28 6 6 6 8 14-14-2-22-4-14-4-14-16z'),
  ].join('')
  return [
    sky('b', pick(dice, ['#cfdadb', '#e9c9a4', '#b7cbd6']), '#f3dfbd', 72),
    shape('#a9b4a7', 'M0 62h160v10H0z'),
    shape('#c7d3d0', 'M0 70h160v50H0z'),
    shape('#b49a72', `M0 ${between(dice, 84, 94)}q60-8 160 4v32H0z`),
    `<g transform="${flip}"><g opacity=".18" transform="translate(0 190) scale(1 -1)">${wader}</g>${wader}</g>`,
    stroke(
      '#fffdf7',
      1.4,
      times(5, () => `M${between(dice, 8, 130)} ${between(dice, 74, 110)}h${between(dice, 8, 26)}`).join(''),
    ),
  ].join('')
}

/** A creek bank with woven brushwood, more of it the later the visit. */
export const bank: Scene = (dice) => {
  const rows = Math.floor(between(dice, 1, 5))
  const weave = times(rows, (n) => `M10 ${92 - n * 7}q14 ${n % 2 ? -5 : 6} 28 0t22 1 22 1 22 2 22 1 22 3`)
  return [
    shape(pick(dice, ['#d9e3df', '#e8dcc4', '#c5d3da']), 'M0 0h160v44H0z'),
    shape('#90a48a', 'M0 34q60-12 160-2v22H0z'),
    shape('#a58a60', 'M0 48q80-14 160 4v68H0z'),
    shape('#7a6243', 'M0 70q70-10 160 8v42H0z'),
    shape('#86a5aa', 'M0 98q80-8 160 6v16H0z'),
    stroke('#5c4227', 4, 'M16 62v42M38 60v44M60 60v46M82 62v46M104 64v46M126 66v44M146 70v38'),
    stroke('#8f6b3e', 3, weave.join('')),
    grass(dice, '#55663f', 1.5, { count: 60, x: [0, 160], y: [56, 64], height: [4, 15], lean: 4 }),
  ].join('')
}

/** One numbered stake in the mud, silt higher around it at every visit. */
export const stake: Scene = (dice) => {
  const silt = between(dice, 78, 92)
  const bands = times(7, (n) => `M76 ${24 + n * 9}h8`).join('')
  return [
    sky('s', pick(dice, ['#b9cdd6', '#e2cfae', '#c9d3c4']), '#eee4cf', 50),
    shape('#9fb3ae', 'M0 44h160v10H0z'),
    shape('#b8a17a', 'M0 52h160v68H0z'),
    shape('#93805d', `M0 ${silt}q80-10 160 2v50H0z`),
    shape('#6b4f33', 'M75 14h10v90H75z'),
    stroke('#f6f0e2', 3, bands),
    shape('#93805d', `M50 ${silt + 6}q30-14 62 0v20H50z`),
    stipple(dice, '#7d6a4a', 1.6, 50, [silt + 8, 118]),
    grass(dice, '#55663f', 1.3, { count: 26, x: [0, 50], y: [86, 96], height: [8, 22], lean: 4 }),
  ].join('')
}

/** Three people between ranging poles, too far away to be anybody. */
export const crew: Scene = (dice) => {
  const person = (x: number, colour: string) => {
    const y = between(dice, 38, 50)
    return shape(
      colour,
      `M${x} ${y}a4 4 0 108 0 4 4 0 10-8 0zM${x - 3} ${y + 7}h14l3 24-5 21h-3l-2-18-2 18h-3l-4-21z`,
    )
  }
  const coats = ['#2c4552', '#8a4e1f', '#3f5a3c', '#6d3b34']
  return [
    shape('#dce5e2', 'M0 0h160v58H0z'),
    shape('#f1dfbf', 'M0 30h160v28H0z'),
    shape('#9fb3ae', 'M0 52h160v8H0z'),
    shape('#b8a17a', 'M0 58h160v62H0z'),
    shape('#93805d', 'M0 78q80-12 160 4v38H0z'),
    ...times(3, (n) =>
      person(36 + n * 36 + between(dice, -8, 8), coats[Math.floor(dice() * 4)] ?? '#2c4552'),
    ),
    stroke('#f6f0e2', 2, 'M64 30v66M102 30v66'),
    stroke('#a43f2c', 2, 'M64 30v8m0 8v8m38-24v8m0 8v8'),
  ].join('')
}

/** A ranging line laid over marsh and mud. */
export const transectLine: Scene = (dice) => {
  const end = between(dice, 70, 130)
  return [
    shape('#cfdcd9', 'M0 0h160v120H0z'),
    shape('#8ea08a', 'M0 46q70-14 160-4v78H0z'),
    shape('#b79b73', 'M0 70q70-12 160 2v48H0z'),
    stroke('#f7f1e3', 3, `M-4 116 ${end} 52`),
    stroke('#a43f2c', 3, `M-4 116 ${end} 52`, 'stroke-dasharray="3 9"'),
    grass(dice, '#55663f', 1.4, { count: 60, x: [60, 160], y: [104, 110], height: [6, 20], lean: 4 }),
    stipple(dice, '#8d7650', 1.6, 40, [78, 116]),
  ].join('')
}
