// The uploads for the OpenAPI description: they follow the tus protocol 1.0.0, whose library answers them.

const header = (name: string, description: string, schema: object, required = true) => ({
  ...{ name, in: 'header', required, description, schema },
})
const resumable = header('Tus-Resumable', 'The version of the protocol', { const: '1.0.0' })
const offset = { schema: { type: 'integer', minimum: 0 }, description: 'How many bytes have arrived' }
const refusal = { default: { $ref: '#/components/responses/Problem' } }
const shared = { tags: ['uploads'], security: [{ session: [] }] }
const id = { name: 'id', in: 'path', required: true, schema: { type: 'string', format: 'uuid' } }

/** The tus paths, which are described by hand; the list of uploads is a route like any other. */
export const uploadPaths = {
  '/api/uploads': {
    post: {
      ...shared,
      operationId: 'postUploads',
      summary: 'Begin an upload (tus creation)',
      parameters: [
        resumable,
        header('Upload-Length', 'How many bytes the file has', { type: 'integer', minimum: 1 }),
        header(
          'Upload-Metadata',
          'Names with values in Base64, after the protocol: filename; and where known lastModified, replaces, classId, assignmentId, title, mine, durationMs, about, moments, recipe',
          { type: 'string' },
        ),
      ],
      responses: {
        201: { description: 'Begun', headers: { Location: { schema: { type: 'string' } } } },
        ...refusal,
      },
    },
  },
  '/api/uploads/{id}': {
    head: {
      ...shared,
      operationId: 'headUploadsById',
      summary: 'How much of an upload has arrived',
      parameters: [id, resumable],
      responses: { 200: { description: 'So much', headers: { 'Upload-Offset': offset } }, ...refusal },
    },
    patch: {
      ...shared,
      operationId: 'patchUploadsById',
      summary: 'Send the next bytes of an upload',
      parameters: [
        id,
        resumable,
        header('Upload-Offset', 'Where they begin', { type: 'integer', minimum: 0 }),
      ],
      requestBody: {
        required: true,
        content: { 'application/offset+octet-stream': { schema: { type: 'string', format: 'binary' } } },
      },
      responses: {
        204: { description: 'They have arrived', headers: { 'Upload-Offset': offset } },
        ...refusal,
      },
    },
    delete: {
      ...shared,
      operationId: 'deleteUploadsById',
      summary: 'Give an upload up (tus termination)',
      parameters: [id, resumable],
      responses: { 204: { description: 'Given up' }, ...refusal },
    },
  },
}
