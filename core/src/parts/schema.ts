import * as T from '@sinclair/typebox'
import { MATERIALS, PartKindSchema, SpecMap } from '../record'

const Text = T.String({ maxLength: 240 })
/** A row of the catalogue as JSON: for the import, the export and the HTTP body alike. */
export const CataloguePartSchema = T.Object(
  {
    id: T.String({ pattern: '^[a-z0-9][a-z0-9-]{1,47}$' }),
    kind: PartKindSchema,
    name: T.String({ minLength: 1, maxLength: 240 }),
    specs: SpecMap,
    protected: T.Optional(T.Boolean()),
    material: T.Optional(T.Union(MATERIALS.map((m) => T.Literal(m)))),
    converter: T.Optional(T.Boolean()),
    key: T.Optional(Text),
    stock: T.Optional(T.Integer({ minimum: 0, maximum: 1e6 })),
    lot: T.Optional(Text),
    supplier: T.Optional(Text),
    cost: T.Optional(T.Number({ minimum: 0, maximum: 1e6 })),
  },
  { additionalProperties: false },
)
