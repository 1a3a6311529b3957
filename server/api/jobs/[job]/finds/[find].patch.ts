import { findPatch } from '#core/record'
import { param } from '~~/server/http/param'
import { readBodyAs, route } from '~~/server/http/route'
import { updateFind } from '~~/server/services/finds'

export default route(async event => updateFind(param(event, 'job'), param(event, 'find'), await readBodyAs(event, findPatch)))
