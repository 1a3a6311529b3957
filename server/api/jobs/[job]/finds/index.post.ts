import { findBody } from '#core/record'
import { param } from '~~/server/http/param'
import { readBodyAs, route } from '~~/server/http/route'
import { createFind } from '~~/server/services/finds'

export default route(async event => createFind(param(event, 'job'), await readBodyAs(event, findBody)))
