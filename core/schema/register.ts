import { z } from 'zod'
import { Id, Line, Stamp } from './common'

const Millimetres = z.number().min(-2000).max(2000)

/** How far a layer lay beside the one below it, as measured from a scan or a photo of the sheet. */
export const RegisterCheck = z.strictObject({
  id: Id,
  /** The sheet that carries the upper layer. */
  sheetId: Id,
  at: Stamp,
  /** Name of the picture it was read from. */
  picture: Line,
  /** Where each mark of the upper layer should be on the lower one, and where it is, mm from the middle of the film. */
  marks: z
    .array(
      z.strictObject({
        lower: z.tuple([Millimetres, Millimetres]),
        upper: z.tuple([Millimetres, Millimetres]),
      }),
    )
    .min(2)
    .max(12),
  takenBackAt: Stamp.optional(),
})

export type RegisterCheck = z.infer<typeof RegisterCheck>
