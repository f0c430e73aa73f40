import { textsOf } from '../scripts/texts.mjs'

const read = (path: string, source: string) => textsOf(path, source).map(({ line, text }) => [line, text])

describe('texts for proof-reading', () => {
  it('are found in templates, in what is shown or spoken, and in expressions', () => {
    const page = `<script setup lang="ts">
const said = 'Save the reading'
</script>

<template>
  <p class="one two">Nothing to plan</p>
  <KitField label="Paper weight" type="text area" :hint="isOld ? 'Measure it again' : ''" />
  <p>{{ count }} bottles on the shelf</p>
</template>
`
    expect(read('a.vue', page)).toEqual([
      [2, 'Save the reading'],
      [6, 'Nothing to plan'],
      [7, 'Paper weight'],
      [7, 'Measure it again'],
      [8, 'bottles on the shelf'],
    ])
  })

  it('are whole sentences where values stand between the words', () => {
    expect(read('a.ts', 'const line = `Sheet ${number}: dry for ${minutes} min more.`')).toEqual([
      [1, 'Sheet {number}: dry for {minutes} min more.'],
    ])
  })

  it('are not what programs say to each other', () => {
    const script = `import { one } from './two three'
if (kind === 'Not shown') element.closest('main article')
const row = { 'two words': 1, id: 'base-exposure' }
`
    expect(read('a.ts', script)).toEqual([])
  })
})
