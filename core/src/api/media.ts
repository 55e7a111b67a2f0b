import * as T from '@sinclair/typebox'
import { closed, Moment } from './common'
import { route } from './route'

export const media = {
  upload: route({
    method: 'post',
    path: '/media',
    summary:
      'Store a photo or sound; with the commission that it is for it is erased with it, without one after a day where none has it',
    query: T.Object({ commission: T.Optional(T.String({ maxLength: 48 })) }, closed),
    takesFile: true,
    good: {
      status: 201,
      says: 'Its hash',
      json: T.Object({ hash: T.String(), type: T.String(), bytes: T.Integer(), name: T.String() }, closed),
    },
    bad: { 404: 'No such commission' },
  }),
  phoneLink: route({
    method: 'post',
    path: '/commissions/{id}/phone',
    summary: 'A link by which a phone at the bench sends photos to this commission, for an hour',
    body: T.Object({ place: T.Optional(T.String({ maxLength: 80 })) }, closed),
    good: { status: 201, says: 'The link', json: T.Object({ link: T.String(), expires: Moment }, closed) },
    bad: { 404: 'Not in this shop' },
  }),
  phoneTarget: route({
    method: 'get',
    path: '/up/{token}',
    summary: 'Where a phone’s photos go',
    open: true,
    good: {
      status: 200,
      says: 'Title and shop, and until when the link is good',
      json: T.Object({ title: T.String(), shop: T.String(), expires: Moment }, closed),
    },
    bad: { 404: 'No such link, or too old' },
  }),
  phoneUpload: route({
    method: 'post',
    path: '/up/{token}',
    summary: 'Send a photo',
    open: true,
    takesFile: true,
    good: { status: 201, says: 'It is with the commission', json: T.Object({ name: T.String() }, closed) },
    bad: { 404: 'No such link, or too old' },
  }),
  stored: route({
    method: 'get',
    path: '/media/{hash}',
    summary: 'A stored file',
    good: { status: 200, says: 'File', file: 'application/octet-stream' },
    bad: { 404: 'None' },
  }),
}
