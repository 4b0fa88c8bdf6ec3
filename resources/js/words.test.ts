import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { describe, expect, it } from 'vitest'
import { hasWords, speakBy, words, wordsAround } from './words'

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

  it('has no sentence that nothing says', () => {
    const roots = ['app', 'core/src', 'resources/js', 'resources/views', 'bootstrap', 'config']
    const sources = roots
      .flatMap((root) =>
        readdirSync(root, { recursive: true, encoding: 'utf8' })
          .filter((file) => /\.(php|tsx?)$/.test(file) && !/\.test\.|schema\.ts/.test(file))
          .map((file) => readFileSync(join(root, file), 'utf8')),
      )
      .join('\n')
    const literal = new Set([...sources.matchAll(/['"`]([a-z][\w.-]*)['"`]/g)].map(([, key]) => key ?? ''))
    // What is put together of a beginning and an id.
    const begun = [...sources.matchAll(/[`"']([a-z][\w.-]*[.-])(?:\$|\{\$|'\.)/g)].map(([, key]) => key ?? '')
    const english = JSON.parse(readFileSync('lang/en.json', 'utf8')) as Record<string, string>
    const unsaid = Object.keys(english).filter(
      (key) => !literal.has(key) && !begun.some((begin) => key.startsWith(begin)),
    )
    expect(unsaid).toEqual([])
  })

  it('says plurals and figures as the language does', () => {
    expect(words('sizes.file-holds', { good: 1, bad: 2 })).toBe('1 size can be kept, 2 lines cannot.')
    speakBy({
      language: 'sl',
      'number.decimal': ',',
      cards: '{count, plural, one {# a} two {# b} few {# c} other {# d}}',
      at: 'pri {at}',
    })
    expect([1, 2, 3, 5].map((count) => words('cards', { count }))).toEqual(['1 a', '2 b', '3 c', '5 d'])
    expect(words('at', { at: '10.8 cm' })).toBe('pri 10,8 cm')
    expect(words('at', { at: '3 5/8 in' })).toBe('pri 3 5/8 in')
    expect(words('at', { at: 'Version 1.2' })).toBe('pri Version 1.2')
    speakBy(JSON.parse(readFileSync('lang/en.json', 'utf8')) as Record<string, string>)
  })
})
