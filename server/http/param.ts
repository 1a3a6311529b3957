import { getRouterParam, type H3Event } from 'h3'

/** A part of the address, decoded; empty where it is not there. */
export const param = (event: H3Event, name: string): string => getRouterParam(event, name, { decode: true }) ?? ''
