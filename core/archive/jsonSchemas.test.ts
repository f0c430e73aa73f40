import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { z } from 'zod'
import { LessonFile } from '../schema/lesson'
import { ARCHIVE_SCHEMAS } from './archive'

const FOLDER = join(__dirname, '..', '..', 'docs', 'schema')

/** `npm run schema` writes the published schemas again; otherwise they are only compared. */
const isWriting = process.env.WRITE_SCHEMA === '1'

describe('the published JSON Schema', () => {
  it.each(Object.entries({ ...ARCHIVE_SCHEMAS, 'lessons.json': LessonFile }))(
    'of %s is the one that it is checked by',
    (name, schema) => {
      const path = join(FOLDER, name.replace('.json', '.schema.json'))
      const text = `${JSON.stringify(z.toJSONSchema(schema, { target: 'draft-2020-12' }), null, 2)}\n`
      if (isWriting) {
        mkdirSync(FOLDER, { recursive: true })
        writeFileSync(path, text)
      }
      expect(existsSync(path) && readFileSync(path, 'utf8')).toBe(text)
    },
  )
})
