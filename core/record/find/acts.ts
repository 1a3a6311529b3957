import { z } from 'zod'
import { begins, changed, changes } from '../act'
import { id } from '../texts'
import { findFields, photoBody } from './schema'
import { addPhoto, beginFind, changeFind, dropPhoto } from './work'

export const findActs = {
  'find/begin': begins('finds', {
    body: findFields.begin,
    means: 'A pipe is to be found.',
    says: () => 'pipe to be found',
    apply: (rules, body, doing) => beginFind(rules, doing.record, body, doing),
  }),
  'find/change': changes('finds', {
    body: findFields.patch,
    rests: 'fields',
    means: 'Fields of a find are changed. What it is kept as is a verdict with hand and time.',
    says: changed,
    apply: (rules, find, body, hand) => changeFind(rules, find, body, hand),
  }),
  'find/photo': changes('finds', {
    body: photoBody,
    undo: 'find/drop-photo',
    means: 'A photo is put to a find. The picture itself goes before it, by the same key.',
    says: () => 'photo taken',
    apply: (_, find, { name, width, height }, { key, at, by }) =>
      addPhoto(find, { id: key, name, width, height, at, by }),
  }),
  'find/drop-photo': changes('finds', {
    body: z.strictObject({ photo: id }),
    means: 'A photo is taken off a find.',
    says: () => 'photo taken off',
    apply: (_, find, { photo }) => dropPhoto(find, photo),
  }),
}
