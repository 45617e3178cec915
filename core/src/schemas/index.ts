// What the schemas of all rooms are made of.
export { byId, idSchema, nullable, object } from './schemas.ts'
