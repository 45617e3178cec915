// Checking what comes in, and in tests what goes out, against the schemas of the core.
import { Ajv } from 'ajv'
import type { ErrorObject, ValidateFunction } from 'ajv'
import addFormats from 'ajv-formats'
import { AppError } from '@valise/core/problems'
import type { FieldProblem } from '@valise/core/problems'
import type { TSchema } from 'typebox'

let strictAjv: Ajv | undefined
let coercingAjv: Ajv | undefined
const compiled = new WeakMap<object, ValidateFunction>()

function makeAjv(coerceTypes: boolean): Ajv {
  const ajv = new Ajv({
    allErrors: true,
    coerceTypes,
    strict: true,
    allowUnionTypes: true,
    strictTuples: false,
  })
  return addFormats.default(ajv, ['date', 'email', 'uuid'])
}

function validatorOf(schema: TSchema, coerce: boolean): ValidateFunction {
  const found = compiled.get(schema)
  if (found) return found
  const ajv = coerce ? (coercingAjv ??= makeAjv(true)) : (strictAjv ??= makeAjv(false))
  const validator = ajv.compile(schema)
  compiled.set(schema, validator)
  return validator
}

/**
 * The value, once it keeps to the schema. Values of addresses (`coerce`) become numbers where the schema wants them.
 *
 * @throws AppError `invalid` that names each field that does not.
 */
export function parseInput(schema: TSchema, value: unknown, coerce = false): unknown {
  assertWellFormed(value)
  const validate = validatorOf(schema, coerce)
  if (validate(value)) return value
  const fields = (validate.errors ?? []).filter((error) => error.keyword !== 'anyOf').map(toFieldProblem)
  throw new AppError('invalid', 'invalid-input', { fields })
}

/** @throws Error (a defect) when an answer does not keep to its schema. */
export function assertAnswer(schema: TSchema, value: unknown): void {
  const validate = validatorOf(schema, false)
  if (!validate(value))
    throw new Error(`an answer breaks its schema: ${JSON.stringify(validate.errors?.slice(0, 3))}`)
}

/** NUL and lone surrogates cannot be kept by every database, so they are refused at the edge. */
function assertWellFormed(value: unknown): void {
  if (typeof value === 'string') {
    if (value.includes('\0') || !value.isWellFormed()) throw new AppError('invalid', 'bad-text')
  } else if (typeof value === 'object' && value !== null) {
    for (const [key, part] of Object.entries(value)) {
      assertWellFormed(key)
      assertWellFormed(part)
    }
  }
}

function toFieldProblem(error: ErrorObject): FieldProblem {
  const path = error.instancePath
  const limit = Number(error.params['limit'])
  switch (error.keyword) {
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
    case 'enum':
    case 'const':
      return { path, reason: 'not-offered' }
    default:
      return { path, reason: 'malformed' }
  }
}
