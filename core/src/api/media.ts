import { Type as T } from '@sinclair/typebox'
import { closed } from './common'
import { route } from './route'

export const media = {
  upload: route({
    method: 'post',
    path: '/media',
    summary: 'Store a photo or sound',
    takesFile: true,
    good: {
      status: 201,
      says: 'Its hash',
      json: T.Object({ hash: T.String(), type: T.String(), bytes: T.Integer(), name: T.String() }, closed),
    },
  }),
  stored: route({
    method: 'get',
    path: '/media/{hash}',
    summary: 'A stored file',
    good: { status: 200, says: 'File', file: 'application/octet-stream' },
    bad: { 404: 'None' },
  }),
}
