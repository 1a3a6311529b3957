import * as z from 'zod/mini'
import { begins, begunAgain, changed, changes, drops, setBack, undoneBy } from '../act'
import { id } from '../texts'
import { findFields, photoBody } from './schema'
import { addPhoto, beginFind, changeFind, dropFind, dropPhoto } from './work'

export const findActs = {
  'find/begin': begins('finds', {
    body: findFields.begin,
    undo: undoneBy('find/drop'),
    means: 'A pipe is to be found.',
    says: () => 'pipe to be found',
    apply: (rules, body, doing) => beginFind(rules, doing.record, body, doing),
  }),
  'find/change': changes('finds', {
    body: findFields.patch,
    rests: 'fields',
    undo: setBack('find/change'),
    means: 'Fields of a find are changed. What it is kept as is a verdict with hand and time.',
    says: changed,
    apply: (rules, find, body, hand) => changeFind(rules, find, body, hand),
  }),
  'find/photo': changes('finds', {
    body: photoBody,
    undo: undoneBy('find/drop-photo', ({ key }) => ({ photo: key })),
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
  'find/drop': drops('finds', {
    body: z.strictObject({}),
    undo: begunAgain('find/begin', findFields.table),
    means: 'A find begun by mistake is taken out, as it was seen, while no joint rests on it.',
    says: () => 'find taken out',
    apply: (rules, find) => dropFind(rules, find),
  }),
}
