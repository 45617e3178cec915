// Checking what comes in, and in tests what goes out, against the schemas of the core.
import { Ajv } from 'ajv'
import type { ErrorObject, ValidateFunction } from 'ajv'
import addFormats from 'ajv-formats'
import { AppError } from '@valise/core/problems'
import type { FieldProblem } from '@valise/core/problems'
import type { TSchema } from 'typebox'
import { SEEN, withDiscriminators, withoutBlanks } from './schemasForAjv.ts'

/** Deeper than any form, and shallow enough for every function that calls itself for what lies within. */
const DEEPEST = 64
/** More than the largest drawing has. */
const MOST_VALUES = 400_000
/** Reports every fault of a small value, so that a form can mark each field; of a large one only the first. */
const SMALL_VALUES = 2000
const MOST_FIELDS = 20

interface Validators {
  /** Stops at the first thing that is wrong. */
  readonly quick: ValidateFunction
  readonly thorough: ValidateFunction
}

const makers = { strict: makeValidatorMaker(false), coercing: makeValidatorMaker(true) }

function makeValidatorMaker(coerceTypes: boolean): (schema: TSchema) => Validators {
  const compiled = new WeakMap<object, Validators>()
  let quick: Ajv | undefined
  let thorough: Ajv | undefined
  return (schema) => {
    const known = compiled.get(schema)
    if (known) return known
    quick ??= makeAjv(coerceTypes, false)
    thorough ??= makeAjv(coerceTypes, true)
    const tagged = withDiscriminators(schema)
    // What comes in an address or beside a file is taken as it is: no file is refused for its name.
    const full = coerceTypes ? tagged : withoutBlanks(tagged)
    const validators = { quick: quick.compile(full), thorough: lazily(() => thorough?.compile(full)) }
    compiled.set(schema, validators)
    return validators
  }
}

function makeAjv(coerceTypes: boolean, allErrors: boolean): Ajv {
  const ajv = new Ajv({
    allErrors,
    coerceTypes,
    discriminator: true,
    strict: true,
    allowUnionTypes: true,
    strictTuples: false,
    // A discriminator names the tag that its branches define.
    strictRequired: false,
  })
  return addFormats.default(ajv, ['date', 'email', 'uuid'])
}

/**
 * Validates a value against a schema and returns it. With `coerce`, address values become numbers where the schema
 * wants them.
 *
 * The work is bounded: depth and number of values are checked first, and a large invalid value is refused at its
 * first fault.
 *
 * @throws AppError `invalid` that names the wrong fields, 20 at most; `too-large` for more values than any form has
 */
export function parseInput(schema: TSchema, value: unknown, coerce = false): unknown {
  const count = assertWellFormed(value)
  const { quick, thorough } = (coerce ? makers.coercing : makers.strict)(schema)
  if (quick(value)) return value
  const validate = count <= SMALL_VALUES ? thorough : quick
  validate(value)
  throw new AppError('invalid', 'invalid-input', {
    fields: fieldProblems(validate.errors ?? []).slice(0, MOST_FIELDS),
  })
}

/** @throws Error (a defect) when an answer does not match its schema */
export function assertAnswer(schema: TSchema, value: unknown): void {
  const { quick } = makers.strict(schema)
  if (!quick(value))
    throw new Error(`an answer breaks its schema: ${JSON.stringify(quick.errors?.slice(0, 3))}`)
}

/**
 * NUL and lone surrogates cannot be stored by every database, so they are refused at the edge, and so is what lies too
 * deep or is too much. It does not call itself, since depth is what it looks for.
 *
 * @returns how many values there are
 */
function assertWellFormed(value: unknown): number {
  const waiting: [value: unknown, depth: number][] = [[value, 0]]
  let count = 0
  for (let next = waiting.pop(); next; next = waiting.pop()) {
    const [present, depth] = next
    count += 1
    if (depth > DEEPEST) throw new AppError('invalid', 'too-deep')
    if (count + waiting.length > MOST_VALUES) throw new AppError('too-large', 'too-large')
    if (typeof present === 'string') assertText(present)
    else if (Array.isArray(present)) for (const value of present) waiting.push([value, depth + 1])
    else if (typeof present === 'object' && present !== null) {
      for (const [key, value] of Object.entries(present)) {
        assertText(key)
        waiting.push([value, depth + 1])
      }
    }
  }
  return count
}

function assertText(text: string): void {
  if (text.includes('\0') || !text.isWellFormed()) throw new AppError('invalid', 'bad-text')
}

/** One problem for each field. Of a union without a tag, the branch that comes nearest speaks. */
function fieldProblems(errors: readonly ErrorObject[]): FieldProblem[] {
  const unions = errors.filter(({ keyword }) => keyword === 'anyOf')
  const isWithin = (error: ErrorObject, union: ErrorObject) =>
    error.schemaPath.startsWith(`${union.schemaPath}/`)
  const plain = errors.filter(
    (error) => error.keyword !== 'anyOf' && !unions.some((one) => isWithin(error, one)),
  )
  const outer = unions.filter((union) => !unions.some((other) => other !== union && isWithin(union, other)))
  const ofUnions = outer.flatMap((union) => {
    const nearest = nearestBranch(
      union,
      errors.filter((error) => isWithin(error, union)),
    )
    return nearest.length > 0 ? nearest : [union]
  })
  const problems = [...plain, ...ofUnions].map(toFieldProblem)
  return problems.filter((problem, n) => problems.findIndex(({ path }) => path === problem.path) === n)
}

/** The errors of the first branch that is of the value's type, or none where no branch is. */
function nearestBranch(union: ErrorObject, errors: readonly ErrorObject[]): ErrorObject[] {
  const branches = new Map<string, ErrorObject[]>()
  for (const error of errors) {
    const branch = error.schemaPath.slice(union.schemaPath.length).split('/')[1] ?? ''
    branches.set(branch, [...(branches.get(branch) ?? []), error])
  }
  const isOfType = (branch: readonly ErrorObject[]) =>
    !branch.some(({ keyword, instancePath }) => keyword === 'type' && instancePath === union.instancePath)
  const nearest = [...branches.values()].find(isOfType) ?? []
  return nearest.filter(({ keyword }) => keyword !== 'anyOf')
}

/** Compiles when it is first called; most inputs keep to their schemas. */
function lazily(compile: () => ValidateFunction | undefined): ValidateFunction {
  let compiled: ValidateFunction | undefined
  const validate = (value: unknown): boolean => {
    compiled ??= compile()
    const isValid = compiled?.(value) === true
    lazy.errors = compiled?.errors ?? null
    return isValid
  }
  const lazy = validate as ValidateFunction
  return lazy
}

function toFieldProblem(error: ErrorObject): FieldProblem {
  const path = error.instancePath
  const limit = Number(error.params['limit'])
  switch (error.keyword) {
    case 'discriminator':
      return { path: `${path}/${String(error.params['tag'])}`, reason: 'not-offered' }
    case 'required':
      return { path: `${path}/${String(error.params['missingProperty'])}`, reason: 'missing' }
    case 'additionalProperties':
      return { path: `${path}/${String(error.params['additionalProperty'])}`, reason: 'unknown' }
    case 'minLength':
      return limit === 1
        ? { path, reason: 'missing' }
        : { path, reason: 'too-short', params: { least: limit } }
    case 'maxLength':
      return { path, reason: 'too-long', params: { most: limit } }
    case 'minimum':
      return { path, reason: 'too-small', params: { least: limit } }
    case 'maximum':
      return { path, reason: 'too-big', params: { most: limit } }
    case 'pattern':
      return { path, reason: error.params['pattern'] === SEEN ? 'missing' : 'malformed' }
    case 'enum':
    case 'const':
      return { path, reason: 'not-offered' }
    default:
      return { path, reason: 'malformed' }
  }
}
