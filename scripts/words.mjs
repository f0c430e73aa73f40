// npm run words: prints every text that a user can read, with its place, so that all of it can be proof-read in one go.
// `npm run words app/stations/light` prints those of one folder. With --check it ends with an error where a text has a
// word that Ember Sheet does not use, where a sentence of a station or of the frame is not in its words.ts, or where a
// script presses what is not there any more.
import { execFileSync } from 'node:child_process'
import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import { root } from './setup.mjs'
import { textsOf } from './texts.mjs'

/** Words that Ember Sheet does not use, each with what it says instead. */
const RETIRED = [
  [/\b(afresh|anew)\b/i, 'again, new'],
  [/\b(whatever|thereof)\b/i, 'name the thing'],
  [/\bnobody\b/i, 'no one, or say it of the thing'],
  [/\b(of|above|than|below|leaves?|by) nothing\b/i, 'zero, or say what is missing'],
  [/\b(lies|lying)\b/i, 'is'],
  [/\bstands? (by|for|in|on|ready|still|here|there)\b/i, 'is'],
  [/\bto be had\b/i, 'available'],
  [/\bcomes? to\b(?! (rest|room))/i, 'is, adds up to'],
  [/\bmakes? good\b/i, 'replaces'],
  [/\bby (itself|themselves)\b/i, 'automatically, alone'],
  [/\ba further\b/i, 'one more'],
  [/\bparted\b/i, 'separated'],
  [/\bslipped\b/i, 'behind the plan'],
  [/\breckon(s|ed|ing)?\b/i, 'compute'],
  [/\bmend(s|ed|ing)?\b/i, 'fix, correct'],
  [/\bforg[ia]v(e|es|en|ing)\b/i, 'tolerate'],
  [/\bserv(e|es|ed)\b/i, 'work for'],
  [/\btold\b/i, 'recorded'],
  [/\b(take|takes|taken|took)( \w+)? back\b/i, 'undo, remove'],
  [/\b(write|writes|written|wrote)( it| them)? down\b/i, 'save, record'],
  [/\bat the (least|most|soonest|best)\b(?! print)/i, 'at least, at most'],
  [/\b(least|most) time\b/i, 'minimum, maximum time'],
  [/\b(begin|begins|beginning|begun|began)\b/i, 'start'],
  [/\bstand-ins?\b/i, 'simulated instrument'],
  [/\b(deepest black|bare white)\b/i, 'Dmax, paper white'],
  [/\bto the (inch|millilitre|ml|millimetre)\b/i, 'ppi, per ml, per mm'],
  [/\bhad had\b/i, 'used'],
  [/\bper cent\b/i, 'percent'],
]

/** A sentence longer than this is one for `words.ts`, where one editor can work on it. */
const FEW_WORDS = 6
/** Files of the stations and the frame, but for those that hold their texts. */
const KEEPS_NO_SENTENCES = /^app\/(stations|frame)\/(?!.*[wW]ords\.ts$)/
const isSentence = (text) =>
  /[.:;,“a-z] |^\p{Lu}/u.test(text) &&
  !/^[a-z ]+$/.test(text) &&
  (text.replace(/\{[^{}]*\}/g, ' ').match(/(?<![\p{L}\d.])\p{L}{2,}/gu) ?? []).length > FEW_WORDS

const asked = process.argv.slice(2).filter((one) => !one.startsWith('--'))
const listed = execFileSync(
  'git',
  ['ls-files', ...(asked.length ? asked : ['app', 'core', 'library', 'demo', 'server'])],
  { cwd: root, encoding: 'utf8' },
)
const files = listed
  .split('\n')
  .filter((file) => /\.(ts|vue)$/.test(file) && !/\.test\.ts$|\.d\.ts$|fixtures\/|\.stub\.ts$/.test(file))
  // What a user may type, and what instruments and the planner's own checks say to each other, is not for reading.
  .filter((file) => !/^core\/(quantity\/units|simulate\/instruments|schedule\/problem)\.ts$/.test(file))
const places = files.flatMap((file) =>
  textsOf(file, readFileSync(join(root, file), 'utf8')).map(({ line, text }) => ({ file, line, text })),
)

/** What the scripts press and fill, and no text says any more: no test runs them. */
function lostByScripts() {
  const scripts = execFileSync('git', ['ls-files', 'scripts'], { cwd: root, encoding: 'utf8' }).split('\n')
  const pressed = /(?:getBy(?:Label|Text)\(|\bname: )'([^'\n]+)'/g
  return scripts
    .filter((file) => file.endsWith('.mjs'))
    .flatMap((file) =>
      [...readFileSync(join(root, file), 'utf8').matchAll(pressed)].map(([, label]) => [file, label]),
    )
    .filter(([, label]) => {
      // Numbers and the end of a sentence are put together when it is shown.
      const parts = label.split(/[\d.]+/).map((part) => part.trim())
      return !parts.every((part) => places.some(({ text }) => text.includes(part)))
    })
    .map(([file, label]) => `${file}: no text of the application says “${label}”.`)
}

if (process.argv.includes('--check')) {
  const faults = places.flatMap(({ file, line, text }) => {
    // What is computed between the words has names of its own.
    const plain = text.replace(/\{[^{}]*\}/g, '…')
    return RETIRED.filter(([word]) => word.test(plain)).map(
      ([word, instead]) => `${file}:${line}: “${word.exec(plain)[0]}” (say: ${instead}) in: ${text}`,
    )
  })
  for (const { file, line, text } of places)
    if (KEEPS_NO_SENTENCES.test(file) && isSentence(text))
      faults.push(`${file}:${line}: move this sentence to words.ts: ${text}`)
  if (!asked.length) faults.push(...lostByScripts())
  if (faults.length) console.log(faults.join('\n'))
  console.log(`${faults.length} faults in ${places.length} texts.`)
  if (faults.length) process.exitCode = 1
} else {
  let last = ''
  for (const { file, line, text } of places) {
    if (file !== last) console.log(`\n${file}`)
    last = file
    console.log(`${line}: ${text}`)
  }
  console.log(`\n${places.length} texts in ${files.length} files.`)
}
