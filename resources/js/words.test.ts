import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { describe, expect, it } from 'vitest'
import { hasWords, words, wordsAround } from './words'

describe('words', () => {
  it('fills in what belongs in a sentence', () => {
    expect(words('shelf.taken-off', { name: 'Boat ticket' })).toBe('Boat ticket is off the shelf.')
  })

  it('cuts a sentence at its placeholders', () => {
    expect(wordsAround('step.score')).toEqual([
      { text: 'Score at ' },
      { slot: 'at' },
      { text: ' from the ' },
      { slot: 'from' },
      { text: '.' },
    ])
  })

  it('has every sentence that the sources name', () => {
    const root = join(process.cwd(), 'resources/js')
    const sources = readdirSync(root, { recursive: true, encoding: 'utf8' }).filter(
      (file) => /\.tsx?$/.test(file) && !file.includes('.test.'),
    )
    const keys = sources.flatMap((file) =>
      [...readFileSync(join(root, file), 'utf8').matchAll(/words\('([\w.-]+)'/g)].map((match) => match[1] ?? ''),
    )
    expect(keys.length).toBeGreaterThan(30)
    expect(keys.filter((key) => !hasWords(key))).toEqual([])
  })
})
