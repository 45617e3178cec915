// What the schemas of all rooms are made of.
import { Type } from 'typebox'

/** An object with these properties and no others. */
export const object = <T extends Parameters<typeof Type.Object>[0]>(properties: T) =>
  Type.Object(properties, { additionalProperties: false })

export const nullable = <T extends Parameters<typeof Type.Union>[0][number]>(schema: T) =>
  Type.Union([schema, Type.Null()])

/** The id of anything: a UUID. */
export const idSchema = Type.String({ format: 'uuid' })

/** The parameters of an address that names one thing. */
export const byId = object({ id: idSchema })
