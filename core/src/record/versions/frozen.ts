import v1 from './v1.schema.json' with { type: 'json' }
import v2 from './v2.schema.json' with { type: 'json' }
import v3 from './v3.schema.json' with { type: 'json' }
import v4 from './v4.schema.json' with { type: 'json' }
import v5 from './v5.schema.json' with { type: 'json' }
import v6 from './v6.schema.json' with { type: 'json' }
import v7 from './v7.schema.json' with { type: 'json' }
import v8 from './v8.schema.json' with { type: 'json' }
import v9 from './v9.schema.json' with { type: 'json' }
import v10 from './v10.schema.json' with { type: 'json' }
import v11 from './v11.schema.json' with { type: 'json' }
import v12 from './v12.schema.json' with { type: 'json' }
import v13 from './v13.schema.json' with { type: 'json' }
import v14 from './v14.schema.json' with { type: 'json' }
import v15 from './v15.schema.json' with { type: 'json' }

/** The schema of each published version as it was, to hold older files against. Version 0 was never published. */
export const FROZEN: Readonly<Record<number, object>> = {
  1: v1,
  2: v2,
  3: v3,
  4: v4,
  5: v5,
  6: v6,
  7: v7,
  8: v8,
  9: v9,
  10: v10,
  11: v11,
  12: v12,
  13: v13,
  14: v14,
  15: v15,
}
