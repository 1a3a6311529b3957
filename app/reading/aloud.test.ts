import { describe, expect, it } from 'vitest'
import { aloudWords, stepAloud } from '~/reading/aloud'

describe('a sentence said aloud', () => {
  it.each([
    ['Mark 22.5 mm from the end', 'Mark 22.5 millimetres from the end'],
    ['Mark 5/8 in (16.5 mm) from the end', 'Mark 5/8 inches (16.5 millimetres) from the end'],
    ['Mark 1-1/16 in from the end', 'Mark 1 and 1/16 inches from the end'],
    ['Wait 30 s, then 2 min', 'Wait 30 seconds, then 2 minutes'],
    ['Heat to 230 \u00b0C', 'Heat to 230 degrees Celsius'],
    ['20 \u00d7 2 multilayer', '20 by 2 multilayer'],
    ['Push in, turning a little', 'Push in, turning a little'],
  ])('%s', (text, said) => expect(aloudWords(text)).toBe(said))
})

describe('the step to do now', () => {
  it('says what can hurt first, then the step, then its check; at the end, how far it is', () => {
    const step = { do: 'Heat it', check: 'It runs round', caution: 'Water waiting: it burns' }
    expect(stepAloud(step, 2, 4, 'gb')).toBe('Water waiting: it burns. Step 3. Heat it. Check: It runs round')
    expect(stepAloud({ do: 'Heat it' }, 0, 4, 'gb')).toBe('Step 1. Heat it')
    expect(stepAloud(undefined, -1, 4, 'gb')).toBe('This end is done.')
    expect(stepAloud(undefined, -1, 0, 'gb')).toBe('Every step is done.')
  })
})
