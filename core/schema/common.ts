import { z } from 'zod'

/** Identity of a record: made once, never used again, the same in every workroom it travels to. */
export const Id = z.uuid()

/** A moment: milliseconds since 1970-01-01T00:00Z, whole. Years 1990 to 2200, so that seconds are not taken for it. */
export const Stamp = z.int().min(631_152_000_000).max(7_258_118_400_000)

/**
 * Short name of something in a process definition: a step, a choice, an option, a component. Names that every object of
 * the language answers to are refused, since things are looked up by these names.
 */
export const Key = z
  .string()
  .regex(
    /^(?!(?:constructor|hasOwnProperty|isPrototypeOf|propertyIsEnumerable|toLocaleString|toString|valueOf)$)[a-z][A-Za-z0-9-]{0,39}$/,
  )

export const Seconds = z.number().min(0).max(31_536_000)

/** One line of the user's words. */
export const Line = z.string().max(200)

/** A paragraph of the user's words. */
export const Text = z.string().max(4000)

export const StandingWord = z.enum(['published', 'practice', 'memory', 'yours', 'arithmetic'])
