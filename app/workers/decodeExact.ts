import type Vips from 'wasm-vips'
import { CoreError } from '@core/errors'
import type { ColourHint, PngColour } from '@core/formats/colourHint'
import { notAPicture, rawPicture } from '@core/formats/pictureKind'
import { tiffPages, wholePage, type TiffPage } from '@core/formats/tiffTags'
import { LUMINANCE, shares, type ChannelMix } from '@core/negative/grey'
import { checkSize, type Decoded } from './decodePicture'
import { openVips } from './vips'

/** Linear light of sRGB's primaries from X, Y and Z under D65, as the decoder gives them (IEC 61966-2-1). */
const RGB_FROM_XYZ = [
  [3.2404542, -1.5371385, -0.4985314],
  [-0.969266, 1.8760108, 0.041556],
  [0.0556434, -0.2040259, 1.0572252],
] as const

/** What the samples of a picture are, beyond what its decoder says. */
interface Samples {
  /** Channels of colour; all that come after are something else. */
  colours: number
  /** What the first channel after them is. */
  extra: 'none' | 'alpha' | 'unknown'
  png: PngColour | null
  /** Lightness, a and b. */
  isLab: boolean
  turns: boolean
  bits: number
}

/** A TIFF of any kind that is a picture: its largest page, with its profile, at its own depth. */
export async function decodeTiff(file: Uint8Array, mix: ChannelMix | null): Promise<Decoded> {
  const pages = tiffPages(file)
  if (pages.some(({ isRaw }) => isRaw)) throw rawPicture()
  const page = wholePage(pages)
  if (!page) throw notAPicture()
  if (!PACKINGS.includes(page.compression)) throw unknownPacking()
  checkSize(page.width, page.height)
  const whole = pages.filter(({ isAside }) => !isAside)
  const notes = [
    ...(whole.length > 1 ? [`This file has ${whole.length} pictures. The largest is used.`] : []),
    ...(page.sampleFormat === 3 ? ['Floating-point values are read as light, from 0 to 1.'] : []),
  ]
  const bytes = page.photometric === CIE_LAB && page.bits === 8 ? asIccLab(file, page) : file
  const vips = await openVips()
  const decoded = exactly(
    vips,
    (access) =>
      vips.Image.tiffloadBuffer(bytes, {
        page: page.page,
        ...(page.below !== null && { subifd: page.below }),
        access,
        fail_on: 'error',
      }),
    samplesOf(page),
    mix,
  )
  return { ...decoded, notes: [...notes, ...decoded.notes] }
}

/**
 * Ways of packing that the decoder reads: none, three of faxes, LZW, JPEG, deflate by both its numbers, PackBits. Of some
 * others it gives black without a word.
 *
 * @see TIFF 6.0, Compression, and its technical notes; from memory
 */
const PACKINGS = [1, 2, 3, 4, 5, 6, 7, 8, 32_773, 32_946]

/** Photometric kinds by the format's own numbers. @see TIFF 6.0, PhotometricInterpretation */
const GREY = [0, 1]
const SEPARATED = 5
const [CIE_LAB, ICC_LAB] = [8, 9]
/** The decoder divides out alpha that was multiplied in. */
const ALPHAS = { 0: 'unknown', 1: 'alpha', 2: 'alpha' } as const

/** Lab of eight bits, which the decoder refuses, under the name that it reads: the lightness of both is the same. */
function asIccLab(bytes: Uint8Array, { photometricAt }: TiffPage): Uint8Array {
  const copy = Uint8Array.from(bytes)
  new DataView(copy.buffer).setUint16(photometricAt, ICC_LAB, copy[0] === 0x49)
  return copy
}

function samplesOf({ photometric, channels, extra, orientation, bits }: TiffPage): Samples {
  const colours = GREY.includes(photometric) ? 1 : photometric === SEPARATED ? 4 : 3
  return {
    colours,
    extra: channels > colours ? (ALPHAS[(extra[0] ?? 0) as 0 | 1 | 2] ?? 'unknown') : 'none',
    png: null,
    isLab: photometric === ICC_LAB || (photometric === CIE_LAB && bits === 8),
    turns: orientation > 1,
    bits,
  }
}

/** A JPEG, PNG or WebP that is more than eight bits of sRGB. */
export async function decodeWithProfile(
  bytes: Uint8Array,
  { bits, png }: ColourHint,
  mix: ChannelMix | null,
): Promise<Decoded> {
  if (png?.transfer === 'unsupported')
    throw new CoreError({
      code: 'profile',
      field: 'the picture',
      problem: 'Pictures of high dynamic range cannot be read here.',
      remedy: 'Save it in sRGB with 16 bits per channel, then choose it again.',
    })
  const vips = await openVips()
  const open = (access: Access) => vips.Image.newFromBuffer(bytes, '', { access, fail_on: 'error' })
  const { colours, bands, turns } = scoped((keep) => {
    const head = keep(open('sequential'))
    checkSize(head.width, head.height)
    return {
      bands: head.bands,
      colours: head.bands < 3 ? 1 : head.interpretation === 'cmyk' ? 4 : 3,
      turns: head.getTypeof('orientation') !== 0 && head.getInt('orientation') > 1,
    }
  })
  return exactly(
    vips,
    open,
    { colours, extra: bands > colours ? 'alpha' : 'none', png, isLab: false, turns, bits },
    mix,
  )
}

type Access = 'sequential' | 'random'
type Image = Vips.Image
type Keep = (image: Image) => Image

/** Every picture that is made on the way is let go at the end; what a decoder throws is not for a printer's eyes. */
function scoped<Value>(work: (keep: Keep) => Value): Value {
  const made: Image[] = []
  try {
    return work((image) => {
      made.push(image)
      return image
    })
  } catch (error) {
    throw error instanceof CoreError ? error : notAPicture()
  } finally {
    for (const image of made) image.delete()
  }
}

const exactly = (
  vips: typeof Vips,
  open: (access: Access) => Image,
  { colours, extra, png, isLab, turns, bits }: Samples,
  mix: ChannelMix | null,
): Decoded =>
  scoped((keep) => {
    const notes: string[] = []
    const file = keep(open(turns ? 'random' : 'sequential'))
    const upright = turns ? keep(file.autorot()) : file
    // Lab has no samples of its own to weigh: it is light at once.
    const image = upright.interpretation.startsWith('lab') ? keep(upright.colourspace('scrgb')) : upright
    const most = MOST[image.format as keyof typeof MOST]
    if (!most || image.bands < colours) throw unknownKind()
    const alpha = extra === 'alpha' ? keep(keep(image.extractBand(colours)).linear([1 / most], [0])) : null
    if (extra === 'unknown') notes.push('A channel that is no colour was left out.')
    const colour = image.bands > colours ? keep(image.extractBand(0, { n: colours })) : image
    const light = isLab
      ? lightOfLightness(keep, keep(colour.extractBand(0)))
      : lightOf(vips, keep, keep(colour.copy({ interpretation: KIND[`${colours}/${image.format}`] })), {
          png,
          mix,
          most,
          notes,
        })
    if (isLab && mix) notes.push('Lab has no red, green and blue to mix: its lightness is used.')
    const onWhite = alpha ? keep(keep(light.multiply(alpha)).add(keep(alpha.linear([-1], [1])))) : light
    const held = keep(keep(onWhite.cast('float')).clamp())
    const data = held.writeToMemory() as Float32Array
    return { picture: { width: held.width, height: held.height, data }, bits, codes: null, notes }
  })

/** The greatest value of each kind of sample that is read. */
const MOST = { uchar: 255, ushort: 65_535, float: 1, double: 1 } as const
/** What samples are, by channels of colour and kind; of more channels the decoder does not say it. */
const KIND: Readonly<Record<string, string>> = {
  '1/uchar': 'b-w', '1/ushort': 'grey16', '3/uchar': 'srgb', '3/ushort': 'rgb16', '4/uchar': 'cmyk', '4/ushort': 'cmyk',
  '1/float': 'b-w', '3/float': 'scrgb', '1/double': 'b-w', '3/double': 'scrgb',
} // prettier-ignore

/** The greatest lightness as files have it: of 16 bits as profiles code it (ICC.1:2010, 10.8; from memory). */
const MOST_LIGHTNESS = { uchar: 255, ushort: 65_280, float: 100, double: 100 } as const

/** Light of a lightness L* (CIE 15). */
function lightOfLightness(keep: Keep, lightness: Image): Image {
  const most = MOST_LIGHTNESS[lightness.format as keyof typeof MOST_LIGHTNESS]
  const scaled = keep(lightness.linear([100 / most], [0]))
  const none = keep(scaled.linear([0], [0]))
  const lab = keep(keep(keep(scaled.bandjoin([none, none])).cast('float')).copy({ interpretation: 'lab' }))
  return keep(
    keep(lab.colourspace('xyz'))
      .extractBand(1, { n: 1 })
      .linear([1 / 100], [0]),
  )
}

interface ToLight {
  png: PngColour | null
  mix: ChannelMix | null
  most: number
  notes: string[]
}

/** Linear light of 0 to 1 in one channel. */
function lightOf(vips: typeof Vips, keep: Keep, colour: Image, { png, mix, most, notes }: ToLight): Image {
  const isGrey = colour.bands === 1
  const one = (image: Image, weights: readonly number[]) =>
    keep(image.recomb(keep(vips.Image.newFromArray([...weights]))))
  const mixed = (image: Image, own: readonly number[]) =>
    isGrey || image.bands === 1 ? keep(image.extractBand(0)) : one(image, mix ? shares(mix) : own)
  const luminance = [LUMINANCE.red, LUMINANCE.green, LUMINANCE.blue]

  if (png && png.transfer !== 'srgb') {
    const share = keep(colour.linear([1 / most], [0]))
    return mixed(typeof png.transfer === 'number' ? keep(share.pow(png.transfer)) : share, png.luminance)
  }
  const hasProfile = colour.getTypeof('icc-profile-data') !== 0
  if (hasProfile || colour.interpretation === 'cmyk') {
    if (!hasProfile) notes.push('CMYK without a profile: usual print colours are assumed.')
    const whole = most === 1 ? keep(keep(colour.linear([65_535], [0])).cast('ushort')) : colour
    const kind = keep(whole.copy({ interpretation: KIND[`${colour.bands}/${whole.format}`] }))
    const xyz = keep(
      kind.iccImport({
        pcs: 'xyz',
        intent: 'relative',
        ...(hasProfile ? { embedded: true } : { input_profile: 'cmyk' }),
      }),
    )
    const weights = mix && !isGrey ? rgbWeights(shares(mix)) : [0, 1, 0]
    return one(
      xyz,
      weights.map((weight) => weight / 100),
    )
  }
  if (most === 1) return mixed(colour, luminance)
  return mixed(keep(colour.colourspace('scrgb')), png?.luminance ?? luminance)
}

/** Weights of X, Y and Z for a mix of sRGB's channels. */
const rgbWeights = (mix: readonly number[]): number[] =>
  [0, 1, 2].map((i) =>
    RGB_FROM_XYZ.reduce((sum, row, channel) => sum + (mix[channel] ?? 0) * (row[i] ?? 0), 0),
  )

const unknownKind = () =>
  new CoreError({
    code: 'not-a-picture',
    field: 'the picture',
    problem: 'This kind of picture cannot be read here.',
    remedy: 'Save it with 8 or 16 bits per channel, in greyscale or RGB.',
  })

const unknownPacking = () =>
  new CoreError({
    code: 'not-a-picture',
    field: 'the picture',
    problem: 'This TIFF is packed in a way that cannot be read here.',
    remedy: 'Save it with LZW or deflate, or without compression.',
  })
