import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { isNamed, namesOf } from './hosts'
import { isJson } from './media'
import { isApi, plainPath } from './path'
import { rateOf } from './rates'

describe('names', () => {
  it('are those of this machine and those that are listed, whatever port and letters', () => {
    const names = namesOf(' Jolvet.Example , 192.168.1.20,')
    for (const host of [
      'jolvet.example',
      'JOLVET.example:3000',
      '192.168.1.20:443',
      'localhost',
      '[::1]:3000',
      '127.0.0.1',
    ])
      expect(isNamed(host, names), host).toBe(true)
    for (const host of [
      '',
      ':3000',
      'jolvet.example.evil',
      'evil-jolvet.example',
      '192.168.1.2',
      'jolvet.example/..',
      'a b',
    ])
      expect(isNamed(host, names), host).toBe(false)
  })

  it('of no other host are taken', () => {
    const names = namesOf('jolvet.example')
    fc.assert(
      fc.property(fc.domain(), (host) => {
        expect(isNamed(host, names)).toBe(host === 'jolvet.example')
      }),
    )
  })
})

describe('a media type', () => {
  it('is JSON where it says so', () => {
    for (const type of [
      'application/json',
      'Application/Json',
      'application/json; charset=utf-8',
      'application/json ;x',
    ])
      expect(isJson(type), type).toBe(true)
    for (const type of ['', 'text/json', 'application/jsonp', 'text/plain, application/json', 'application/ld+json'])
      expect(isJson(type), type).toBe(false)
  })
})

describe('a rate', () => {
  it('is for acts, photos sent, and what is printed or given out; for nothing else', () => {
    expect(rateOf('POST', '/api/acts')?.what).toBe('acts')
    expect(rateOf('PUT', '/api/photos/abcdefgh')?.what).toBe('photos')
    for (const at of [
      '/api/jobs/x/register.csv',
      '/api/jobs/x/lines/y/strips.pdf',
      '/api/come-back.ics',
      '/api/print/wrap-strip.pdf',
    ])
      expect(rateOf('GET', at)?.what, at).toBe('prints and files')
    for (const at of ['/api/jobs', '/api/health', '/api/stream', '/mark.svg', '/api/jobs/x/finds/y/photos/z'])
      expect(rateOf('GET', at), at).toBeUndefined()
  })
})

describe('a path', () => {
  it('is one, however many slashes it is written with', () => {
    for (const written of ['/api/acts', '/api/acts/', '//api//acts///', '/api/acts?x=/y', '/api/acts/?'])
      expect(plainPath(written), written).toBe('/api/acts')
    expect([plainPath('/'), plainPath('//'), plainPath('?x')]).toEqual(['/', '/', '/'])
    expect(['/api', '/api/acts', '/apis', '/'].map(isApi)).toEqual([true, true, false, false])
  })
})
